package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.match.MatchAthlete;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Uncertainty;
import farglass.matchup.simulate.FullSimulator;
import farglass.matchup.simulate.Outcomes;
import farglass.matchup.simulate.Simulator;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Solution;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/** The match-up: solved, simulated, drawn; and programme against simulator under every ruleset. */
final class MeetingBench {
    private static final String US = "ansa-kellivar";
    private static final List<String> THEM = List.of("brisa-tolendt", "odile-marrowen", "juno-fastrel");
    private static final int ROUNDS = 5;
    private static final int MATCHES = 1_000_000;
    private static final int FULL = 200_000;
    private static final MatchAthlete A = new MatchAthlete("a", "A", null, null, Map.of());
    private static final MatchAthlete B = new MatchAthlete("b", "B", null, null, Map.of());

    private final LibraryIndex index =
            LibraryIndex.of(DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED), Lexicon.builtIn());

    private Meeting meeting(String them, Ruleset rules, SolverSettings settings) {
        return Meeting.of(
                index,
                new Meeting.Question(
                        US, them, rules, Filter.ALL, LocalDate.of(2031, 5, 3), 480_000, settings, Constraints.NONE));
    }

    void run() throws Exception {
        Ruleset points = Rulesets.builtIn().orUsual("points-gi", null);
        Meeting m = meeting(THEM.get(0), points, SolverSettings.USUAL.emphasis(1));
        BackwardInduction p = new BackwardInduction(m.model(), m.question().settings());
        System.out.printf(
                Locale.ROOT,
                "MeetingBench: %d places, %d steps%n",
                m.model().states().size(),
                p.steps());
        line("programme with options, 5 s steps", median(() -> p.best(BackwardInduction.Answer.NEVER)), 1.5);
        Meeting coarse = m.under(SolverSettings.USUAL.coarse(), Constraints.NONE);
        line("dial or what-if, 8 s steps", median(coarse::glance), 1);
        Solution best = p.best(BackwardInduction.Answer.NEVER);
        System.out.printf(
                Locale.ROOT, "  %-40s %8.2f s%n", "forward pass with leverage", median(() -> ForwardPass.of(best)));
        simulators(p, best);
        long from = System.nanoTime();
        Uncertainty.of(m, 1, x -> {}, () -> false);
        line(Uncertainty.DRAWS + " draws", (System.nanoTime() - from) / 1e9, 45);
        System.gc();
        long used = Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
        System.out.printf(Locale.ROOT, "  heap in use after that %d MB, limit 600%n", used >> 20);
        agreement();
    }

    private static double median(Callable<?> work) throws Exception {
        double[] s = new double[ROUNDS];
        for (int i = 0; i < 2 + ROUNDS; i++) {
            long from = System.nanoTime();
            work.call();
            if (i >= 2) {
                s[i - 2] = (System.nanoTime() - from) / 1e9;
            }
        }
        Arrays.sort(s);
        return s[ROUNDS / 2];
    }

    private static void line(String what, double seconds, double limit) {
        System.out.printf(Locale.ROOT, "  %-40s %8.2f s  limit %.1f: %.2f%n", what, seconds, limit, seconds / limit);
    }

    private static void simulators(BackwardInduction p, Solution best) {
        Simulator fast = new Simulator(p, best.policy());
        fast.run(MATCHES / 2, 1, () -> false);
        long from = System.nanoTime();
        fast.run(MATCHES, 2, () -> false);
        double perSecond = MATCHES / ((System.nanoTime() - from) / 1e9);
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(1);
        double sum = 0;
        long one = System.nanoTime();
        for (int i = 0; i < 40 * MATCHES; i++) {
            sum += rng.nextDouble();
        }
        double random = (System.nanoTime() - one) / 1e9 / 40 / MATCHES;
        // about thirty events a match, two random numbers each, two cores
        double share = 60 * random * perSecond / 2;
        System.out.printf(
                Locale.ROOT,
                "  model simulator %.0f matches/s, wanted 200000: %.2f; random numbers alone %.2f of the time (%.1f)%n",
                perSecond,
                perSecond / 200_000,
                share,
                sum / MATCHES);
        FullSimulator full = new FullSimulator(p, best.policy(), A, B);
        // the rules engine is a lot of code, which takes many matches to become warm
        full.run(FULL, 1, () -> false);
        from = System.nanoTime();
        full.run(FULL, 2, () -> false);
        perSecond = FULL / ((System.nanoTime() - from) / 1e9);
        System.out.printf(
                Locale.ROOT,
                "  with the rules engine %.0f matches/s, wanted 20000: %.2f%n",
                perSecond,
                perSecond / 20_000);
    }

    private void agreement() {
        for (Ruleset rules : Rulesets.builtIn().all()) {
            for (String them : THEM) {
                BackwardInduction p = new BackwardInduction(
                        meeting(them, rules, SolverSettings.USUAL).model(), SolverSettings.USUAL.emphasis(1));
                Solution best = p.best(BackwardInduction.Answer.NEVER);
                Outcomes o = new Simulator(p, best.policy()).run(MATCHES, 9, () -> false);
                Outcomes full = new FullSimulator(p, best.policy(), A, B).run(20_000, 9, () -> false);
                double off = Math.abs(o.win() - best.win());
                double allowed = 3 * o.standardError() + 0.002;
                System.out.printf(
                        Locale.ROOT,
                        "  %-16s %-15s programme %.4f simulator %.4f off %.4f of %.4f; rules engine %.4f +- %.4f%n",
                        rules.code(),
                        them,
                        best.win(),
                        o.win(),
                        off,
                        allowed,
                        full.win(),
                        full.standardError());
            }
        }
    }
}
