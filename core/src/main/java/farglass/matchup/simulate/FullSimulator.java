package farglass.matchup.simulate;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.matchup.model.Ending;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Options;
import farglass.matchup.solve.Policy;
import farglass.rules.PenaltyEffect;
import farglass.rules.Score;
import farglass.rules.Scoring;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.ZigguratSampler;
import org.apache.commons.rng.simple.RandomSource;
import org.jspecify.annotations.Nullable;

/**
 * Plays the model and writes every match down as a record, which the real rules engine then scores: holds have to last,
 * a pin retaken at once pays nothing, and what was nearly held earns an advantage. Our athlete is corner A.
 */
public final class FullSimulator {
    private static final int CHUNK = 500;
    private static final double MINUTE_MS = 60_000;

    private final BackwardInduction programme;
    private final Model model;
    private final Policy policy;
    private final Lexicon lexicon;
    private final MatchRecord.Details details;
    /** By moment, place and option. */
    private final Race[][][] races;
    /** The tag of every place, at the beginning of a match. */
    private final Tag.Position[] places;

    /**
     * @param policy null for the natural mix
     * @param a our athlete as he stands in the records
     */
    public FullSimulator(BackwardInduction programme, Policy policy, MatchAthlete a, MatchAthlete b) {
        this.programme = programme;
        this.model = programme.model();
        this.policy = policy;
        this.lexicon = model.groups().lexicon();
        int states = model.states().size();
        this.races = new Race[programme.moments()][states][];
        this.places = new Tag.Position[states];
        for (int p = 0; p < states; p++) {
            for (int moment = 0; moment < races.length; moment++) {
                races[moment][p] = new Race[programme.options(p).size()];
                for (int x = 0; x < races[moment][p].length; x++) {
                    races[moment][p][x] = race(p, x, moment);
                }
            }
            places[p] = tag(model.states().get(p));
        }
        this.details = new MatchRecord.Details(
                null, "simulated", null, null, null, model.rules().code(), model.horizonMs(), a, b, null);
    }

    /**
     * All that can happen in a place under an option, the most frequent first.
     *
     * @param until running sums of rates a minute, the last of them the total
     * @param ways null for a stalling call
     * @param by who acts; null for nobody
     */
    private record Race(double[] until, Model.Way[] ways, Corner[] by) {
        double total() {
            return until[until.length - 1];
        }
    }

    private record Runner(
            double rate, Model.@Nullable Way way, @Nullable Corner by) {}

    private Race race(int s, int x, int moment) {
        Options o = programme.options(moment, s);
        boolean hold = x > 0 && x == o.hold();
        List<Runner> runners = new ArrayList<>();
        for (int i = 0; i < model.own(s).size(); i++) {
            Model.Way w = model.own(s).get(i);
            runners.add(new Runner(o.rate(x, i), w, Corner.A));
        }
        double slowed = hold ? programme.settings().holdOtherFactor() : 1;
        model.theirs(s)
                .forEach(w -> runners.add(new Runner(slowed * w.rate() * programme.factor(w, moment), w, Corner.B)));
        model.drift(s).forEach(w -> runners.add(new Runner(w.rate(), w, null)));
        if (hold || runners.isEmpty()) {
            runners.add(new Runner(hold ? programme.calls(s) : 0, null, null));
        }
        runners.sort(Comparator.comparingDouble(r -> -r.rate()));
        double[] until = new double[runners.size()];
        double sum = 0;
        for (int i = 0; i < until.length; i++) {
            sum += runners.get(i).rate();
            until[i] = sum;
        }
        return new Race(
                until,
                runners.stream().map(Runner::way).toArray(Model.Way[]::new),
                runners.stream().map(Runner::by).toArray(Corner[]::new));
    }

    /** Plays and scores matches; each has a stream of its own. */
    public Outcomes run(long n, long seed, BooleanSupplier stop) {
        int chunks = (int) ((n + CHUNK - 1) / CHUNK);
        List<Outcomes> parts = IntStream.range(0, chunks)
                .parallel()
                .filter(c -> !stop.getAsBoolean())
                .mapToObj(c -> chunk((long) c * CHUNK, Math.min(n, (c + 1L) * CHUNK), seed))
                .toList();
        return Outcomes.sum(parts);
    }

    private Outcomes chunk(long from, long to, long seed) {
        Map<Ending, Long> endings = new EnumMap<>(Ending.class);
        Map<FinalScore, Long> scores = new TreeMap<>();
        for (long i = from; i < to; i++) {
            Score s = Scoring.of(record(seed + i), model.rules(), lexicon);
            endings.merge(ending(s), 1L, Long::sum);
            scores.merge(new FinalScore(s.points(Corner.A), s.points(Corner.B)), 1L, Long::sum);
        }
        return new Outcomes(to - from, endings, scores, Map.of(), Map.of());
    }

    private static Ending ending(Score s) {
        Corner winner = s.result().winner();
        if (winner == null) {
            return Ending.DRAW;
        }
        boolean won = winner == Corner.A;
        return switch (s.result().method()) {
            case SUBMISSION -> won ? Ending.WON_BY_SUBMISSION : Ending.LOST_BY_SUBMISSION;
            case DISQUALIFICATION -> won ? Ending.WON_BY_DISQUALIFICATION : Ending.LOST_BY_DISQUALIFICATION;
            default -> {
                if (s.points(Corner.A) != s.points(Corner.B)) {
                    yield won ? Ending.WON_BY_POINTS : Ending.LOST_BY_POINTS;
                }
                if (s.advantages(Corner.A) != s.advantages(Corner.B)) {
                    yield won ? Ending.WON_BY_ADVANTAGES : Ending.LOST_BY_ADVANTAGES;
                }
                yield won ? Ending.WON_BY_PENALTIES : Ending.LOST_BY_PENALTIES;
            }
        };
    }

    /** One match, always the same for a seed. */
    public MatchRecord record(long seed) {
        return new Run(RandomSource.XO_RO_SHI_RO_128_PP.create(seed)).play("simulated-" + seed);
    }

    private final class Run {
        private final UniformRandomProvider rng;
        private final ZigguratSampler.Exponential exponential;
        private final List<Tag> tags = new ArrayList<>();
        private int s;
        private int points;
        private int advantages;
        private int calls;
        private long now;

        Run(UniformRandomProvider rng) {
            this.rng = rng;
            this.exponential = ZigguratSampler.Exponential.of(rng);
        }

        MatchRecord play(String id) {
            tags.add(new Tag.Start(MatchTime.ZERO, name()));
            place(0);
            long end = model.horizonMs();
            while (now < end) {
                if (!event(end)) {
                    break;
                }
            }
            tags.add(new Tag.End(MatchTime.ofMs(Math.min(now, end)), name()));
            return MatchRecord.of(id, details, List.of(), tags);
        }

        /** One attempt or change; false when the match is over. */
        private boolean event(long end) {
            double left = exponential.sample();
            int step = programme.stepAt(now);
            int cell = programme.grid().cell(s, calls, advantages, points);
            long stepMs = programme.settings().stepMs();
            double t = now;
            Race race;
            while (true) {
                race = races[programme.moment(step, points, advantages)][s][
                        policy == null ? 0 : policy.get(step, cell)];
                double rate = race.total() / MINUTE_MS;
                double boundary = (step + 1.0) * stepMs;
                if (left < rate * (boundary - t)) {
                    t += left / rate;
                    break;
                }
                left -= rate * (boundary - t);
                t = boundary;
                step++;
                if (step >= programme.steps()) {
                    now = end;
                    return false;
                }
            }
            now = Math.max(now + 1, Math.round(t));
            if (now >= end) {
                now = end;
                return false;
            }
            return happen(race);
        }

        private boolean happen(Race race) {
            double pick = rng.nextDouble() * race.total();
            int i = 0;
            while (i < race.until().length - 1 && race.until()[i] <= pick) {
                i++;
            }
            Model.Way w = race.ways()[i];
            if (w == null) {
                return called();
            }
            if (race.by()[i] != null) {
                return attempt(w, race.by()[i]);
            }
            Model.Branch b = branch(w);
            if (b != null) {
                arrive(b);
            }
            return true;
        }

        /** A stalling call. */
        private boolean called() {
            tags.add(new Tag.Call(
                    MatchTime.ofMs(now), CallKind.PENALTY, Corner.A, null, true, null, "stalling", name()));
            PenaltyEffect effect = programme.grid().nextCall(calls);
            calls = programme.grid().afterCall(calls);
            advantages -= effect.advantages();
            points -= effect.points();
            return !effect.loses();
        }

        private Model.@Nullable Branch branch(Model.Way w) {
            double pick = rng.nextDouble();
            for (Model.Branch b : w.branches()) {
                pick -= b.chance();
                if (pick < 0) {
                    return b;
                }
            }
            return null;
        }

        private boolean attempt(Model.Way w, Corner by) {
            Model.Branch b = branch(w);
            if (b == null || !b.success()) {
                Map<String, Integer> levels = model.rules().advantages();
                int level =
                        b == null ? 1 : Math.min(3, levels.getOrDefault(w.exit().family(), 3));
                action(w, by, b == null ? Outcome.STUFFED : Outcome.NEAR, level, null);
                advantages += b == null ? 0 : b.advantages()[phase()];
                return true;
            }
            if (b.to() < 0) {
                action(w, by, Outcome.COMPLETED, 4, null);
                return false;
            }
            action(w, by, Outcome.COMPLETED, 4, model.states().get(b.to()).group());
            arrive(b);
            return true;
        }

        private void action(Model.Way w, Corner by, Outcome o, int level, @Nullable String to) {
            MatchTime t = MatchTime.ofMs(now);
            tags.add(Tag.Action.of(t, by, requireNonNull(w.exit().technique()))
                    .builder()
                    .outcome(o)
                    .reached(level)
                    .to(to)
                    .until(t)
                    .info(name())
                    .build());
        }

        private TagInfo name() {
            return TagInfo.withId("t" + (tags.size() + 1));
        }

        private int phase() {
            return programme.late(programme.stepAt(now)) ? 1 : 0;
        }

        /** The athletes follow the board as the model keeps it; the engine has the last word. */
        private void arrive(Model.Branch b) {
            points += b.points()[phase()];
            advantages += b.advantages()[phase()];
            place(b.to());
        }

        private void place(int to) {
            s = to;
            Tag.Position p = places[to];
            tags.add(Tag.Position.of(MatchTime.ofMs(now), p.position(), p.holder(), p.guard())
                    .builder()
                    .info(name())
                    .build());
        }
    }

    private Tag.Position tag(ModelState p) {
        Corner ahead = p.standing() > 0 ? Corner.A : p.standing() < 0 ? Corner.B : null;
        Corner guard = ahead != null && model.groups().guard(p.group()) ? ahead.other() : null;
        return Tag.Position.of(MatchTime.ZERO, p.group(), ahead, guard);
    }
}
