package farglass.bench.truth;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Uncertainty;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.rules.Score;
import farglass.rules.Scoring;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import org.apache.commons.rng.simple.RandomSource;

/**
 * The chance that the first athlete beats the second if both keep to their game, against thousands of their matches.
 */
public final class WinChanceBench {
    private static final int TRUTH_MATCHES = 4000;
    private static final int DRAWS = 60;
    private static final long LENGTH_MS = 360_000;
    private static final Ruleset RULES =
            Rulesets.builtIn().of("points-gi", null).orElseThrow();

    private WinChanceBench() {}

    /** @param worlds of every kind */
    public static void start(int worlds) {
        for (int athletes : new int[] {2, 12}) {
            double[] truths = IntStream.range(0, worlds)
                    .parallel()
                    .mapToDouble(w -> truth(world(athletes, w), 77L + w))
                    .toArray();
            for (int matches : new int[] {20, 60, 200}) {
                double square = 0;
                double off = 0;
                int held = 0;
                double width = 0;
                for (int w = 0; w < worlds; w++) {
                    double[] told = told(world(athletes, w), matches, w);
                    square += (told[0] - truths[w]) * (told[0] - truths[w]);
                    off += told[0] - truths[w];
                    held += truths[w] >= told[1] && truths[w] <= told[2] ? 1 : 0;
                    width += told[2] - told[1];
                }
                System.out.printf(
                        Locale.ROOT,
                        "%2d athletes, %3d matches: error %.3f, off by %+.3f, interval holds %d of %d, width %.2f%n",
                        athletes,
                        matches,
                        Math.sqrt(square / worlds),
                        off / worlds,
                        held,
                        worlds,
                        width / worlds);
            }
        }
    }

    private static World world(int athletes, int w) {
        return new World(athletes, new Random(31L * athletes + 1000L * w));
    }

    static double truth(World world, long seed) {
        Random rng = new Random(seed);
        double won = 0;
        for (int i = 0; i < TRUTH_MATCHES; i++) {
            won += value(
                    new WorldMatch(
                                    world,
                                    world.athletes.get(0),
                                    world.athletes.get(1),
                                    RULES.code(),
                                    (c, s, m, ms) -> 1,
                                    rng)
                            .play("m" + i, LocalDate.of(2030, 1, 1)),
                    world);
        }
        return won / TRUTH_MATCHES;
    }

    /** 1 won by corner A, one half when nobody has. */
    static double value(MatchRecord r, World world) {
        Score s = Scoring.of(r, RULES, world.lexicon);
        Corner winner = s.result().winner();
        return winner == null ? 0.5 : winner == Corner.A ? 1 : 0;
    }

    private static double[] told(World world, int matches, int w) {
        List<MatchRecord> records = new ArrayList<>(CoverageBench.matches(world, false, matches, 5L + w));
        LibraryIndex index = LibraryIndex.of(records, world.lexicon);
        Meeting m = Meeting.of(
                index,
                new Meeting.Question(
                        world.athletes.get(0).id(),
                        world.athletes.get(1).id(),
                        RULES,
                        Filter.ALL,
                        null,
                        LENGTH_MS,
                        SolverSettings.USUAL.coarse(),
                        Constraints.NONE));
        SolverSettings settings = SolverSettings.USUAL.coarse();
        double best = new BackwardInduction(m.model(), settings).win(null, BackwardInduction.Answer.NEVER);
        double[] draws = IntStream.range(0, DRAWS)
                .parallel()
                .mapToDouble(d -> new BackwardInduction(m.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(d)), settings)
                        .win(null, BackwardInduction.Answer.NEVER))
                .toArray();
        Uncertainty.Range r = Uncertainty.Range.of(draws);
        return new double[] {best, r.lo(), r.hi()};
    }
}
