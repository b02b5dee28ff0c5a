package farglass.trainer;

import farglass.lexicon.Lexicon;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.Broadcast;
import farglass.simulate.DemoLibrary;
import farglass.simulate.MatchMaker;
import farglass.simulate.Style;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * A made-up match to practise on.
 *
 * @param truth what really happens, with the film's clock map
 * @param empty the record the learner fills: the same film, nothing tagged but the start
 */
public record Exercise(int level, MatchRecord truth, MatchRecord empty) {
    /** Levels of difficulty: 1 one camera and no break, 2 stoppages and replays, 3 the same and both in white. */
    public static final int LEVELS = 3;

    private static final String STEM = "practice-";
    private static final long[] LENGTH_MS = {60_000, 90_000, 120_000};
    private static final long LEAD_IN_MS = 2000;
    private static final long LEAD_OUT_MS = 1500;
    /** A match with fewer attempts teaches little: another one is made. */
    private static final int LEAST_ATTEMPTS = 6;

    private static final int MOST_TRIES = 200;

    /**
     * @param level 1 to {@link #LEVELS}
     * @param seed the same exercise for the same seed
     * @throws IllegalArgumentException for another level
     */
    public static Exercise make(int level, LocalDate day, long seed, Lexicon lexicon) {
        if (level < 1 || level > LEVELS) {
            throw new IllegalArgumentException("level (" + level + ") must lie in 1.." + LEVELS);
        }
        List<Style> others = DemoLibrary.fillers();
        Style a = others.get(0);
        Style b = others.get(level == 3 ? 2 : 1);
        String id = STEM + level + "-" + day + "-" + Long.toString(seed, 36);
        MatchMaker maker = new MatchMaker(lexicon);
        MatchMaker.Setting setting = new MatchMaker.Setting(
                id, day, "Practice", "level " + level, null, "gi", "points-gi", LENGTH_MS[level - 1]);
        MatchRecord match = maker.make(setting, a, b, seed * 1000);
        for (int i = 1; i < MOST_TRIES && attempts(match) < LEAST_ATTEMPTS; i++) {
            match = maker.make(setting, a, b, seed * 1000 + i);
        }
        ClockMap map = level == 1 ? plain(match) : Broadcast.of(match);
        long length = map.segments().get(map.segments().size() - 1).to().ms();
        FilmRef film = FilmRef.of("films/" + id + ".mp4", length, map);
        MatchRecord truth =
                new MatchRecord(id, RecordKind.ROUND, match.details(), List.of(film), match.tags(), Map.of());
        List<Tag> start = List.of(
                new Tag.Start(MatchTime.ZERO, TagInfo.withId("t1")),
                Tag.Position.of(MatchTime.ZERO, "STD", null, null).with(TagInfo.withId("t2")));
        MatchRecord empty =
                new MatchRecord(id, RecordKind.ROUND, match.details().result(null), List.of(film), start, Map.of());
        return new Exercise(level, truth, empty);
    }

    private static long attempts(MatchRecord r) {
        return r.tags().stream().filter(Tag.Action.class::isInstance).count();
    }

    private static ClockMap plain(MatchRecord r) {
        long end = LEAD_IN_MS + r.end().ms();
        return ClockMap.of(List.of(
                Segment.blank(0, LEAD_IN_MS, Segment.Kind.OTHER),
                Segment.live(LEAD_IN_MS, end, 0),
                Segment.blank(end, end + LEAD_OUT_MS, Segment.Kind.OTHER)));
    }

    /** Whether a record is one to practise on. */
    public static boolean is(MatchRecord r) {
        return r.id().startsWith(STEM);
    }
}
