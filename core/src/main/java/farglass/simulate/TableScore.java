package farglass.simulate;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.Method;
import farglass.match.Result;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** The table at a made-up match: points once a place was held for three seconds, advantages, and who wins on time. */
final class TableScore {
    private static final long HOLD_MS = 3000;
    private static final List<String> NEAR_COUNTS = List.of("sweep", "pass", "back-take", "submission", "takedown");

    private final Lexicon lexicon;
    private final Consumer<Tag> calls;
    private final Map<Corner, Integer> points = new LinkedHashMap<>(Map.of(Corner.A, 0, Corner.B, 0));
    private final Map<Corner, Integer> advantages = new LinkedHashMap<>(Map.of(Corner.A, 0, Corner.B, 0));
    private final List<String> scored = new ArrayList<>();
    private int pendingPoints;
    private @Nullable Corner pendingFor;

    /** @param calls takes what the table calls */
    TableScore(Lexicon lexicon, Consumer<Tag> calls) {
        this.lexicon = lexicon;
        this.calls = calls;
    }

    /** A completed action has led from one place to another: its points are due once the place was held. */
    void reached(Technique technique, Corner by, Tag.Position from, Tag.Position to) {
        int value = value(technique, by, from, to);
        moved(from, to);
        pendingPoints = value;
        pendingFor = by;
    }

    /** A place was left for another: pending points are given or lost. */
    void moved(Tag.Position from, Tag.Position to) {
        settle(from, to.t().ms());
        boolean sameControl = from != null && from.holder() == to.holder() && to.holder() != null;
        if (!sameControl || to.guard() != null) {
            scored.clear();
        }
    }

    private int value(Technique technique, Corner by, Tag.Position from, Tag.Position reached) {
        Position to = lexicon.position(reached.position()).orElseThrow();
        boolean ground = !to.family().equals("standing");
        int value = 0;
        if (ground && List.of("takedown", "sweep").contains(technique.family())) {
            value += 2;
        }
        if (from.guard() != null
                && technique.family().equals("pass")
                && to.family().equals("pin")) {
            value += 3;
        }
        boolean counts = to.scoring() != null && !to.scoring().equals("pass-pin") && reached.holder() == by;
        if (counts && !scored.contains(to.scoring())) {
            value += to.scoring().equals("knee-on-belly") ? 2 : 4;
        }
        return value;
    }

    /** Gives pending points when the present place has been held long enough by then, else drops them. */
    void settle(Tag.Position here, long until) {
        if (pendingPoints == 0 || pendingFor == null) {
            return;
        }
        if (until - here.t().ms() >= HOLD_MS) {
            points.merge(pendingFor, pendingPoints, Integer::sum);
            calls.accept(call(here.t().ms() + HOLD_MS, CallKind.POINTS, pendingFor, pendingPoints));
            lexicon.position(here.position()).map(Position::scoring).ifPresent(scored::add);
            pendingPoints = 0;
        } else if (until > here.t().ms()) {
            pendingPoints = 0;
        }
    }

    /** The referee stood them up. */
    void restarted() {
        scored.clear();
        pendingPoints = 0;
    }

    /** An attempt failed on a rung of its ladder. */
    void failed(Tag.Action action, String family, MatchTime end) {
        if (Integer.valueOf(3).equals(action.reached()) && NEAR_COUNTS.contains(family)) {
            advantages.merge(action.by(), 1, Integer::sum);
            calls.accept(call(end.ms(), CallKind.ADVANTAGE, action.by(), null));
        }
    }

    /** @param coin decides what nothing else does */
    Result onTime(String ruleset, MatchTime end, boolean coin) {
        int byPoints = requireNonNull(points.get(Corner.A)) - requireNonNull(points.get(Corner.B));
        int byAdvantages = requireNonNull(advantages.get(Corner.A)) - requireNonNull(advantages.get(Corner.B));
        if (ruleset.equals("submission-only")) {
            return new Result(null, Method.DRAW, null, end);
        }
        if (byPoints != 0) {
            return new Result(byPoints > 0 ? Corner.A : Corner.B, Method.POINTS, null, end);
        }
        if (byAdvantages != 0) {
            return new Result(byAdvantages > 0 ? Corner.A : Corner.B, Method.ADVANTAGES, null, end);
        }
        return new Result(coin ? Corner.A : Corner.B, Method.DECISION, null, end);
    }

    private static Tag call(long t, CallKind kind, Corner who, @Nullable Integer value) {
        return new Tag.Call(MatchTime.ofMs(t), kind, who, value, true, null, null, TagInfo.NONE);
    }
}
