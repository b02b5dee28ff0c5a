package farglass.time;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The map between one film's time and match time: its segments in film order.
 *
 * <p>Segments do not overlap in film time, and live segments do not overlap in match time, so that every match moment
 * has at most one live showing (replays come on top).
 */
public final class ClockMap {
    public static final ClockMap EMPTY = new ClockMap(List.of());

    private final List<Segment> segments;

    private ClockMap(List<Segment> segments) {
        this.segments = segments;
    }

    /**
     * @throws IllegalArgumentException when segments overlap in film time, or live ones in match time
     */
    public static ClockMap of(List<Segment> segments) {
        List<Segment> sorted = new ArrayList<>(segments);
        sorted.sort(Comparator.comparing(Segment::from));
        for (int i = 1; i < sorted.size(); i++) {
            if (sorted.get(i).from().compareTo(sorted.get(i - 1).to()) < 0) {
                throw new IllegalArgumentException(
                        "film segments overlap at " + sorted.get(i).from());
            }
        }
        List<Segment> live = new ArrayList<>(
                sorted.stream().filter(s -> s.kind() == Segment.Kind.LIVE).toList());
        live.sort(Comparator.comparing(Segment::at));
        for (int i = 1; i < live.size(); i++) {
            if (live.get(i).at().compareTo(live.get(i - 1).matchEnd()) < 0) {
                throw new IllegalArgumentException(
                        "live segments overlap at match time " + live.get(i).at());
            }
        }
        return new ClockMap(List.copyOf(sorted));
    }

    /** In the order of film time, without overlap. */
    public List<Segment> segments() {
        return segments;
    }

    /** Whether nothing is known of the film. */
    public boolean isEmpty() {
        return segments.isEmpty();
    }

    /** What the film shows at a moment; empty where that is not known. */
    public Optional<Segment> at(FilmTime f) {
        return segments.stream().filter(s -> s.contains(f)).findFirst();
    }

    /** The match moment shown at {@code f}; empty in stoppages, other footage and outside all segments. */
    public Optional<MatchTime> matchTime(FilmTime f) {
        return at(f).filter(s -> s.kind().showsMatch()).map(s -> s.matchTime(f));
    }

    /** Every film moment that shows {@code t}: the live one first, then replays in film order. */
    public List<FilmTime> filmTimes(MatchTime t) {
        List<FilmTime> found = new ArrayList<>();
        for (Segment.Kind kind : List.of(Segment.Kind.LIVE, Segment.Kind.REPLAY)) {
            segments.stream().filter(s -> s.kind() == kind && s.covers(t)).forEach(s -> found.add(s.filmTime(t)));
        }
        return found;
    }

    /** Half-open match-time intervals in [0, end) that no live segment shows (a clock that ran on, missing film). */
    public List<Gap> gaps(MatchTime end) {
        List<Segment> live = new ArrayList<>(
                segments.stream().filter(s -> s.kind() == Segment.Kind.LIVE).toList());
        live.sort(Comparator.comparing(Segment::at));
        List<Gap> gaps = new ArrayList<>();
        MatchTime seen = MatchTime.ZERO;
        for (Segment s : live) {
            if (s.at().compareTo(seen) > 0) {
                gaps.add(new Gap(seen, s.at()));
            }
            seen = s.matchEnd().compareTo(seen) > 0 ? s.matchEnd() : seen;
        }
        if (seen.compareTo(end) < 0) {
            gaps.add(new Gap(seen, end));
        }
        return gaps;
    }

    /** Match time that no live film shows, half-open [from, to). */
    public record Gap(MatchTime from, MatchTime to) {}

    @Override
    public boolean equals(Object o) {
        return o instanceof ClockMap m && m.segments.equals(segments);
    }

    @Override
    public int hashCode() {
        return segments.hashCode();
    }

    @Override
    public String toString() {
        return segments.toString();
    }
}
