package farglass.matchup.advise;

import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region;
import farglass.matchup.solve.Region.Lead;
import farglass.matchup.solve.Region.Part;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Finds where and when an option is to be taken: places, scores and parts of the match that can be said in a few words
 * and in which it brings nearly the most.
 */
final class DecisionShape {
    private static final List<Set<Lead>> LEADS = List.of(
            EnumSet.allOf(Lead.class),
            EnumSet.of(Lead.BEHIND),
            EnumSet.of(Lead.AHEAD),
            EnumSet.of(Lead.BEHIND, Lead.LEVEL),
            EnumSet.of(Lead.LEVEL, Lead.AHEAD),
            EnumSet.of(Lead.LEVEL));

    private static final List<Set<Part>> PARTS = List.of(
            EnumSet.allOf(Part.class),
            EnumSet.of(Part.LAST),
            EnumSet.of(Part.FIRST, Part.SECOND),
            EnumSet.of(Part.SECOND, Part.LAST),
            EnumSet.of(Part.FIRST));

    /** What a further word must bring, win chance: a fiftieth of a point. */
    private static final double WORD = 0.0002;
    /** A further place must bring this share of the first. */
    private static final double FURTHER = 0.1;
    /** So many places can be named, and so many to be kept. */
    private static final int NAMED = 4;

    private static final int HELD = 2;

    private DecisionShape() {}

    /** What an option brings in a place and a region, win chance to first order. */
    interface Worth {
        double of(ModelState place, Region region);
    }

    /** @param places at least one */
    static Decision of(List<ModelState> places, Option option, Worth worth) {
        Decision best = Decision.always(places.get(0), option);
        double most = Double.NEGATIVE_INFINITY;
        for (Set<Lead> leads : LEADS) {
            for (Set<Part> parts : PARTS) {
                List<Region> regions = Decision.regions(leads, parts);
                Map<ModelState, Double> sums = new LinkedHashMap<>();
                for (ModelState p : places) {
                    sums.put(
                            p, regions.stream().mapToDouble(r -> worth.of(p, r)).sum());
                }
                List<ModelState> named = named(sums, option.kind() == Option.Kind.HOLD ? HELD : NAMED);
                Decision d = new Decision(named, option, leads, parts);
                int words = (d.atAnyScore() ? 0 : 1) + (d.atAnyTime() ? 0 : 1);
                double sum = named.stream().mapToDouble(sums::get).sum() - WORD * words;
                if (!named.isEmpty() && sum > most) {
                    most = sum;
                    best = d;
                }
            }
        }
        return best;
    }

    private static List<ModelState> named(Map<ModelState, Double> sums, int most) {
        double first = sums.values().stream().mapToDouble(x -> x).max().orElse(0);
        return sums.entrySet().stream()
                .filter(e -> e.getValue() > 0 && e.getValue() >= FURTHER * first)
                .sorted(Map.Entry.<ModelState, Double>comparingByValue(Comparator.reverseOrder()))
                .limit(most)
                .map(Map.Entry::getKey)
                .toList();
    }
}
