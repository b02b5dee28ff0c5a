package farglass.work.session;

import farglass.lexicon.Lexicon;
import farglass.lexicon.LexiconException;
import farglass.lexicon.OwnTerms;
import farglass.rules.Ruleset;
import farglass.rules.RulesetException;
import farglass.rules.RulesetReader;
import farglass.rules.Rulesets;
import farglass.work.words.WorkWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The lexicon and the rulesets as the team has them: what ships, and what lies among the settings of its library.
 *
 * @param terms the team's own, none where there are none or they cannot be read
 * @param problems one sentence for each of the team's own that cannot be read; the shipped one stands in for it
 */
public record TeamWords(Lexicon lexicon, OwnTerms terms, Rulesets rulesets, List<String> problems) {
    /** Setting: the team's own terms. */
    public static final String TERMS = "lexicon.own";
    /** Beginning of the settings that hold a ruleset each. */
    public static final String RULESET = "ruleset ";

    public TeamWords {
        problems = List.copyOf(problems);
    }

    /** @param settings of a library; empty for none */
    public static TeamWords of(Map<String, String> settings) {
        List<String> problems = new ArrayList<>();
        Lexicon lexicon = Lexicon.builtIn();
        OwnTerms terms = OwnTerms.NONE;
        if (settings.containsKey(TERMS)) {
            try {
                OwnTerms own = OwnTerms.read(settings.get(TERMS));
                lexicon = own.in(lexicon);
                terms = own;
            } catch (LexiconException e) {
                problems.add(WorkWords.of("lexicon.damaged", e.getMessage()));
            }
        }
        return new TeamWords(lexicon, terms, rulesets(settings, problems), problems);
    }

    private static Rulesets rulesets(Map<String, String> settings, List<String> problems) {
        List<Ruleset> own = new ArrayList<>();
        new TreeMap<>(settings).forEach((name, text) -> {
            if (name.startsWith(RULESET)) {
                try {
                    own.add(RulesetReader.read(text));
                } catch (RulesetException e) {
                    problems.add(WorkWords.of("rules.damaged", name.substring(RULESET.length()), e.getMessage()));
                }
            }
        });
        return Rulesets.builtIn().with(own);
    }
}
