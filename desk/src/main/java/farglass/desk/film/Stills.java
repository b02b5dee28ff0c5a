package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.reel.DrawingPainter;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.MatchRecord;
import farglass.store.bundle.FileNames;
import farglass.work.publish.StillPublication;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;

/** Keeps the frame on screen as a picture file (PNG), in the film's own size, with what is drawn on it. */
final class Stills {
    private final Desk desk;
    private final FilmView film;
    private final Angles angles;
    private final DrawingPainter painter;

    Stills(Desk desk, FilmView film, Angles angles, DrawingPainter painter) {
        this.desk = desk;
        this.film = film;
        this.angles = angles;
        this.painter = painter;
    }

    void keep() {
        MatchRecord r = desk.openRecord().get();
        FilmView.Moment m = film.moment().get();
        if (r == null || m == null) {
            desk.notices().problem(Words.of("clock.no-film"));
            return;
        }
        Path source = angles.path(r);
        List<Drawing> drawings = Drawings.of(angles.film(r));
        Path target = desk.library()
                .folder()
                .resolve("stills")
                .resolve(FileNames.of(r.id()) + "-" + m.time().ms() + ".png");
        desk.publisher()
                .file(
                        target,
                        new StillPublication(
                                source,
                                m.frame(),
                                m.time(),
                                drawings,
                                painter,
                                Set.of(r.details().a().id(), r.details().b().id())));
    }
}
