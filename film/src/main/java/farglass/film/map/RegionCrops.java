package farglass.film.map;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.GrayPicture;
import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Pictures of what was read, to be shown once beside what it was taken for.
 *
 * @param clock null when no clock was found
 * @param rival of the clock that may be that of the match as well; null when there is none
 * @param names of the first and the second athlete; empty when none were found
 * @param columns of the first and the second athlete, for each column
 */
public record RegionCrops(
        @Nullable GrayPicture clock,
        @Nullable GrayPicture rival,
        List<GrayPicture> names,
        List<List<GrayPicture>> columns) {
    /** Pictures from a moment in the last part of the film in which the clock was read. */
    public static RegionCrops of(FilmFile film, MapProposal found) throws FilmException {
        long ms = found.readings().stream()
                .filter(r -> r.clock() != null)
                .mapToLong(ClockReading::ms)
                .filter(m -> m <= 0.8 * film.info().durationMs())
                .max()
                .orElse(film.info().durationMs() / 2);
        int frame = film.nearest(film.frameAt(FilmTime.ofMs(ms)));
        List<GrayPicture> names = new ArrayList<>();
        for (var n : found.score().graphic().names()) {
            names.add(film.gray(frame, n.box()));
        }
        List<List<GrayPicture>> columns = new ArrayList<>();
        for (var c : found.score().graphic().columns()) {
            columns.add(List.of(film.gray(frame, c.first()), film.gray(frame, c.second())));
        }
        return new RegionCrops(crop(film, frame, found.box()), crop(film, frame, found.rival()), names, columns);
    }

    private static @Nullable GrayPicture crop(FilmFile film, int frame, @Nullable Box box) throws FilmException {
        return box == null ? null : film.gray(frame, box);
    }
}
