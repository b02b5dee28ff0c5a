package farglass.time;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Fits a clock map to sync points.
 *
 * <p>Between two points the match must run at speed 1 within a tolerance of 1.0 s + 0.5 % of the interval, since clocks
 * are read in whole seconds. Where it does not, film was stopped (the clock advanced less) or cut (it advanced more);
 * two points cannot say where, so the break is put in the middle of the interval and reported as uncertain.
 */
public final class ClockFit {
    static final double TOLERANCE_MS = 1000;
    static final double TOLERANCE_SHARE = 0.005;

    private ClockFit() {}

    /**
     * @param map fitted segments
     * @param breaks intervals between sync points in which the clock and the film disagree
     */
    public record Fit(ClockMap map, List<Break> breaks) {}

    /**
     * A disagreement between two neighbouring sync points.
     *
     * @param from the earlier point
     * @param to the later point
     * @param lostMs film minus match milliseconds: positive for a stoppage, negative for a cut
     */
    public record Break(SyncPoint from, SyncPoint to, long lostMs) {}

    /**
     * @param points any order; none gives an empty map
     * @param film length of the film, ms, positive
     * @param lengthMs scheduled match length; live time is not carried beyond it
     */
    public static Fit fit(List<SyncPoint> points, long film, long lengthMs) {
        if (points.isEmpty()) {
            return new Fit(ClockMap.EMPTY, List.of());
        }
        List<SyncPoint> sorted = new ArrayList<>(points);
        sorted.sort(Comparator.comparing(SyncPoint::film));
        List<Break> breaks = new ArrayList<>();
        List<Segment> segments = new ArrayList<>();
        SyncPoint first = sorted.get(0);
        long start = Math.max(0, first.film().ms() - first.match().ms());
        if (start > 0) {
            segments.add(Segment.blank(0, start, Segment.Kind.OTHER));
        }
        long liveFrom = start;
        long offset = first.film().ms() - first.match().ms();
        for (int i = 1; i < sorted.size(); i++) {
            SyncPoint a = sorted.get(i - 1);
            SyncPoint b = sorted.get(i);
            long filmDelta = b.film().ms() - a.film().ms();
            long matchDelta = b.match().since(a.match());
            long lost = filmDelta - matchDelta;
            if (Math.abs(lost) <= TOLERANCE_MS + TOLERANCE_SHARE * filmDelta) {
                continue;
            }
            breaks.add(new Break(a, b, lost));
            long middle = a.film().ms() + (lost > 0 ? matchDelta / 2 : filmDelta / 2);
            middle = Math.max(middle, liveFrom + 1);
            segments.add(Segment.live(liveFrom, middle, Math.max(0, liveFrom - offset)));
            offset = b.film().ms() - b.match().ms();
            if (lost > 0) {
                segments.add(Segment.blank(middle, middle + lost, Segment.Kind.STOPPAGE));
                liveFrom = middle + lost;
            } else {
                liveFrom = middle;
            }
        }
        long end = Math.min(film, lengthMs + offset);
        if (end > liveFrom) {
            segments.add(Segment.live(liveFrom, end, Math.max(0, liveFrom - offset)));
        }
        if (film > Math.max(end, liveFrom)) {
            segments.add(Segment.blank(Math.max(end, liveFrom), film, Segment.Kind.OTHER));
        }
        return new Fit(ClockMap.of(segments), List.copyOf(breaks));
    }
}
