package farglass.bench.truth;

import farglass.lexicon.Lexicon;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Meeting;
import farglass.matchup.simulate.FullSimulator;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Policy;
import farglass.matchup.solve.Solution;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.commons.rng.simple.RandomSource;

/**
 * What a plan made from twenty matches is worth in the truth: opponents are draws of a match-up of the demo, their film
 * is played under the whole rules, and the plan is valued where the truth is known.
 */
public final class PlanBench {
    private static final int MATCHES = 20;
    private static final SolverSettings SETTINGS =
            SolverSettings.USUAL.emphasis(1).coarse();
    private static final MatchAthlete US = new MatchAthlete("us", "Us", null, null, Map.of());

    private PlanBench() {}

    /** @param opponents of every ruleset */
    public static void start(int opponents) {
        Lexicon lexicon = Lexicon.builtIn();
        List<MatchRecord> demo = DemoLibrary.matches(lexicon, DemoLibrary.SEED);
        for (String rules : List.of("points-gi", "submission-only")) {
            Meeting prior = meeting(demo, lexicon, "ansa-kellivar", "odile-marrowen", rules);
            double[] sums = IntStream.range(0, opponents)
                    .mapToObj(i -> one(demo, lexicon, prior, rules, i))
                    .reduce(new double[4], PlanBench::sum);
            System.out.printf(
                    Locale.ROOT,
                    "%-16s promised %+.2f, brought %+.2f of a possible %+.2f points (%.0f %%), worse than the own game %d of %d%n",
                    rules,
                    100 * sums[0] / opponents,
                    100 * sums[1] / opponents,
                    100 * sums[2] / opponents,
                    100 * sums[1] / sums[2],
                    (int) sums[3],
                    opponents);
        }
    }

    /** Promised, brought, possible, and 1 when it does harm. */
    private static double[] one(List<MatchRecord> demo, Lexicon lexicon, Meeting prior, String rules, int i) {
        BackwardInduction truth =
                new BackwardInduction(prior.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(500 + i)), SETTINGS);
        MatchAthlete them = new MatchAthlete("them" + i, "Them " + i, null, null, Map.of());
        FullSimulator film = new FullSimulator(truth, null, US, them);
        List<MatchRecord> library = new ArrayList<>(demo);
        for (int n = 0; n < MATCHES; n++) {
            library.add(film.record(3000L * i + n));
        }
        Meeting m = meeting(library, lexicon, "us", them.id(), rules);
        BackwardInduction known = new BackwardInduction(m.model(), SETTINGS);
        Solution best = known.best(BackwardInduction.Answer.NEVER);
        Policy plan = best.policy();
        double natural = truth.win(null, BackwardInduction.Answer.NEVER);
        double brought = truth.win(plan.over(known, truth), BackwardInduction.Answer.NEVER) - natural;
        double possible = truth.best(BackwardInduction.Answer.NEVER).win() - natural;
        double promised = best.win() - known.win(null, BackwardInduction.Answer.NEVER);
        return new double[] {promised, brought, possible, brought < -0.001 ? 1 : 0};
    }

    private static Meeting meeting(List<MatchRecord> library, Lexicon lexicon, String us, String them, String rules) {
        return Meeting.of(
                LibraryIndex.of(library, lexicon),
                new Meeting.Question(
                        us,
                        them,
                        Rulesets.builtIn().of(rules, null).orElseThrow(),
                        Filter.ALL.halfLife(null),
                        LocalDate.of(2031, 5, 3),
                        480_000,
                        SETTINGS,
                        Constraints.NONE));
    }

    private static double[] sum(double[] a, double[] b) {
        return IntStream.range(0, a.length).mapToDouble(i -> a[i] + b[i]).toArray();
    }
}
