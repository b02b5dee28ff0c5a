package farglass.simulate;

import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.time.ClockMap;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * How a made-up broadcast shows a match: an entrance, live film, at every stoppage a still wait and a half-speed replay
 * of what led to it, and after the end a replay of the finish. The clock stands while the match does, so no match time
 * is missing.
 */
public final class Broadcast {
    private static final long ENTRANCE_MS = 3000;
    private static final long WAIT_MS = 2500;
    private static final long REPLAYED_MS = 4000;
    private static final double REPLAY_SPEED = 0.5;
    private static final long GOODBYE_MS = 1500;
    /** Stoppages after the first that also get a replay would make the film long for nothing. */
    private static final int REPLAYS = 2;

    private Broadcast() {}

    public static ClockMap of(MatchRecord record) {
        List<Segment> segments = new ArrayList<>();
        long film = ENTRANCE_MS;
        long match = 0;
        long end = record.end().ms();
        int replays = 0;
        segments.add(Segment.blank(0, film, Segment.Kind.OTHER));
        for (Tag tag : record.tags()) {
            long t = tag.t().ms();
            if (tag instanceof Tag.Stop && t > match && t < end) {
                segments.add(Segment.live(film, film + t - match, match));
                film += t - match;
                match = t;
                segments.add(Segment.blank(film, film + WAIT_MS, Segment.Kind.STOPPAGE));
                film += WAIT_MS;
                if (replays++ < REPLAYS) {
                    film = replay(segments, film, t);
                }
            }
        }
        segments.add(Segment.live(film, film + end - match, match));
        film += end - match;
        segments.add(Segment.blank(film, film + WAIT_MS, Segment.Kind.STOPPAGE));
        film = replay(segments, film + WAIT_MS, end);
        segments.add(Segment.blank(film, film + GOODBYE_MS, Segment.Kind.OTHER));
        return ClockMap.of(segments);
    }

    private static long replay(List<Segment> segments, long film, long upTo) {
        long from = Math.max(0, upTo - REPLAYED_MS);
        long length = Math.round((upTo - from) / REPLAY_SPEED);
        if (length <= 0) {
            return film;
        }
        segments.add(Segment.replay(film, film + length, from, REPLAY_SPEED));
        return film + length;
    }
}
