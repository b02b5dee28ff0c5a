package farglass.matchup.solve;

import farglass.matchup.model.Correction;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What the user decides over the computation's head.
 *
 * @param barred techniques our athlete shall not try
 * @param fixed options by key of the place
 * @param corrections figures the user knows better
 */
public record Constraints(Set<String> barred, Map<String, Option> fixed, List<Correction> corrections) {
    public static final Constraints NONE = new Constraints(Set.of(), Map.of(), List.of());

    public Constraints {
        barred = Set.copyOf(barred);
        fixed = Map.copyOf(fixed);
        corrections = List.copyOf(corrections);
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
