package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.time.MatchTime;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.StackPane;

/** Opens the film of a match that is looked at, or says why there is none; made-up film can be drawn again. */
final class FilmOpening {
    private final FilmView film;
    private final Angles angles;
    private final Button make;

    FilmOpening(Desk desk, FilmView film, Angles angles, FilmChoice choice) {
        this.film = film;
        this.angles = angles;
        this.make = Ui.button(Words.of("film.make"), () -> {}, "choice");
        make.setOnAction(e -> {
            make.setVisible(false);
            choice.makeFootage(desk.openRecord().get());
        });
        make.setWrapText(true);
        StackPane.setAlignment(make, Pos.BOTTOM_CENTER);
        StackPane.setMargin(make, new Insets(24));
    }

    /** Draws the film that is missing; shown only where one can be drawn. */
    Node make() {
        return make;
    }

    /** Opens the film looked at, at a match moment. */
    void open(MatchRecord r, MatchTime at) {
        make.setVisible(false);
        if (r.films().isEmpty()) {
            film.open(null, Words.of("film.no-film"));
            make.setVisible(true);
            return;
        }
        Path path = angles.path(r);
        if (Files.exists(path)) {
            film.open(path, Words.of("film.opening"));
            angles.clock(r).filmTimes(at).stream()
                    .findFirst()
                    .ifPresent(f -> film.player().seek(f));
        } else {
            boolean madeUp = angles.film(r).file().startsWith("films/");
            film.open(null, Words.of(madeUp ? "film.not-made" : "film.missing", path));
            make.setVisible(madeUp);
        }
    }
}
