package farglass.matchup.fit;

import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.matchup.model.Payoffs;
import farglass.matchup.model.StateSpace;
import farglass.matchup.simulate.Small;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.function.LongToDoubleFunction;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.ZigguratSampler;
import org.jspecify.annotations.Nullable;

/**
 * Matches in which one plays closed guard from beginning to end and tries what a rule says, so that the truth of every
 * rate is known.
 */
final class Films {
    static final long LENGTH_MS = 360_000;
    /** When one of the two is given points. */
    static final long LEAD_MS = 100_001;

    private static final long STAY_MS = 40_000;
    private static final double MINUTE_MS = 60_000;

    private Films() {}

    /** How often something is tried at a match time, a minute and at most {@code most}, and whether it works. */
    record Habit(String technique, double most, LongToDoubleFunction rate, double chance) {}

    /** Guard and open guard in turn, {@link #STAY_MS} each; A plays guard. */
    static MatchRecord match(
            String id, String a, String b, UniformRandomProvider rng, @Nullable Corner leads, Habit... habits) {
        TreeMap<Long, Tag> tags = new TreeMap<>();
        for (long t = 0; t < LENGTH_MS; t += STAY_MS) {
            tags.put(t, Tag.Position.of(MatchTime.ofMs(t), t / STAY_MS % 2 == 0 ? "CLG" : "OPN", Corner.B, Corner.A));
        }
        if (leads != null) {
            MatchTime t = MatchTime.ofMs(LEAD_MS);
            tags.put(LEAD_MS, new Tag.Call(t, CallKind.POINTS, leads, 2, true, null, null, TagInfo.NONE));
        }
        for (Habit h : habits) {
            ZigguratSampler.Exponential wait = ZigguratSampler.Exponential.of(rng);
            long now = 0;
            while (true) {
                now += Math.round(wait.sample() / h.most() * MINUTE_MS) + 1;
                if (now >= LENGTH_MS) {
                    break;
                }
                if (rng.nextDouble() * h.most() < h.rate().applyAsDouble(now)) {
                    boolean works = rng.nextDouble() < h.chance();
                    MatchTime t = MatchTime.ofMs(now);
                    tags.putIfAbsent(
                            now,
                            Tag.Action.of(t, Corner.A, h.technique())
                                    .result(works ? Outcome.COMPLETED : Outcome.STUFFED, works ? 4 : 1, null, t));
                }
            }
        }
        List<Tag> all = new ArrayList<>(List.of(new Tag.Start(MatchTime.ZERO, TagInfo.NONE)));
        all.addAll(tags.values());
        all.add(new Tag.End(MatchTime.ofMs(LENGTH_MS), TagInfo.NONE));
        MatchRecord.Details d =
                new MatchRecord.Details(null, "Event", null, null, "gi", "points-gi", LENGTH_MS, who(a), who(b), null);
        return MatchRecord.of(id, d, List.of(), all);
    }

    private static MatchAthlete who(String id) {
        return MatchAthlete.of(id, id, null, null);
    }

    static TransitionRates rates(List<MatchRecord> films, String us, String them, String rules) {
        LibraryIndex index = LibraryIndex.of(films, Small.LEXICON);
        StateSpace groups = new StateSpace(Small.LEXICON);
        return new TransitionRates(
                index,
                us,
                them,
                Small.rules(rules),
                Filter.ALL.halfLife(null),
                null,
                groups,
                new Payoffs(Small.rules(rules), groups));
    }
}
