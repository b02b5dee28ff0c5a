package farglass.matchup.solve;

import farglass.matchup.model.Correction;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What the user decides over the computation's head.
 *
 * @param barred techniques our athlete shall not try
 * @param allowed techniques our athlete may lean on although no match has shown them often enough (ruling M27)
 * @param fixed options by key of the place
 * @param corrections figures the user knows better
 */
public record Constraints(
        Set<String> barred, Set<String> allowed, Map<String, Option> fixed, List<Correction> corrections) {
    public static final Constraints NONE = new Constraints(Set.of(), Set.of(), Map.of(), List.of());

    /** Nothing is allowed beyond what our athlete has shown. */
    public Constraints(Set<String> barred, Map<String, Option> fixed, List<Correction> corrections) {
        this(barred, Set.of(), fixed, corrections);
    }

    public Constraints {
        barred = Set.copyOf(barred);
        allowed = Set.copyOf(allowed);
        fixed = Map.copyOf(fixed);
        corrections = List.copyOf(corrections);
    }

    /** The same with more techniques allowed. */
    public Constraints allowing(Set<String> more) {
        Set<String> all = new TreeSet<>(allowed);
        all.addAll(more);
        return new Constraints(barred, all, fixed, corrections);
    }

    /** The fixed option of every place, -1 where there is none or it is not possible. */
    int[] options(BackwardInduction p) {
        int[] options = new int[p.model().states().size()];
        Arrays.fill(options, -1);
        for (int s = 0; s < options.length; s++) {
            Option o = fixed.get(p.model().states().get(s).paid(false).key());
            if (o != null) {
                options[s] = p.own[s].indexOf(o);
            }
        }
        return options;
    }
}
