package farglass.matchup;

import farglass.lexicon.Lexicon;
import farglass.rules.Ruleset;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/** Small matches written by hand, and the demo's meetings. */
final class Small {
    static final Lexicon LEXICON = Lexicon.builtIn();
    static final ModelState TOP = ModelState.of("SDC", 1);
    static final ModelState UNDER = ModelState.of("SDC", -1);
    private static final LibraryIndex INDEX = LibraryIndex.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), LEXICON);

    private Small() {}

    /** The demo's library. */
    static LibraryIndex index() {
        return INDEX;
    }

    static Ruleset rules(String code) {
        return Rulesets.builtIn().orUsual(code, null);
    }

    static Exit exit(ModelState from, boolean ours, String technique, double rate, double chance, ModelState to) {
        String family = LEXICON.familyOf(technique);
        Map<ModelState, Double> targets = to == null ? Map.of() : Map.of(to, 1.0);
        return new Exit(
                from, ours, technique, family, rate, chance, 1, 0, targets, Exit.Source.LIBRARY, Exit.Basis.NONE);
    }

    static Model model(String rules, long lengthMs, List<ModelState> places, Exit... exits) {
        StateSpace groups = new StateSpace(LEXICON);
        Payoffs payoffs = new Payoffs(rules(rules), groups);
        return new Model(rules(rules), lengthMs, places, List.of(exits), groups, payoffs);
    }

    static Meeting demo(String them, String rules, SolverSettings settings, Constraints wishes) {
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

    static Meeting demo(String them, String rules) {
        return demo(them, rules, SolverSettings.USUAL, Constraints.NONE);
    }
}
