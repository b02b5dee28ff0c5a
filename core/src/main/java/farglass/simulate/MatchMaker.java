package farglass.simulate;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
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
import org.jspecify.annotations.Nullable;

/**
 * Makes a match between two styles: a race of exponential clocks over all attempts that the lexicon allows where the
 * athletes are, each attempt with a side, a ladder level and an outcome drawn from the styles, until a submission or
 * the end of time. What was just tried often calls for what comes next ({@link Habits}). The table's calls follow the
 * usual points.
 */
public final class MatchMaker {
    private static final String[] ANSWERS = {"posture", "frame", "post-and-return", "grip-strip", "hip-switch"};
    private static final double STOPS_PER_MINUTE = 0.16;
    /** Nobody is out of bounds before they have met. */
    private static final long FIRST_STOP_MS = 10_000;

    private static final long SETTLE_MS = 2500;
    /** Chance that a favourite sequence goes on when it can. */
    private static final double FAVOURED = 0.8;
    /** Added to the log odds of the second of a pair of attacks right after the first. */
    private static final double OPENED = 1.8;

    private static final long SOON_MS = 10_000;

    private final Lexicon lexicon;

    /** Makes matches in the words of a lexicon. */
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
            @Nullable String division,
            String attire,
            String ruleset,
            long lengthMs) {}

    /** One made-up match; the same seed makes the same one. */
    public MatchRecord make(Setting setting, Style a, Style b, long seed) {
        return new Run(setting, a, b, RandomSource.XO_RO_SHI_RO_128_PP.create(seed)).play();
    }

    private record Option(Corner by, Technique technique, double rate) {}

    private final class Run {
        private final Setting setting;
        private final Map<Corner, Style> styles;
        private final UniformRandomProvider rng;
        private final List<Tag> tags = new ArrayList<>();
        private final TableScore table = new TableScore(lexicon, tags::add);
        /** Set by the first move. */
        @SuppressWarnings("NullAway.Init")
        private Tag.Position here;

        private long now;
        private long settled;
        /** What was just tried, which calls for what comes next; null when nothing was. */
        private @Nullable Option cue;
        /** When it was tried. */
        private long tried;

        private @Nullable Result result;

        Run(Setting setting, Style a, Style b, UniformRandomProvider rng) {
            this.setting = setting;
            this.styles = Map.of(Corner.A, a, Corner.B, b);
            this.rng = rng;
        }

        private Style style(Corner c) {
            return requireNonNull(styles.get(c));
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
            Style s = style(c);
            Map<String, Object> extra = new LinkedHashMap<>();
            extra.put("team", s.team());
            extra.put("grade", "black");
            return new MatchAthlete(s.id(), s.name(), s.marker(), s.colour(), extra);
        }

        private void step() {
            List<Option> options = options();
            Option favourite = favourite(options);
            if (favourite != null && rng.nextDouble() < FAVOURED) {
                now = Math.max(now, settled) + 500 + rng.nextInt(3000);
                if (now < setting.lengthMs() - 500) {
                    attempt(favourite);
                    return;
                }
            }
            Option usual = rng.nextDouble() < Habits.FOLLOWED ? usual(options) : null;
            if (usual != null) {
                now = Math.max(now, settled) + 500 + rng.nextInt(3000);
                if (now < setting.lengthMs() - 500) {
                    attempt(usual);
                    return;
                }
            }
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
            if (now >= FIRST_STOP_MS) {
                stop();
            }
        }

        /** The next step of a favourite sequence of the one who acted, or null. */
        private @Nullable Option favourite(List<Option> options) {
            if (cue == null) {
                return null;
            }
            Corner by = cue.by();
            for (String code : style(by).next(cue.technique().code())) {
                for (Option o : options) {
                    if (o.by() == by && o.technique().code().equals(code)) {
                        return o;
                    }
                }
            }
            return null;
        }

        /**
         * What the one who acted goes on with, or what the other answers, out of habit; null when neither has a habit
         * here.
         */
        private @Nullable Option usual(List<Option> options) {
            if (cue == null) {
                return null;
            }
            Corner by = cue.by();
            String tried = cue.technique().code();
            Option on = first(options, by, style(by).goesOn(tried), Habits.own(tried));
            Option answer = first(options, by.other(), style(by.other()).answers(tried), Habits.answers(tried));
            return on != null && (answer == null || rng.nextDouble() < Habits.GOES_ON) ? on : answer;
        }

        /** The first of one's own habits that is possible, else the first usual one that he practises. */
        private @Nullable Option first(List<Option> options, Corner by, List<String> own, List<String> usual) {
            Style style = style(by);
            List<String> order = new ArrayList<>(own);
            usual.stream().filter(u -> style.weight(u) > Style.UNNAMED).forEach(order::add);
            for (String code : order) {
                for (Option o : options) {
                    if (o.by() == by && o.technique().code().equals(code)) {
                        return o;
                    }
                }
            }
            return null;
        }

        private boolean isGuard() {
            return here.guard() != null;
        }

        private List<Option> options() {
            List<Option> found = new ArrayList<>();
            boolean contested = here.holder() != null || here.guard() != null;
            for (Corner by : Corner.values()) {
                Style style = style(by);
                List<Technique> mine = lexicon.startingIn(here.position()).stream()
                        .filter(t -> SimulatedRates.ATTEMPTS.containsKey(t.family()))
                        .filter(t -> !t.restricted().contains(setting.ruleset()))
                        .filter(t -> "gi".equals(setting.attire()) || !lexicon.needsGi(t.code()))
                        .filter(t -> t.role().allows(here.holder() == by, here.guard() == by, contested))
                        .filter(t -> sensible(t, by, contested))
                        .toList();
                Map<String, Double> familyWeight = new LinkedHashMap<>();
                mine.forEach(t -> familyWeight.merge(t.family(), style.weight(t.code()), Double::sum));
                for (Technique t : mine) {
                    // an athlete who has practised no finish from here rarely tries one
                    double least = t.family().equals("submission") ? 1 : 0;
                    double share =
                            style.weight(t.code()) / Math.max(least, requireNonNull(familyWeight.get(t.family())));
                    found.add(new Option(
                            by,
                            t,
                            requireNonNull(SimulatedRates.ATTEMPTS.get(t.family()))
                                    * style.activity(t.family())
                                    * share));
                }
            }
            return found;
        }

        /**
         * "Any" in the lexicon is about what may be tagged; a made-up athlete attacks from where attacks make sense.
         */
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
            Style style = style(o.by());
            long length = 900 + (long) Math.min(8000, -Math.log(1 - rng.nextDouble()) * 2200);
            long end = Math.min(now + length, setting.lengthMs() - 200);
            double odds = requireNonNull(SimulatedRates.ODDS.get(technique.family()))
                    + style.skill(technique.code(), technique.family())
                    - style(o.by().other()).defence(technique.family());
            boolean opened = cue != null
                    && cue.by() == o.by()
                    && now - tried < SOON_MS
                    && style.opens(cue.technique().code(), technique.code());
            boolean works = rng.nextDouble() < 1 / (1 + Math.exp(-odds - (opened ? OPENED : 0)));
            tried = now;
            Side side = technique.sided() ? side(style.right(technique.family())) : null;
            Tag.Action begun =
                    Tag.Action.of(MatchTime.ofMs(now), o.by(), technique.code()).sided(side);
            if (works) {
                succeed(begun, technique, MatchTime.ofMs(end));
            } else {
                fail(begun, technique, MatchTime.ofMs(end));
            }
            now = end;
            cue = o;
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
                table.settle(here, end.ms());
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
            table.reached(technique, begun.by(), here, reached);
            place(reached);
            if (target.guard() && rng.nextDouble() < 0.4) {
                guardGrip(end);
            } else if (target.neutral()) {
                firstGrip();
            }
        }

        private void lock(Tag.Action action, Technique technique, int threat, MatchTime t) {
            MatchTime when = t.compareTo(here.t()) > 0 ? t : here.t().plus(1);
            move(Tag.Position.of(when, "LCK", action.by(), here.guard())
                    .builder()
                    .cause(Cause.FORCED)
                    .technique(technique.code())
                    .threat(threat)
                    .base(here.position())
                    .build());
        }

        private void fail(Tag.Action begun, Technique technique, MatchTime end) {
            double r = rng.nextDouble();
            int reached = r < 0.5 ? 1 : r < 0.82 ? 2 : 3;
            Outcome outcome = reached == 3 || (reached == 2 && rng.nextBoolean())
                    ? Outcome.NEAR
                    : rng.nextDouble() < 0.75 ? Outcome.STUFFED : Outcome.ABANDONED;
            Tag.Action failed = begun.result(outcome, reached, null, end);
            if (rng.nextDouble() < 0.5) {
                failed = failed.answered(ANSWERS[rng.nextInt(ANSWERS.length)]);
            }
            tags.add(failed);
            String family = technique.family();
            Tag.Position before = here;
            if (family.equals("submission") && reached >= 2) {
                lock(begun, technique, reached, MatchTime.ofMs((begun.t().ms() + end.ms()) / 2));
                move(before.at(end).caused(Cause.FREE).with(TagInfo.NONE));
            } else if (family.equals("pass") && reached >= 2 && rng.nextDouble() < 0.6) {
                String place = SimulatedRates.CAUGHT_PASSING.getOrDefault(technique.code(), "HQ");
                if (!place.equals(here.position())) {
                    move(Tag.Position.of(end, place, begun.by(), begun.by().other())
                            .sided(begun.side())
                            .caused(Cause.FORCED));
                }
            }
            table.failed(failed, family, end);
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
            Map<String, Double> guards = style(by).guards();
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
            table.moved(here, next);
            place(next);
        }

        private void place(Tag.Position next) {
            here = next;
            tags.add(next);
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
            grip(Math.min(at.ms() + 600, setting.lengthMs() - 300), requireNonNull(here.guard()), grip);
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
            table.settle(here, now);
            cue = null;
            tags.add(new Tag.Stop(MatchTime.ofMs(now), "out-of-bounds", TagInfo.NONE));
            boolean stand = here.guard() == null || rng.nextDouble() < 0.4;
            if (stand) {
                tags.add(new Tag.Resume(MatchTime.ofMs(now), "STD", null, null, TagInfo.NONE));
                here = Tag.Position.of(MatchTime.ofMs(now), "STD", null, null);
                table.restarted();
                firstGrip();
            } else {
                tags.add(new Tag.Resume(
                        MatchTime.ofMs(now), here.position(), here.holder(), here.guard(), TagInfo.NONE));
            }
            settled = now + SETTLE_MS;
        }

        private void finishOnTime() {
            now = setting.lengthMs();
            table.settle(here, now);
            MatchTime end = MatchTime.ofMs(now);
            tags.add(new Tag.End(end, TagInfo.NONE));
            result = table.onTime(setting.ruleset(), end, rng.nextBoolean());
        }
    }
}
