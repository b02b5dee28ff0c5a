package farglass.desk.film;

import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Plain;
import farglass.time.ClockFit;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.SyncPoint;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Sync points of a film: kept beside its segments, which are fitted from them anew whenever a point is added. */
final class FilmSync {
    private static final String POINTS = "syncPoints";
    /** A new point this near an old one in the film replaces it. */
    private static final long SAME_PLACE_MS = 500;

    private FilmSync() {}

    /** What a new point leads to. */
    record Synced(Edit edit, List<ClockFit.Break> breaks) {}

    static List<SyncPoint> points(FilmRef film) {
        List<SyncPoint> points = new ArrayList<>();
        if (film.extra().get(POINTS) instanceof List<?> list) {
            for (Object o : list) {
                if (o instanceof Map<?, ?> m
                        && m.get("filmMs") instanceof Number f
                        && m.get("matchMs") instanceof Number t) {
                    points.add(new SyncPoint(FilmTime.ofMs(f.longValue()), MatchTime.ofMs(t.longValue())));
                }
            }
        }
        return points;
    }

    /**
     * @param index which of the match's films
     * @param point what was read off the picture
     * @param durationMs length of the film
     */
    static Synced add(MatchRecord r, int index, SyncPoint point, long durationMs) {
        FilmRef film = r.films().get(index);
        List<SyncPoint> points = new ArrayList<>(points(film));
        points.removeIf(p -> Math.abs(p.film().ms() - point.film().ms()) < SAME_PLACE_MS
                || p.match().equals(point.match()));
        points.add(point);
        ClockFit.Fit fit = ClockFit.fit(points, durationMs, r.details().lengthMs());
        Map<String, Object> extra = new LinkedHashMap<>(film.extra());
        extra.put(
                POINTS,
                points.stream()
                        .map(p -> Map.of(
                                "filmMs",
                                Plain.number(p.film().ms()),
                                "matchMs",
                                Plain.number(p.match().ms())))
                        .toList());
        List<FilmRef> after = new ArrayList<>(r.films());
        after.set(index, new FilmRef(film.file(), film.sha256(), durationMs, film.mirrored(), fit.map(), extra));
        return new Synced(new Edit.SetFilms(r.films(), after), fit.breaks());
    }
}
