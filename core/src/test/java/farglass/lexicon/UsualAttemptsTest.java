package farglass.lexicon;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class UsualAttemptsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @Test
    void namesOnlyWhatTheLexiconKnows() throws Exception {
        JsonNode document;
        try (InputStream in = UsualAttempts.class.getResourceAsStream("usual.json")) {
            document = new ObjectMapper().readTree(in);
        }
        assertThat(document.get("note").asText()).contains("no statistic leans on them");
        document.get("common")
                .fieldNames()
                .forEachRemaining(
                        code -> assertThat(LEXICON.technique(code)).as(code).isPresent());
        Set<String> kinds = LEXICON.positions().stream().map(Position::family).collect(Collectors.toSet());
        for (Map.Entry<String, JsonNode> kind : document.get("rates").properties()) {
            assertThat(kinds).contains(kind.getKey());
            for (Map.Entry<String, JsonNode> role : kind.getValue().properties()) {
                assertThat(role.getKey()).isIn("guard", "holder", "under", "any");
                role.getValue()
                        .fieldNames()
                        .forEachRemaining(
                                f -> assertThat(LEXICON.family(f)).as(f).isPresent());
            }
        }
    }

    @Test
    void aFamilysRateIsSharedByItsTechniques() {
        List<Technique> passes = LEXICON.startingIn("HFG").stream()
                .filter(t -> t.family().equals("pass"))
                .toList();
        Map<String, Double> rates = UsualAttempts.builtIn().rates("closed-half", "holder", passes);
        assertThat(rates.values().stream().mapToDouble(r -> r).sum()).isCloseTo(1.7, within(1e-9));
        assertThat(rates.get("knee-cut")).isGreaterThan(rates.get("backstep-pass"));
    }

    @Test
    void aPlaceThatIsNotNamedKnowsHardlyAnything() {
        assertThat(UsualAttempts.builtIn()
                        .rates("other", "any", List.copyOf(LEXICON.techniques()))
                        .values())
                .allMatch(r -> r > 0 && r <= 0.02);
    }
}
