package farglass.matchup.model;

import java.util.Arrays;
import java.util.Map;
import java.util.stream.Stream;

/**
 * How much more or less often each athlete tries something in a third of the match and at a score than on average
 * (ruling M29). A moment is one of nine: a third of the scheduled length, and whether ours is behind, level or ahead.
 */
public final class Tempo {
    /** Thirds of the scheduled length. */
    public static final int THIRDS = 3;
    /** Thirds times behind, level, ahead. */
    public static final int MOMENTS = 9;
    /** Both do everything as often at all times. */
    public static final Tempo EVEN = new Tempo(Map.of(), Map.of());

    private final Map<String, double[]> ours;
    private final Map<String, double[]> theirs;

    /**
     * @param ours by technique family, a factor for each of the nine moments, greater than 0, as ours sees the score;
     * families that are missing have 1
     * @param theirs the same of the opponent, also as ours sees the score
     */
    public Tempo(Map<String, double[]> ours, Map<String, double[]> theirs) {
        this.ours = Map.copyOf(ours);
        this.theirs = Map.copyOf(theirs);
    }

    /** Number of a moment: third 0 to 2, lead less than, equal to or greater than 0. */
    public static int moment(int third, int lead) {
        return THIRDS * third + 1 + Integer.signum(lead);
    }

    /** Third of the scheduled length that a match time lies in; overtime belongs to the last. */
    public static int third(long ms, long lengthMs) {
        return (int) Math.max(0, Math.min(THIRDS - 1, THIRDS * ms / Math.max(1, lengthMs)));
    }

    /** Whether nothing changes with time or score. */
    public boolean even() {
        return Stream.of(ours, theirs)
                .flatMap(m -> m.values().stream())
                .flatMapToDouble(Arrays::stream)
                .allMatch(f -> f == 1);
    }

    /** Whether anything changes with who leads. */
    public boolean byScore() {
        return changes(ours) || changes(theirs);
    }

    private static boolean changes(Map<String, double[]> factors) {
        return factors.values().stream().anyMatch(f -> {
            for (int i = 0; i < MOMENTS; i++) {
                if (f[i] != f[moment(i / THIRDS, 0)]) {
                    return true;
                }
            }
            return false;
        });
    }

    /** Factor on the rate of a way out at a moment; 1 for what nobody does on purpose. */
    public double factor(Exit exit, int moment) {
        if (exit.technique() == null) {
            return 1;
        }
        double[] f = (exit.ours() ? ours : theirs).get(exit.family());
        return f == null ? 1 : f[moment];
    }

    /** Factors of an athlete by technique family, for each moment as ours sees the score; families without are even. */
    public Map<String, double[]> factors(boolean ofOurs) {
        return ofOurs ? ours : theirs;
    }

    /** How much an athlete does at one moment against another, on average over the families of techniques. */
    public double ratio(boolean ofOurs, int moment, int than) {
        return factors(ofOurs).values().stream()
                .mapToDouble(f -> f[moment] / f[than])
                .average()
                .orElse(1);
    }
}
