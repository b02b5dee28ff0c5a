package farglass.matchup.advise;

import farglass.matchup.advise.Uncertainty.Range;
import farglass.matchup.model.Exit;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Solution;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.commons.rng.simple.RandomSource;

/**
 * A first interval of the win chance, long before all draws are solved: the delta method, in which draws of the figures
 * move the win chance along its leverage, on the log-odds scale. Oehlert, The American Statistician 46, 1992.
 *
 * @param natural both keep to their game
 * @param gain of the plan over it
 */
public record FirstRange(Range natural, Range gain) {
    private static final int DRAWS = 200;
    /** A figure is followed this far from its mean, as a share of it. */
    private static final double FARTHEST = 2;

    private static final double TENTH = 0.1;
    private static final double CERTAIN = 1e-4;

    /** Takes a fraction of a second; the seed is that of the draws. */
    public static FirstRange of(MeetingSolution solved, long seed) {
        Meeting meeting = solved.meeting();
        ForwardPass plain = ForwardPass.of(solved.natural());
        List<ForwardPass.Leverage> natural = plain.leverage();
        List<ForwardPass.Leverage> planned = solved.flow().leverage();
        double[][] wins = IntStream.range(0, DRAWS)
                .parallel()
                .mapToObj(d -> {
                    Map<Exit.Key, Exit> drawn = new HashMap<>();
                    meeting.drawExits(RandomSource.XO_RO_SHI_RO_128_PP.create(seed + 31L * d))
                            .forEach(e -> drawn.put(e.key(), e));
                    double n = moved(solved.natural(), natural, drawn);
                    return new double[] {n, moved(solved.planned(), planned, drawn) - n};
                })
                .toArray(double[][]::new);
        return new FirstRange(
                Range.of(Arrays.stream(wins).mapToDouble(w -> w[0]).toArray()),
                Range.of(Arrays.stream(wins).mapToDouble(w -> w[1]).toArray()));
    }

    private static double moved(Solution s, List<ForwardPass.Leverage> leverage, Map<Exit.Key, Exit> drawn) {
        double win = Math.max(CERTAIN, Math.min(1 - CERTAIN, s.win()));
        double change = 0;
        for (ForwardPass.Leverage l : leverage) {
            Exit known = l.exit();
            Exit e = drawn.get(known.key());
            // what is drawn too rare to be kept is not done at all
            change += share(e == null ? 0 : e.rate(), known.rate()) * l.rate10() / TENTH;
            change += e == null ? 0 : share(e.chance(), known.chance()) * l.chance10() / TENTH;
        }
        double odds = Math.log(win / (1 - win)) + change / (win * (1 - win));
        return 1 / (1 + Math.exp(-odds));
    }

    private static double share(double now, double known) {
        return known <= 0 ? 0 : Math.max(-1, Math.min(FARTHEST, now / known - 1));
    }
}
