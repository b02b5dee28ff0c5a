package farglass.work.publish;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.Still;
import farglass.match.Drawing;
import farglass.store.WholeFile;
import farglass.time.FilmTime;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import javax.imageio.ImageIO;

/**
 * A frame as a picture file (PNG), in the film's own size, with what is drawn on it.
 *
 * @param frame number, from 0
 * @param time of that frame
 * @param athletes ids of those it shows
 */
public record StillPublication(
        Path film, int frame, FilmTime time, List<Drawing> drawings, DrawingPainter painter, Set<String> athletes)
        implements Publication {

    @Override
    public Optional<Published> write(Path target, DoubleConsumer progress, BooleanSupplier cancelled)
            throws PublicationException {
        try {
            BufferedImage image = image(cancelled);
            Files.createDirectories(target.toAbsolutePath().getParent());
            WholeFile.write(target, part -> ImageIO.write(image, "png", part.toFile()));
        } catch (FilmException | IOException e) {
            throw PublicationException.of(target, e);
        }
        return Optional.of(Published.file(target, athletes));
    }

    private BufferedImage image(BooleanSupplier cancelled) throws FilmException {
        BufferedImage image;
        try (FilmFile opened = FilmFile.openForward(film, cancelled)) {
            image = Still.of(opened, frame);
        }
        Graphics2D g = image.createGraphics();
        for (Drawing d : drawings) {
            if (d.shownAt(time)) {
                painter.paint(g, d.marks(), 0, 0, image.getWidth(), image.getHeight());
            }
        }
        g.dispose();
        return image;
    }
}
