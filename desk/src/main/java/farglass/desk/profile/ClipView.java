package farglass.desk.profile;

import farglass.desk.film.TagText;
import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.film.Player;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.stats.Trial;
import farglass.time.Clock;
import farglass.time.FilmTime;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Plays the moment a dot stands for, two seconds before to five after, again and again. */
final class ClipView extends VBox {
    private static final long BEFORE_MS = 2000;
    private static final long AFTER_MS = 5000;
    private final Desk desk;
    private final FilmView film = new FilmView();
    private final Label caption = Ui.prose("", "body");
    private Path openPath;
    private String shownMatch;

    /** @param toFilm opens a match in the film station */
    ClipView(Desk desk, Consumer<String> toFilm) {
        super(8);
        this.desk = desk;
        StackPane screen = new StackPane(film);
        screen.getStyleClass().add("screen");
        screen.setMinHeight(230);
        screen.setPrefHeight(252);
        film.open(null, Words.of("clip.hint"));
        Button open = Ui.button(
                Words.of("clip.open"),
                () -> {
                    if (shownMatch != null) {
                        toFilm.accept(shownMatch);
                    }
                },
                "choice");
        open.setMinWidth(Region.USE_PREF_SIZE);
        HBox below = new HBox(10, Ui.grow(caption), open);
        caption.setMaxWidth(Double.MAX_VALUE);
        caption.setMinHeight(38);
        getChildren().addAll(screen, below);
    }

    String describe(Trial t) {
        Optional<MatchRecord> match = desk.match(t.tag().match());
        if (match.isEmpty() || t.index() >= match.get().tags().size()) {
            return t.tag().match();
        }
        MatchRecord r = match.get();
        Tag tag = r.tags().get(t.index());
        TagText text = TagText.of(r, tag, desk.lexicon());
        String date = r.details().date() == null ? "" : r.details().date() + ", ";
        return Words.of(
                "clip.caption",
                r.details().a().surname(),
                r.details().b().surname(),
                date,
                Clock.tenths(t.t().ms()),
                text.line());
    }

    void play(Trial t) {
        caption.setText(describe(t));
        shownMatch = t.tag().match();
        Optional<MatchRecord> match = desk.match(t.tag().match());
        if (match.isEmpty() || match.get().films().isEmpty()) {
            show(null, Words.of("clip.no-film"));
            return;
        }
        MatchRecord r = match.get();
        Path path = desk.filmPath(r);
        List<FilmTime> places = r.clock().filmTimes(t.t());
        if (!Files.exists(path)) {
            show(null, Words.of("clip.not-there"));
        } else if (places.isEmpty()) {
            show(null, Words.of("clip.no-time"));
        } else {
            show(path, Words.of("film.opening"));
            FilmTime at = places.get(0);
            film.player().loop(new Player.Loop(at.plus(-BEFORE_MS), at.plus(AFTER_MS)));
            film.player().play();
        }
    }

    private void show(Path path, String text) {
        if (path == null || !path.equals(openPath)) {
            film.open(path, text);
            openPath = path;
        }
    }

    void pause() {
        if (film.player() != null) {
            film.player().pause();
        }
    }

    FilmView film() {
        return film;
    }
}
