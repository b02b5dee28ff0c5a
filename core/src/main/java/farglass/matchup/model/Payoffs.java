package farglass.matchup.model;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.Ruleset;
import farglass.rules.Score;
import farglass.rules.Scoring;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * What a change of place earns under a ruleset, asked of the rules engine itself: a few seconds of a match are written
 * down and scored. So an edited ruleset is understood without a second telling.
 */
public final class Payoffs {
    private static final long LENGTH_MS = 600_000;
    private static final long SETTLED_MS = 5_000;
    private static final long ACTION_MS = 1_000;
    private static final MatchAthlete ONE = new MatchAthlete("one", "one", null, null, Map.of());
    private static final MatchAthlete TWO = new MatchAthlete("two", "two", null, null, Map.of());

    private final Ruleset rules;
    private final Lexicon lexicon;
    private final StateSpace groups;
    private final Map<Asked, Pay> known = new ConcurrentHashMap<>();

    /** Net points and advantages of the athlete who acts. */
    public record Pay(int points, int advantages) {
        static final Pay NOTHING = new Pay(0, 0);
    }

    private record Asked(ModelState from, @Nullable String technique, ModelState to, boolean held, boolean late) {}

    /** Asks the rules engine once for every kind of change. */
    public Payoffs(Ruleset rules, StateSpace groups) {
        this.rules = rules;
        this.groups = groups;
        this.lexicon = groups.lexicon();
    }

    /**
     * @param from place of the one who acts
     * @param technique null when nobody's attempt made the change
     * @param to place he reaches
     * @param held whether he keeps it for the count
     * @param late whether points count already, where they count from some time on
     */
    public Pay of(ModelState from, @Nullable String technique, ModelState to, boolean held, boolean late) {
        return known.computeIfAbsent(new Asked(from.paid(false), technique, to.paid(false), held, late), this::score);
    }

    private Pay score(Asked q) {
        long begin = q.late() ? LENGTH_MS * 9 / 10 : rules.pointsFrom() > 0 ? 1 : SETTLED_MS;
        List<Tag> tags = new ArrayList<>();
        tags.add(new Tag.Start(MatchTime.ZERO, TagInfo.NONE));
        tags.add(position(begin, q.from()));
        long act = begin + SETTLED_MS;
        long there = act + ACTION_MS;
        if (q.technique() != null) {
            tags.add(Tag.Action.of(MatchTime.ofMs(act), Corner.A, q.technique())
                    .result(Outcome.COMPLETED, 4, q.to().group(), MatchTime.ofMs(there)));
        }
        tags.add(position(there, q.to()));
        if (!q.held()) {
            tags.add(position(there + Math.max(1, rules.holdMs() / 2), ModelState.START));
        }
        long end = there + rules.holdMs() + SETTLED_MS;
        tags.add(new Tag.End(MatchTime.ofMs(end), TagInfo.NONE));
        MatchRecord.Details details =
                new MatchRecord.Details(null, null, null, null, null, rules.code(), LENGTH_MS, ONE, TWO, null);
        Score score = Scoring.of(MatchRecord.of("payoff", details, List.of(), tags), rules, lexicon);
        return new Pay(
                score.points(Corner.A) - score.points(Corner.B),
                score.advantages(Corner.A) - score.advantages(Corner.B));
    }

    private Tag position(long t, ModelState p) {
        Corner ahead = p.standing() > 0 ? Corner.A : p.standing() < 0 ? Corner.B : null;
        Corner guard = ahead != null && groups.guard(p.group()) ? ahead.other() : null;
        return Tag.Position.of(MatchTime.ofMs(t), p.group(), ahead, guard);
    }

    /** Ladder level from which a failed attempt of a family earns an advantage; 5 when it never does. */
    public int nearFrom(String family) {
        return rules.advantages().getOrDefault(family, 5);
    }
}
