package farglass.simulate;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.Outcome;
import farglass.match.Result;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.phrase.Arrival;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * Makes a match between two styles: a race of exponential clocks over all attempts that the lexicon allows where the
 * athletes are, each attempt with a side, a ladder level and an outcome drawn from the styles, until a submission or the
 * end of time. The table's calls follow the usual points.
 */
public final class MatchMaker {
    /** Usual attempts per minute of a family while it is possible. */
    private static final Map<String, Double> RATES = Map.ofEntries(
            Map.entry("takedown", 1.1),
            Map.entry("guard-pull", 1.0),
            Map.entry("guard-entry", 1.6),
            Map.entry("sweep", 1.4),
            Map.entry("reversal", 0.3),
            Map.entry("pass", 1.7),
            Map.entry("pin-advance", 1.3),
            Map.entry("back-take", 0.7),
            Map.entry("submission", 0.8),
            Map.entry("escape", 0.9),
            Map.entry("recovery", 1.1),
            Map.entry("stand-up", 0.2));

    /** Usual log odds that an attempt of a family is completed. */
    private static final Map<String, Double> ODDS = Map.ofEntries(
            Map.entry("takedown", -0.8),
            Map.entry("guard-pull", 2.6),
            Map.entry("guard-entry", 1.0),
            Map.entry("sweep", -0.9),
            Map.entry("reversal", -1.3),
            Map.entry("pass", -1.0),
            Map.entry("pin-advance", 0.3),
            Map.entry("back-take", -0.7),
            Map.entry("submission", -2.5),
            Map.entry("escape", -0.6),
            Map.entry("recovery", -0.2),
            Map.entry("stand-up", 0.4));

    private static final Map<String, String> CAUGHT_PASSING = Map.of(
            "knee-cut",
            "KCT",
            "leg-drag",
            "LDR",
            "over-under",
            "OVU",
            "double-under",
            "STK",
            "stack-pass",
            "STK",
            "body-lock-pass",
            "BLP",
            "long-step",
            "LST",
            "smash-pass",
            "SMH");
    private static final String[] ANSWERS = {"posture", "frame", "post-and-return", "grip-strip", "hip-switch"};
    private static final double STOPS_PER_MINUTE = 0.16;
    private static final long SETTLE_MS = 2500;
    private static final long HOLD_MS = 3000;

    private final Lexicon lexicon;

    public MatchMaker(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    /**
     * The frame of a match.
     *
     * @param lengthMs scheduled length, positive
     */
    public record Setting(
            String id,
            LocalDate date,
            String event,
            String round,
            String division,
            String attire,
            String ruleset,
            long lengthMs) {}

    public MatchRecord make(Setting setting, Style a, Style b, long seed) {
        return new Run(setting, a, b, RandomSource.XO_RO_SHI_RO_128_PP.create(seed)).play();
    }

    private record Option(Corner by, Technique technique, double rate) {}

    private final class Run {
        private final Setting setting;
        private final Map<Corner, Style> styles;
        private final UniformRandomProvider rng;
        private final List<Tag> tags = new ArrayList<>();
        private final Map<Corner, Integer> points = new LinkedHashMap<>(Map.of(Corner.A, 0, Corner.B, 0));
        private final Map<Corner, Integer> advantages = new LinkedHashMap<>(Map.of(Corner.A, 0, Corner.B, 0));
        private final List<String> scored = new ArrayList<>();
        private Tag.Position here;
        private long now;
        private long settled;
        private int pendingPoints;
        private Corner pendingFor;
        private Result result;

        Run(Setting setting, Style a, Style b, UniformRandomProvider rng) {
            this.setting = setting;
            this.styles = Map.of(Corner.A, a, Corner.B, b);
            this.rng = rng;
        }

        MatchRecord play() {
            tags.add(new Tag.Start(MatchTime.ZERO, TagInfo.NONE));
            move(Tag.Position.of(MatchTime.ZERO, "STD", null, null));
            firstGrip();
            while (result == null) {
                step();
            }
            List<Tag> named = new ArrayList<>();
            tags.sort(java.util.Comparator.comparing(Tag::t));
            for (int i = 0; i < tags.size(); i++) {
                named.add(tags.get(i).with(TagInfo.withId("t" + (i + 1))));
            }
            MatchRecord.Details details = new MatchRecord.Details(
                    setting.date(),
                    setting.event(),
                    setting.round(),
                    setting.division(),
                    setting.attire(),
                    setting.ruleset(),
                    setting.lengthMs(),
                    athlete(Corner.A),
                    athlete(Corner.B),
                    result);
            return MatchRecord.of(setting.id(), details, List.of(), named);
        }

        private MatchAthlete athlete(Corner c) {
            Style s = styles.get(c);
            Map<String, Object> extra = new LinkedHashMap<>();
            extra.put("team", s.team());
            extra.put("grade", "black");
            return new MatchAthlete(s.id(), s.name(), s.marker(), s.colour(), extra);
        }

        private void step() {
            List<Option> options = options();
            double total = options.stream().mapToDouble(Option::rate).sum();
            double stops = here.holder() == null || isGuard() ? STOPS_PER_MINUTE : STOPS_PER_MINUTE / 8;
            long wait = (long) (-Math.log(1 - rng.nextDouble()) / (total + stops) * 60_000);
            long next = Math.max(now + wait, settled);
            if (next >= setting.lengthMs() - 500) {
                finishOnTime();
                return;
            }
            now = next;
            double pick = rng.nextDouble() * (total + stops);
            for (Option o : options) {
                pick -= o.rate();
                if (pick < 0) {
                    attempt(o);
                    return;
                }
            }
            stop();
        }

        private boolean isGuard() {
            return here.guard() != null;
        }

        private List<Option> options() {
            List<Option> found = new ArrayList<>();
            boolean contested = here.holder() != null || here.guard() != null;
            for (Corner by : Corner.values()) {
                Style style = styles.get(by);
                List<Technique> mine = lexicon.startingIn(here.position()).stream()
                        .filter(t -> RATES.containsKey(t.family()))
                        .filter(t -> !t.restricted().contains(setting.ruleset()))
                        .filter(t -> t.role().allows(here.holder() == by, here.guard() == by, contested))
                        .filter(t -> sensible(t, by, contested))
                        .toList();
                Map<String, Double> familyWeight = new LinkedHashMap<>();
                mine.forEach(t -> familyWeight.merge(t.family(), style.weight(t.code()), Double::sum));
                for (Technique t : mine) {
                    // an athlete who has practised no finish from here rarely tries one
                    double least = t.family().equals("submission") ? 1 : 0;
                    double share = style.weight(t.code()) / Math.max(least, familyWeight.get(t.family()));
                    found.add(new Option(by, t, RATES.get(t.family()) * style.activity(t.family()) * share));
                }
            }
            return found;
        }

        /** "Any" in the lexicon is about what may be tagged; a made-up athlete attacks from where attacks make sense. */
        private boolean sensible(Technique t, Corner by, boolean contested) {
            boolean ahead = here.holder() == by;
            return switch (t.family()) {
                case "submission" -> ahead || here.guard() == by;
                case "back-take" -> !contested || ahead || here.guard() == by;
                case "takedown" -> !contested || ahead;
                case "stand-up" -> here.guard() != null || !ahead;
                case "guard-pull" -> !t.code().equals("double-pull") && (!contested || !ahead);
                default -> true;
            };
        }

        private void attempt(Option o) {
            Technique technique = o.technique();
            Style style = styles.get(o.by());
            long length = 900 + (long) Math.min(8000, -Math.log(1 - rng.nextDouble()) * 2200);
            long end = Math.min(now + length, setting.lengthMs() - 200);
            double odds = ODDS.get(technique.family())
                    + style.skill(technique.code(), technique.family())
                    - styles.get(o.by().other()).defence(technique.family());
            boolean works = rng.nextDouble() < 1 / (1 + Math.exp(-odds));
            Side side = technique.sided() ? side(style.right(technique.family())) : null;
            Tag.Action begun =
                    Tag.Action.of(MatchTime.ofMs(now), o.by(), technique.code()).sided(side);
            if (works) {
                succeed(begun, technique, MatchTime.ofMs(end));
            } else {
                fail(begun, technique, MatchTime.ofMs(end));
            }
            now = end;
            settled = now + SETTLE_MS;
        }

        private Side side(double right) {
            return rng.nextDouble() < right ? Side.RIGHT : Side.LEFT;
        }

        private void succeed(Tag.Action begun, Technique technique, MatchTime end) {
            if (technique.family().equals("submission")) {
                tags.add(begun.result(Outcome.COMPLETED, 4, "LCK", end));
                lock(begun, technique, 3, MatchTime.ofMs((begun.t().ms() + end.ms()) / 2));
                now = end.ms();
                settlePoints(end.ms());
                tags.add(new Tag.End(end, TagInfo.NONE));
                result = new Result(begun.by(), Method.SUBMISSION, technique.code(), end);
                return;
            }
            Position target = target(technique, begun.by());
            tags.add(begun.result(Outcome.COMPLETED, 4, target.code(), end));
            Tag.Position reached = Arrival.of(end, technique, begun.by(), target)
                    .caused(rng.nextDouble() < 0.8 ? Cause.FORCED : Cause.CONCEDED);
            if (target.guard()) {
                reached = reached.sided(begun.side());
            }
            int value = value(technique, begun.by(), reached);
            move(reached);
            pendingPoints = value;
            pendingFor = begun.by();
            if (target.guard() && rng.nextDouble() < 0.4) {
                guardGrip(end);
            } else if (target.neutral()) {
                firstGrip();
            }
        }

        private void lock(Tag.Action action, Technique technique, int threat, MatchTime t) {
            MatchTime when = t.compareTo(here.t()) > 0 ? t : here.t().plus(1);
            move(new Tag.Position(
                    when,
                    "LCK",
                    action.by(),
                    here.guard(),
                    null,
                    null,
                    Cause.FORCED,
                    technique.code(),
                    threat,
                    here.position(),
                    TagInfo.NONE));
        }

        private void fail(Tag.Action begun, Technique technique, MatchTime end) {
            double r = rng.nextDouble();
            int reached = r < 0.5 ? 1 : r < 0.82 ? 2 : 3;
            Outcome outcome = reached == 3 || reached == 2 && rng.nextBoolean()
                    ? Outcome.NEAR
                    : rng.nextDouble() < 0.75 ? Outcome.STUFFED : Outcome.ABANDONED;
            Tag.Action failed = begun.result(outcome, reached, null, end);
            if (rng.nextDouble() < 0.5) {
                failed = answered(failed, ANSWERS[rng.nextInt(ANSWERS.length)]);
            }
            tags.add(failed);
            String family = technique.family();
            Tag.Position before = here;
            if (family.equals("submission") && reached >= 2) {
                lock(begun, technique, reached, MatchTime.ofMs((begun.t().ms() + end.ms()) / 2));
                move(before.at(end).caused(Cause.FREE).with(TagInfo.NONE));
            } else if (family.equals("pass") && reached >= 2 && rng.nextDouble() < 0.6) {
                String place = CAUGHT_PASSING.getOrDefault(technique.code(), "HQ");
                if (!place.equals(here.position())) {
                    move(Tag.Position.of(end, place, begun.by(), begun.by().other())
                            .sided(begun.side())
                            .caused(Cause.FORCED));
                }
            }
            boolean advantage = reached == 3
                    && List.of("sweep", "pass", "back-take", "submission", "takedown")
                            .contains(family);
            if (advantage) {
                advantages.merge(begun.by(), 1, Integer::sum);
                tags.add(call(end.ms(), CallKind.ADVANTAGE, begun.by(), null));
            }
        }

        private Tag.Action answered(Tag.Action a, String answer) {
            return new Tag.Action(
                    a.t(),
                    a.by(),
                    a.technique(),
                    a.family(),
                    a.sides(),
                    a.outcome(),
                    a.reached(),
                    a.to(),
                    a.until(),
                    answer,
                    a.limb(),
                    a.checks(),
                    a.target(),
                    a.believed(),
                    a.info());
        }

        private Position target(Technique technique, Corner by) {
            boolean toGuard = List.of("guard-pull", "guard-entry").contains(technique.family())
                    && !technique.code().equals("leg-entry")
                    && !technique.code().equals("jump-guard");
            boolean home = technique.family().equals("recovery") && rng.nextDouble() < 0.7;
            if (toGuard || home || technique.to().isEmpty()) {
                return lexicon.position(favourite(by)).orElseThrow();
            }
            for (String code : technique.to()) {
                if (rng.nextDouble() < 0.65 && !code.equals(here.position())) {
                    return lexicon.position(code).orElseThrow();
                }
            }
            return lexicon.position(technique.to().get(0)).orElseThrow();
        }

        private String favourite(Corner by) {
            Map<String, Double> guards = styles.get(by).guards();
            double pick = rng.nextDouble()
                    * guards.values().stream().mapToDouble(Double::doubleValue).sum();
            String last = "OPN";
            for (Map.Entry<String, Double> g : guards.entrySet()) {
                last = g.getKey();
                pick -= g.getValue();
                if (pick < 0) {
                    return last;
                }
            }
            return last;
        }

        private void move(Tag.Position next) {
            if (here != null) {
                settlePoints(next.t().ms());
            }
            boolean sameControl = here != null && here.holder() == next.holder() && next.holder() != null;
            if (!sameControl || next.guard() != null) {
                scored.clear();
            }
            here = next;
            tags.add(next);
        }

        /** Points a completed action is worth once the place has been held for three seconds. */
        private int value(Technique technique, Corner by, Tag.Position reached) {
            Position to = lexicon.position(reached.position()).orElseThrow();
            boolean ground = !to.family().equals("standing");
            boolean fromGuard = here.guard() != null;
            int value = 0;
            if (technique.family().equals("takedown") && ground
                    || technique.family().equals("sweep") && ground) {
                value += 2;
            }
            if (fromGuard && technique.family().equals("pass") && (to.family().equals("pin"))) {
                value += 3;
            }
            if (to.scoring() != null
                    && !to.scoring().equals("pass-pin")
                    && reached.holder() == by
                    && !scored.contains(to.scoring())) {
                value += to.scoring().equals("knee-on-belly") ? 2 : 4;
            }
            return value;
        }

        private void settlePoints(long until) {
            if (pendingPoints > 0 && here != null && until - here.t().ms() >= HOLD_MS) {
                points.merge(pendingFor, pendingPoints, Integer::sum);
                tags.add(call(here.t().ms() + HOLD_MS, CallKind.POINTS, pendingFor, pendingPoints));
                lexicon.position(here.position()).map(Position::scoring).ifPresent(scored::add);
                pendingPoints = 0;
            } else if (pendingPoints > 0 && here != null && until > here.t().ms()) {
                pendingPoints = 0;
            }
        }

        private Tag call(long t, CallKind kind, Corner who, Integer value) {
            return new Tag.Call(MatchTime.ofMs(t), kind, who, value, true, null, null, TagInfo.NONE);
        }

        private void firstGrip() {
            Corner by = rng.nextBoolean() ? Corner.A : Corner.B;
            boolean gi = "gi".equals(setting.attire());
            String[] grips = gi
                    ? new String[] {"collar-cross", "collar-same", "sleeve-same", "lapel"}
                    : new String[] {"wrist", "two-on-one", "head-control", "under-hook"};
            long t = Math.min(here.t().ms() + 700 + rng.nextInt(2500), setting.lengthMs() - 300);
            if (t > here.t().ms()) {
                grip(t, by, grips[rng.nextInt(grips.length)]);
            }
        }

        private void guardGrip(MatchTime at) {
            String grip = "gi".equals(setting.attire()) ? "sleeve-same" : "wrist";
            grip(Math.min(at.ms() + 600, setting.lengthMs() - 300), here.guard(), grip);
        }

        private void grip(long t, Corner by, String code) {
            settled = Math.max(settled, t + 400);
            tags.add(new Tag.Grip(
                    MatchTime.ofMs(t),
                    by,
                    code,
                    side(0.5),
                    rng.nextBoolean() ? "deep" : "shallow",
                    null,
                    null,
                    TagInfo.NONE));
        }

        private void stop() {
            settlePoints(now);
            tags.add(new Tag.Stop(MatchTime.ofMs(now), "out-of-bounds", TagInfo.NONE));
            boolean stand = here.guard() == null || rng.nextDouble() < 0.4;
            if (stand) {
                tags.add(new Tag.Resume(MatchTime.ofMs(now), "STD", null, null, TagInfo.NONE));
                here = Tag.Position.of(MatchTime.ofMs(now), "STD", null, null);
                scored.clear();
                pendingPoints = 0;
                firstGrip();
            } else {
                tags.add(new Tag.Resume(
                        MatchTime.ofMs(now), here.position(), here.holder(), here.guard(), TagInfo.NONE));
            }
            settled = now + SETTLE_MS;
        }

        private void finishOnTime() {
            now = setting.lengthMs();
            settlePoints(now);
            tags.add(new Tag.End(MatchTime.ofMs(now), TagInfo.NONE));
            int byPoints = points.get(Corner.A) - points.get(Corner.B);
            int byAdvantages = advantages.get(Corner.A) - advantages.get(Corner.B);
            MatchTime end = MatchTime.ofMs(now);
            if (setting.ruleset().equals("submission-only")) {
                result = new Result(null, Method.DRAW, null, end);
            } else if (byPoints != 0) {
                result = new Result(byPoints > 0 ? Corner.A : Corner.B, Method.POINTS, null, end);
            } else if (byAdvantages != 0) {
                result = new Result(byAdvantages > 0 ? Corner.A : Corner.B, Method.ADVANTAGES, null, end);
            } else {
                result = new Result(rng.nextBoolean() ? Corner.A : Corner.B, Method.DECISION, null, end);
            }
        }
    }
}
