package farglass.film.map;

import farglass.film.Box;
import farglass.film.score.ScoreTrack;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.List;
import java.util.Objects;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * A clock map as the program sees it, to be accepted or corrected.
 *
 * @param segments in film order, without gaps
 * @param shots moments at which the shot changes
 * @param readings the clock over the film, one entry for each change; empty when none was found
 * @param down whether the clock counts down
 * @param box where the clock was read; null when none was found
 * @param rival another clock that runs at the same time and was read nearly as often; null when there is none
 * @param score what the score graphic showed
 */
public record MapProposal(
        List<Part> segments,
        List<FilmTime> shots,
        List<ClockReading> readings,
        boolean down,
        @Nullable Box box,
        @Nullable Box rival,
        ScoreTrack score) {
    private static final long MINUTE_S = 60;
    private static final long MS = 1000;

    /**
     * A proposed segment.
     *
     * @param confidence 0..1: how much of it the clock, or for a replay the motion, bears out
     */
    public record Part(Segment segment, double confidence) {}

    /**
     * What a clock that counts down begins with, ms: the most it showed, where that is a whole minute. Nothing for one
     * that counts up, and for a film that begins in the middle of a match.
     */
    public OptionalLong begins() {
        OptionalLong most = readings.stream()
                .map(ClockReading::clock)
                .filter(Objects::nonNull)
                .mapToLong(Integer::longValue)
                .max();
        return down && most.isPresent() && most.getAsLong() % MINUTE_S == 0
                ? OptionalLong.of(most.getAsLong() * MS)
                : OptionalLong.empty();
    }

    /** The same with another reading of the score. */
    public MapProposal with(ScoreTrack other) {
        return new MapProposal(segments, shots, readings, down, box, rival, other);
    }

    public MapProposal {
        segments = List.copyOf(segments);
        shots = List.copyOf(shots);
        readings = List.copyOf(readings);
    }

    public ClockMap map() {
        return ClockMap.of(segments.stream().map(Part::segment).toList());
    }

    /** The match moment of a film moment; where the match is not shown, the one at which it was last. */
    public MatchTime moment(long ms) {
        MatchTime last = MatchTime.ZERO;
        for (Part p : segments) {
            Segment s = p.segment();
            if (s.kind() != Segment.Kind.LIVE || s.from().ms() > ms) {
                continue;
            }
            last = s.contains(FilmTime.ofMs(ms)) ? s.matchTime(FilmTime.ofMs(ms)) : s.matchEnd();
        }
        return last;
    }
}
