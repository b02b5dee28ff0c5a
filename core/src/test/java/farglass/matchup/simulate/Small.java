package farglass.matchup.simulate;

import farglass.lexicon.Lexicon;
import farglass.matchup.advise.Meeting;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.Payoffs;
import farglass.matchup.model.StateSpace;
import farglass.matchup.model.Tempo;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Small matches written by hand, and the demo's meetings. */
public final class Small {
    public static final Lexicon LEXICON = Lexicon.builtIn();
    public static final ModelState TOP = ModelState.of("SDC", 1);
    public static final ModelState UNDER = ModelState.of("SDC", -1);
    private static final LibraryIndex INDEX = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);

    private Small() {}

    /** The demo's library. */
    public static LibraryIndex index() {
        return INDEX;
    }

    public static Ruleset rules(String code) {
        return Rulesets.builtIn().orUsual(code, null);
    }

    public static Exit exit(
            ModelState from, boolean ours, String technique, double rate, double chance, ModelState to) {
        String family = LEXICON.familyOf(technique);
        Map<ModelState, Double> targets = to == null ? Map.of() : Map.of(to, 1.0);
        return new Exit(
                from, ours, technique, family, rate, chance, 1, 0, targets, Exit.Source.LIBRARY, Exit.Basis.NONE);
    }

    public static Model model(String rules, long lengthMs, List<ModelState> places, Exit... exits) {
        StateSpace groups = new StateSpace(LEXICON);
        Payoffs payoffs = new Payoffs(rules(rules), groups);
        return new Model(rules(rules), lengthMs, places, List.of(exits), groups, payoffs);
    }

    /** The same match in which everything is done more by those who are behind, and less and less toward the end. */
    public static Model paced(Model m) {
        Map<String, double[]> ours = new TreeMap<>();
        Map<String, double[]> theirs = new TreeMap<>();
        for (Exit e : m.exits()) {
            double[] factors = new double[Tempo.MOMENTS];
            for (int i = 0; i < factors.length; i++) {
                int lead = e.ours() ? i % Tempo.THIRDS - 1 : 1 - i % Tempo.THIRDS;
                int third = i / Tempo.THIRDS;
                double steep = e.finish() ? 0.6 : 0.3;
                factors[i] = (1.4 - 0.35 * third) * (1 - steep * lead);
            }
            (e.ours() ? ours : theirs).put(e.family(), factors);
        }
        List<ModelState> plain = m.states().stream().filter(p -> !p.paid()).toList();
        Payoffs payoffs = new Payoffs(m.rules(), m.groups());
        return new Model(m.rules(), m.horizonMs(), plain, m.exits(), m.groups(), payoffs, new Tempo(ours, theirs));
    }

    public static Meeting demo(String them, String rules, SolverSettings settings, Constraints wishes) {
        return Meeting.of(
                INDEX,
                new Meeting.Question(
                        "ansa-kellivar",
                        them,
                        rules(rules),
                        Filter.ALL,
                        LocalDate.of(2031, 5, 3),
                        480_000,
                        settings,
                        wishes));
    }

    public static Meeting demo(String them, String rules) {
        return demo(them, rules, SolverSettings.USUAL, Constraints.NONE);
    }
}
