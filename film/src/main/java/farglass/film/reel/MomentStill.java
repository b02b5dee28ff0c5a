package farglass.film.reel;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Function;

/** The picture of a moment of a match, with what is drawn on it, from the first film that is there and shows it. */
public final class MomentStill {
    private final Function<FilmRef, Path> places;
    private final Function<MatchRecord, DrawingPainter> painters;

    /**
     * @param places where the films of the records lie
     * @param painters what draws on the pictures of a match
     */
    public MomentStill(Function<FilmRef, Path> places, Function<MatchRecord, DrawingPainter> painters) {
        this.places = places;
        this.painters = painters;
    }

    /** Empty when no film shows the moment, or none can be read. */
    public Optional<BufferedImage> of(MatchRecord r, MatchTime t, int width, int height, BooleanSupplier cancelled) {
        for (FilmRef film : r.films()) {
            Path path = places.apply(film);
            Optional<FilmTime> at = film.map().filmTimes(t).stream().findFirst();
            if (at.isPresent() && Files.exists(path)) {
                try (FilmFile opened = FilmFile.openForward(path, cancelled)) {
                    BufferedImage image = Still.of(opened, opened.nearest(opened.frameAt(at.get())), width, height);
                    Graphics2D g = image.createGraphics();
                    for (Drawing d : Drawings.of(film)) {
                        if (d.shownAt(at.get())) {
                            painters.apply(r).paint(g, d.marks(), 0, 0, width, height);
                        }
                    }
                    g.dispose();
                    return Optional.of(image);
                } catch (FilmException e) {
                    // a page without this picture is better than no page; the next film may be whole

                }
            }
        }
        return Optional.empty();
    }
}
