package farglass.plan;

import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.SolverSettings;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How a plan is computed: the dial between own game and this opponent, how hard one can press, and what the user
 * decides himself.
 *
 * @param emphasis 0 own game, 1 this opponent
 * @param pressing factor on an action that is pressed, 1 to 3
 * @param forecasts frozen when the plan was settled, for scoring after the match
 */
public record Approach(double emphasis, double pressing, Constraints wishes, List<Forecast> forecasts) {
    public static final Approach USUAL = new Approach(
            SolverSettings.USUAL.emphasis(), SolverSettings.USUAL.pressFactor(), Constraints.NONE, List.of());

    public Approach {
        forecasts = List.copyOf(forecasts);
        SolverSettings.USUAL.emphasis(emphasis).pressing(pressing);
    }

    /** Something said before the match, with its chance, 0.01 to 0.99. */
    public record Forecast(String what, String sentence, double p) {}

    /** What the dials say to the solver. */
    public SolverSettings settings() {
        return SolverSettings.USUAL.emphasis(emphasis).pressing(pressing);
    }

    /** The same at another place of the dial, 0 own game to 1 this opponent. */
    public Approach emphasis(double e) {
        return new Approach(e, pressing, wishes, forecasts);
    }

    /** The same with another factor for what is pressed, 1..3. */
    public Approach pressing(double b) {
        return new Approach(emphasis, b, wishes, forecasts);
    }

    /** The same with forecasts that will be scored after the match. */
    public Approach freeze(List<Forecast> now) {
        return new Approach(emphasis, pressing, wishes, now);
    }

    private Approach wishes(Constraints w) {
        return new Approach(emphasis, pressing, w, forecasts);
    }

    /** Bars a technique, or allows it again. */
    public Approach bar(String technique, boolean barred) {
        Set<String> set = new LinkedHashSet<>(wishes.barred());
        if (barred) {
            set.add(technique);
        } else {
            set.remove(technique);
        }
        return wishes(new Constraints(set, wishes.allowed(), wishes.fixed(), wishes.corrections()));
    }

    /** Lets our athlete lean on a technique that no match has shown often enough, or no longer. */
    public Approach allow(String technique, boolean allowed) {
        Set<String> set = new LinkedHashSet<>(wishes.allowed());
        if (allowed) {
            set.add(technique);
        } else {
            set.remove(technique);
        }
        return wishes(new Constraints(wishes.barred(), set, wishes.fixed(), wishes.corrections()));
    }

    /** The same with what training has shown, which may be leant on too. */
    Approach trained(Set<String> techniques) {
        return techniques.isEmpty() ? this : wishes(wishes.allowing(techniques));
    }

    /** Fixes what is done in a place; null leaves it to the computation again. */
    public Approach fix(String placeKey, Option option) {
        Map<String, Option> map = new LinkedHashMap<>(wishes.fixed());
        if (option == null) {
            map.remove(placeKey);
        } else {
            map.put(placeKey, option);
        }
        return wishes(new Constraints(wishes.barred(), wishes.allowed(), map, wishes.corrections()));
    }

    /** Sets a figure by hand, in place of an earlier correction of the same. */
    public Approach correct(Correction c) {
        List<Correction> list = new ArrayList<>(without(c.exit()));
        list.add(c);
        return wishes(new Constraints(wishes.barred(), wishes.allowed(), wishes.fixed(), list));
    }

    /** Takes a correction back. */
    public Approach uncorrect(Exit.Key exit) {
        return wishes(new Constraints(wishes.barred(), wishes.allowed(), wishes.fixed(), without(exit)));
    }

    private List<Correction> without(Exit.Key exit) {
        return wishes.corrections().stream().filter(o -> !o.exit().equals(exit)).toList();
    }
}
