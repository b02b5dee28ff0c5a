package farglass.matchup.fit;

import farglass.match.Corner;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.tendency.Evidence;
import farglass.tendency.MatchFacts;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How much additional tries succeed against usual ones (ruling M28), from matches in which the same athlete tried a
 * family of techniques more or less often than he does otherwise. If chance falls with the rate as rate to the power b,
 * the tries of a small increase succeed 1 + b times as often as the usual ones.
 *
 * <p>How busy he was is taken from the other stays of the match, because a success ends the stay it falls in; and only
 * as far as matches differ more than chance makes them (regression calibration; Carroll et al., Measurement Error in
 * Nonlinear Models, 2006, ch. 4). The slope is that of a logistic regression within athletes, with a normal prior.
 */
final class Elasticity {
    /** What is believed before any film is seen, and how firmly. */
    private static final double USUAL = 0.8;

    private static final double SPREAD = 0.1;
    private static final double LEAST = 0.3;
    private static final int ROUNDS = 20;
    private static final double MINUTE_MS = 60_000;
    private static final double CLOSE = 1e-9;
    /** Strengths of the differences between matches, in tries; the last is as good as no difference. */
    private static final double[] GRID = {1, 2, 4, 8, 16, 32, 64, 1e6};

    private static final double USUAL_STRENGTH = 16;

    /** One decided try: whether it worked, its usual log odds, and the stay it fell in. */
    private record Try(boolean worked, double odds, int stay) {}

    /** An athlete's stays of one match in which a family can be tried: tries and tries expected. */
    private static final class Stays {
        final String who;
        final Map<Integer, double[]> byStay = new HashMap<>();
        final List<Try> tries = new ArrayList<>();

        Stays(String who) {
            this.who = who;
        }

        double sum(int what) {
            return byStay.values().stream().mapToDouble(s -> s[what]).sum();
        }
    }

    /** One try as the regression sees it. */
    private record Point(boolean worked, double odds, double busy) {}

    private final PooledRates usual;
    private final LocalRecords.Effects effects;
    private final StateSpace groups;
    private final List<Stays> matches = new ArrayList<>();

    private Elasticity(PooledRates usual, LocalRecords.Effects effects, StateSpace groups) {
        this.usual = usual;
        this.effects = effects;
        this.groups = groups;
    }

    /** Success of additional tries against that of usual ones, 0.3 to 1; 0.8 where the film says nothing. */
    static double of(List<MatchFacts> facts, PooledRates usual, LocalRecords.Effects effects, StateSpace groups) {
        Elasticity e = new Elasticity(usual, effects, groups);
        facts.forEach(e::add);
        return e.estimate();
    }

    private void add(MatchFacts facts) {
        for (Corner c : Corner.values()) {
            String acting = facts.record().athlete(c).id();
            String facing = facts.record().athlete(c.other()).id();
            if (effects.fitted(acting) && effects.fitted(facing)) {
                add(facts, c, new Observed.Pair(acting, facing));
            }
        }
    }

    private void add(MatchFacts facts, Corner c, Observed.Pair pair) {
        Map<String, Stays> byFamily = new HashMap<>();
        for (MatchFacts.Act act : facts.acts()) {
            if (act.action().by() == c && act.span() != null && groups.place(act.span(), c) != null) {
                byFamily.computeIfAbsent(act.family(), k -> new Stays(pair.acting() + ' ' + k));
            }
        }
        List<Span> spans = facts.line().spans();
        Map<Span, Integer> numbers = new HashMap<>();
        for (int i = 0; i < spans.size(); i++) {
            numbers.put(spans.get(i), i);
            ModelState here = groups.place(spans.get(i), c);
            for (Map.Entry<String, Stays> e : byFamily.entrySet()) {
                double rate = here == null || usual.shares(here, e.getKey()).isEmpty()
                        ? 0
                        : usual.rate(here, e.getKey()) * Math.exp(effects.rate(e.getKey(), pair));
                if (rate > 0) {
                    e.getValue().byStay.put(i, new double[] {
                        0, rate * spans.get(i).lengthMs() / MINUTE_MS
                    });
                }
            }
        }
        for (MatchFacts.Act act : facts.acts()) {
            Tag.Action a = act.action();
            Stays stays = a.by() == c && act.span() != null ? byFamily.get(act.family()) : null;
            Integer stay = stays == null ? null : numbers.get(act.span());
            if (stays == null || stay == null || !stays.byStay.containsKey(stay)) {
                continue;
            }
            stays.byStay.get(stay)[0]++;
            if (Evidence.outcomeSeen(a)) {
                double[] ab = usual.chance(a.technique());
                double odds = Math.log(ab[0] / ab[1]) + effects.chance(act.family(), pair);
                stays.tries.add(new Try(a.completed(), odds, stay));
            }
        }
        matches.addAll(byFamily.values());
    }

    private double estimate() {
        List<PriorStrength.Counts> counts = new ArrayList<>();
        matches.forEach(m -> counts.add(new PriorStrength.Counts(m.sum(0), m.sum(1), 0)));
        double strength = PriorStrength.ofRates(counts, GRID, USUAL_STRENGTH).likeliest();
        Map<String, List<Point>> byAthlete = new HashMap<>();
        for (Stays m : matches) {
            double tries = m.sum(0);
            double expected = m.sum(1);
            for (Try t : m.tries) {
                double[] own = m.byStay.getOrDefault(t.stay(), new double[2]);
                double busy = Math.log((strength + tries - own[0]) / (strength + expected - own[1]));
                byAthlete.computeIfAbsent(m.who, k -> new ArrayList<>()).add(new Point(t.worked(), t.odds(), busy));
            }
        }
        List<Point> points = new ArrayList<>();
        byAthlete.values().forEach(own -> {
            double mean = own.stream().mapToDouble(Point::busy).average().orElse(0);
            own.forEach(p -> points.add(new Point(p.worked(), p.odds(), p.busy() - mean)));
        });
        return points.isEmpty() ? USUAL : slope(points);
    }

    /** Newton's method for the one slope. */
    private static double slope(List<Point> points) {
        double worked = points.stream().filter(Point::worked).count() / (double) points.size();
        double fail = Math.max(0.05, 1 - worked);
        double prior = (USUAL - 1) / fail;
        double sd = SPREAD / fail;
        double b = prior;
        for (int round = 0; round < ROUNDS; round++) {
            double gradient = -(b - prior) / (sd * sd);
            double curvature = 1 / (sd * sd);
            for (Point x : points) {
                double p = 1 / (1 + Math.exp(-x.odds() - b * x.busy()));
                gradient += ((x.worked() ? 1 : 0) - p) * x.busy();
                curvature += p * (1 - p) * x.busy() * x.busy();
            }
            double step = gradient / curvature;
            b += step;
            if (Math.abs(step) < CLOSE) {
                break;
            }
        }
        return Math.max(LEAST, Math.min(1, 1 + b * fail));
    }
}
