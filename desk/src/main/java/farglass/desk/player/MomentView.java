package farglass.desk.player;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.film.Player;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Plays a moment of a match in place, two seconds before to five after, again and again. */
public final class MomentView extends VBox {
    private static final long BEFORE_MS = 2000;
    private static final long AFTER_MS = 5000;
    private final Desk desk;
    private final FilmView film = new FilmView();
    private final Label caption = Ui.prose("", "body");
    private final StackPane screen;
    private final Button open;
    private Path openPath;
    private String shownMatch;
    private int shownTag = -1;

    /**
     * @param hint what to do while nothing is shown
     * @param toFilm opens a match in the film station, at a tag or -1
     */
    public MomentView(Desk desk, String hint, BiConsumer<String, Integer> toFilm) {
        super(8);
        this.desk = desk;
        screen = new StackPane(film);
        screen.getStyleClass().add("screen");
        screen.setMinHeight(230);
        screen.setPrefHeight(252);
        film.open(null, hint);
        open = Ui.button(
                Words.of("clip.open"),
                () -> {
                    if (shownMatch != null) {
                        toFilm.accept(shownMatch, shownTag);
                    }
                },
                "choice");
        open.setMinWidth(Region.USE_PREF_SIZE);
        HBox below = new HBox(10, Ui.grow(caption), open);
        caption.setMaxWidth(Double.MAX_VALUE);
        caption.setMinHeight(38);
        getChildren().addAll(screen, below);
    }

    /** As large as there is room for, with nothing to press: for showing to others. */
    public MomentView large(double height) {
        screen.setPrefHeight(height);
        Ui.grow(screen);
        open.setVisible(false);
        return this;
    }

    /** @param tag index of the tag it is about, -1 for none */
    public void play(MatchRecord r, MatchTime t, int tag, String text) {
        shownTag = tag;
        open(r, t, text, at -> {
            film.player().loop(new Player.Loop(at.plus(-BEFORE_MS), at.plus(AFTER_MS)));
            film.player().play();
        });
    }

    /**
     * Plays a span once and stands still at its end.
     *
     * @param fromMs, toMs from the moment, negative before it
     * @return whether there is film of it
     */
    public boolean once(MatchRecord r, MatchTime t, long fromMs, long toMs, double speed, String text) {
        shownTag = -1;
        return open(r, t, text, at -> {
            FilmTime from = FilmTime.ofMs(Math.max(0, at.ms() + fromMs));
            film.player().review(new Player.Loop(from, at.plus(toMs)), List.of(speed));
        });
    }

    private boolean open(MatchRecord r, MatchTime t, String text, Consumer<FilmTime> play) {
        caption.setText(text);
        shownMatch = r.id();
        if (r.films().isEmpty()) {
            show(null, Words.of("clip.no-film"));
            return false;
        }
        FilmRef shown = r.films().stream()
                .filter(f ->
                        Files.exists(desk.filmPath(f)) && !f.map().filmTimes(t).isEmpty())
                .findFirst()
                .orElse(r.films().get(0));
        Path path = desk.filmPath(shown);
        List<FilmTime> places = shown.map().filmTimes(t);
        if (!Files.exists(path)) {
            show(null, Words.of("clip.not-there"));
        } else if (places.isEmpty()) {
            show(null, Words.of("clip.no-time"));
        } else {
            show(path, Words.of("film.opening"));
            play.accept(places.get(0));
            return true;
        }
        return false;
    }

    /** Says something in place of a moment. */
    public void say(String text) {
        caption.setText("");
        show(null, text);
    }

    private void show(Path path, String text) {
        if (path == null || !path.equals(openPath)) {
            film.open(path, text);
            openPath = path;
        }
    }

    public void pause() {
        if (film.player() != null) {
            film.player().pause();
        }
    }

    public FilmView film() {
        return film;
    }
}
