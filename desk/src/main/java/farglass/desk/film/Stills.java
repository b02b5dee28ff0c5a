package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.Still;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.MatchRecord;
import farglass.store.WholeFile;
import farglass.store.bundle.FileNames;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import javax.imageio.ImageIO;

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
        desk.tasks()
                .command(
                        Words.of("export.name", target.getFileName()),
                        () -> write(source, m, drawings, target),
                        done -> {
                            desk.exported(
                                    Set.of(r.details().a().id(), r.details().b().id()), done);
                            desk.notices().done(Words.of("export.done", done));
                        },
                        e -> desk.notices().problem(Words.of("export.failed", target, e.getMessage())));
    }

    private Path write(Path source, FilmView.Moment m, List<Drawing> drawings, Path target)
            throws FilmException, IOException {
        BufferedImage image;
        try (FilmFile opened = FilmFile.openForward(source, () -> false)) {
            image = Still.of(opened, m.frame());
        }
        Graphics2D g = image.createGraphics();
        for (Drawing d : drawings) {
            if (d.shownAt(m.time())) {
                painter.paint(g, d.marks(), 0, 0, image.getWidth(), image.getHeight());
            }
        }
        g.dispose();
        Files.createDirectories(target.getParent());
        WholeFile.write(target, part -> ImageIO.write(image, "png", part.toFile()));
        return target;
    }
}
