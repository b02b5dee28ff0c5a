package farglass.stats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * Mean time in a place within the first tau seconds: the area under Kaplan-Meier (Royston and Parmar 2013).
 *
 * @param a mean of the first group, ms
 * @param b mean of the second, ms
 * @param difference a - b, ms
 * @param lo lower end of its 90 % interval, bootstrap over matches
 * @param hi upper end
 * @param tauMs the smaller of 120 s and the largest time seen in either group
 */
public record RestrictedMean(double a, double b, double difference, double lo, double hi, long tauMs) {
    private static final long TAU_MS = 120_000;
    private static final int DRAWS = 1000;

    /** Both groups must not be empty. */
    public static RestrictedMean compare(List<Spell> first, List<Spell> second, long seed) {
        long seen = Math.max(longest(first), longest(second));
        long tau = Math.min(TAU_MS, seen);
        double a = mean(first, tau);
        double b = mean(second, tau);
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        double[] draws = new double[DRAWS];
        for (int d = 0; d < DRAWS; d++) {
            draws[d] = mean(draw(first, rng), tau) - mean(draw(second, rng), tau);
        }
        Arrays.sort(draws);
        return new RestrictedMean(
                a, b, a - b, draws[(int) (Estimate.LOWER * DRAWS)], draws[(int) (Estimate.UPPER * DRAWS) - 1], tau);
    }

    private static long longest(List<Spell> spells) {
        return spells.stream().mapToLong(Spell::ms).max().orElseThrow();
    }

    private static List<Spell> draw(List<Spell> spells, UniformRandomProvider rng) {
        Map<String, List<Spell>> byMatch = new LinkedHashMap<>();
        spells.forEach(s ->
                byMatch.computeIfAbsent(s.tag().match(), k -> new ArrayList<>()).add(s));
        List<List<Spell>> matches = new ArrayList<>(byMatch.values());
        List<Spell> drawn = new ArrayList<>();
        for (int i = 0; i < matches.size(); i++) {
            drawn.addAll(matches.get(rng.nextInt(matches.size())));
        }
        return drawn;
    }

    static double mean(List<Spell> given, long tau) {
        List<Spell> spells = new ArrayList<>(given);
        spells.sort(Comparator.comparingLong(Spell::ms).thenComparing(s -> s.cause() == null));
        double risk = spells.stream().mapToDouble(Spell::weight).sum();
        double held = 1;
        double area = 0;
        long before = 0;
        for (Spell s : spells) {
            if (s.ms() > tau) {
                break;
            }
            area += held * (s.ms() - before);
            before = s.ms();
            if (s.cause() != null && risk > 0) {
                held *= Math.max(0, 1 - s.weight() / risk);
            }
            risk -= s.weight();
        }
        return area + held * (tau - before);
    }
}
