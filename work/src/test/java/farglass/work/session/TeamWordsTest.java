package farglass.work.session;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.rules.Ruleset;
import farglass.rules.RulesetReader;
import farglass.rules.Rulesets;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TeamWordsTest {
    private static String house() {
        Ruleset shipped = Rulesets.builtIn().of("points-gi", null).orElseThrow();
        return RulesetReader.write(shipped).replace("\"points-gi\"", "\"house-rules\"");
    }

    @Test
    void withoutALibraryWhatShipsHolds() {
        TeamWords words = TeamWords.of(Map.of());
        assertThat(words.problems()).isEmpty();
        assertThat(words.rulesets().of("points-gi", null)).isPresent();
        assertThat(words.rulesets().of("house-rules", null)).isEmpty();
    }

    @Test
    void theTeamsOwnRulesetIsOneOfThem() {
        TeamWords words = TeamWords.of(Map.of(TeamWords.RULESET + "house-rules /", house()));
        assertThat(words.problems()).isEmpty();
        assertThat(words.rulesets().of("house-rules", null)).isPresent();
        assertThat(words.rulesets().of("points-gi", null)).isPresent();
    }

    @Test
    void whatCannotBeReadIsSaidAndTheShippedHolds() {
        TeamWords words = TeamWords.of(Map.of(TeamWords.TERMS, "{", TeamWords.RULESET + "x /", "{"));
        assertThat(words.problems()).hasSize(2).allMatch(p -> p.contains(" ships "));
        assertThat(words.lexicon().technique("armbar")).isPresent();
    }
}
