package farglass.table;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.rules.PenaltyEffect;
import farglass.rules.Ruleset;
import farglass.rules.Score;
import farglass.rules.Scoring;
import farglass.table.ReadCall.State;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Holds changes of the score that were read off a film against a record, and makes calls of them. */
public final class ReadCalls {
    /** Name of the field that says where a tag comes from, and what it says of these. */
    public static final String SOURCE = "source";

    public static final String OFF_THE_FILM = "read off the film";

    /** A call and the change of the number are at most so far apart. */
    private static final long SAME_MS = 6000;
    /** Points are called at most so long after what they are for. */
    private static final long AWARD_MS = 15_000;
    /** Tags are off by a few seconds, so that points may be called before they are worked out. */
    private static final long EARLY_MS = 5000;
    /** What a penalty brings is shown with it. */
    private static final long WITH_MS = 3000;

    private final MatchRecord record;
    private final Ruleset rules;
    private final List<ReadChange> changes;
    private final Score score;
    private final PositionLine line;
    private final boolean[] used;

    private ReadCalls(MatchRecord record, Ruleset rules, Lexicon lexicon, List<ReadChange> changes) {
        this.record = record;
        this.rules = rules;
        this.changes = changes;
        this.score = Scoring.of(record, rules, lexicon);
        this.line = PositionLine.of(record, lexicon);
        this.used = new boolean[record.tags().size()];
    }

    /** Every change with what the record says about it, in the order given. */
    public static List<ReadCall> of(MatchRecord record, Ruleset rules, Lexicon lexicon, List<ReadChange> changes) {
        ReadCalls calls = new ReadCalls(record, rules, lexicon, changes);
        List<ReadCall> read = new ArrayList<>();
        for (ReadChange c : changes) {
            read.add(calls.of(c));
        }
        return read;
    }

    /** The tag that a change becomes; its fields name the source and how sure the reading was. */
    public static Tag.Call tag(ReadChange c) {
        Map<String, Object> extra = new LinkedHashMap<>();
        extra.put(SOURCE, OFF_THE_FILM);
        Integer value = c.call() == CallKind.POINTS ? Integer.valueOf(c.by()) : null;
        return new Tag.Call(
                c.t(),
                c.call(),
                c.who(),
                value,
                true,
                null,
                null,
                new TagInfo(null, null, c.confidence(), null, extra));
    }

    /** The tags of all changes that the record does not hold yet. */
    public static List<Tag> tags(List<ReadCall> calls) {
        List<Tag> tags = new ArrayList<>();
        for (ReadCall c : calls) {
            if (c.state() == State.NEW) {
                int times =
                        c.change().call() == CallKind.POINTS ? 1 : c.change().by();
                for (int i = 0; i < times; i++) {
                    tags.add(tag(c.change()));
                }
            }
        }
        return tags;
    }

    private ReadCall of(ReadChange c) {
        if (c.by() < 0) {
            return new ReadCall(c, State.TAKEN_BACK, -1, -1, List.of());
        }
        int call = held(c);
        if (call >= 0) {
            int cause = cause(c);
            return new ReadCall(c, State.TAKEN, call, cause, cause >= 0 ? List.of() : likely(c));
        }
        if (brought(c)) {
            return new ReadCall(c, State.BROUGHT, -1, -1, List.of());
        }
        int cause = cause(c);
        return new ReadCall(c, State.NEW, -1, cause, cause >= 0 ? List.of() : likely(c));
    }

    /** The nearest call of the record that says so and is not some other change already; -1 for none. */
    private int held(ReadChange c) {
        int found = -1;
        long nearest = SAME_MS + 1;
        for (int i = 0; i < record.tags().size(); i++) {
            if (!used[i]
                    && record.tags().get(i) instanceof Tag.Call tag
                    && tag.call() == c.call()
                    && tag.who() == c.who()
                    && (c.call() != CallKind.POINTS || tag.value() == null || tag.value() == c.by())) {
                long apart = Math.abs(tag.t().since(c.t()));
                if (apart < nearest) {
                    nearest = apart;
                    found = i;
                }
            }
        }
        if (found >= 0) {
            used[found] = true;
        }
        return found;
    }

    /** Whether a penalty of the other, shown with it, gives this by itself. */
    private boolean brought(ReadChange c) {
        for (ReadChange p : changes) {
            if (p.call() != CallKind.PENALTY
                    || p.who() == c.who()
                    || p.by() <= 0
                    || Math.abs(p.at().ms() - c.at().ms()) > WITH_MS
                    || rules.penalties().isEmpty()) {
                continue;
            }
            PenaltyEffect effect =
                    rules.penalties().get(Math.min(p.after(), rules.penalties().size()) - 1);
            boolean advantages = c.call() == CallKind.ADVANTAGE && effect.advantages() == c.by();
            boolean points = c.call() == CallKind.POINTS && effect.points() == c.by();
            if (advantages || points) {
                return true;
            }
        }
        return false;
    }

    /** The tag with which began what was worked out to give as much shortly before; -1 for none. */
    private int cause(ReadChange c) {
        if (c.call() == CallKind.POINTS) {
            return score.awards().stream()
                    .filter(a -> a.who() == c.who() && a.value() == c.by())
                    .filter(a -> near(a.confirmedAt(), c.t()))
                    .mapToInt(Score.Award::tag)
                    .findFirst()
                    .orElse(-1);
        }
        if (c.call() == CallKind.ADVANTAGE) {
            return score.advantages().stream()
                    .filter(a -> a.who() == c.who() && near(a.t(), c.t()))
                    .mapToInt(Score.Advantage::tag)
                    .findFirst()
                    .orElse(-1);
        }
        return -1;
    }

    private static boolean near(MatchTime worked, MatchTime called) {
        long later = called.since(worked);
        return later <= AWARD_MS && later >= -EARLY_MS;
    }

    private List<String> likely(ReadChange c) {
        if (c.call() != CallKind.POINTS) {
            return List.of();
        }
        MatchTime before = c.t().ms() > rules.holdMs() ? c.t().plus(-rules.holdMs()) : MatchTime.ZERO;
        Optional<Span> place = line.at(before);
        List<String> fits = new ArrayList<>();
        List<String> others = new ArrayList<>();
        rules.points().forEach((award, value) -> {
            if (value == c.by()) {
                (fits(award, place.orElse(null), c.who()) ? fits : others).add(award);
            }
        });
        fits.addAll(others);
        return fits;
    }

    /** Whether an award can begin in a place; in an unknown one nothing is preferred. */
    private static boolean fits(String award, @Nullable Span place, Corner who) {
        if (place == null) {
            return false;
        }
        boolean guard = place.guard() == who;
        return switch (award) {
            case "takedown" -> place.guard() == null && place.holder() == null;
            case "sweep" -> guard;
            case "pass" -> place.guard() == who.other();
            default -> place.holder() == who || place.guard() == who.other();
        };
    }
}
