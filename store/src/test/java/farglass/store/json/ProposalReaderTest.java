package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.camp.Skill;
import farglass.debrief.Branch;
import farglass.lexicon.Lexicon;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.Locale;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProposalReaderTest {
    private static Proposal proposal;
    private static String text;

    @BeforeAll
    static void write() throws Exception {
        Lexicon lexicon = Lexicon.builtIn();
        Meeting m = Meeting.of(
                LibraryIndex.of(DemoLibrary.matches(lexicon, DemoLibrary.SEED), lexicon),
                new Meeting.Question(
                        "ansa-kellivar",
                        "juno-fastrel",
                        Rulesets.builtIn().orUsual("submission-only", null),
                        Filter.ALL,
                        LocalDate.of(2031, 5, 3),
                        480_000,
                        SolverSettings.USUAL.coarse(),
                        Constraints.NONE));
        proposal = Proposal.of(m.solve());
        text = new ObjectMapper()
                .writeValueAsString(
                        new ProposalJson(proposal, new MeetingWriter(Locale.ENGLISH, lexicon, "Ansa", "Juno"))
                                .document(1));
    }

    private static int size(Branch b) {
        return 1 + b.next().stream().mapToInt(ProposalReaderTest::size).sum();
    }

    private static int size(Proposal.Node n) {
        return 1 + n.next().stream().mapToInt(ProposalReaderTest::size).sum();
    }

    @Test
    void decisionsAreWrittenWithWhatTheyRestOn() throws Exception {
        JsonNode d = new ObjectMapper().readTree(text);
        assertThat(d.path("idea").asText()).endsWith(".");
        assertThat(d.path("decisions"))
                .hasSameSizeAs(proposal.decisions().valued())
                .isNotEmpty();
        for (JsonNode row : d.path("decisions")) {
            assertThat(row.path("text").asText()).endsWith(".");
            assertThat(row.path("places").get(0).asText())
                    .isEqualTo(row.path("place").asText());
            assertThat(row.path("leftFromMs").asLong())
                    .isGreaterThan(row.path("leftToMs").asLong());
            assertThat(row.path("worth").asDouble()).isPositive();
            assertThat(row.path("holds").isNull()).as("no draws were made").isTrue();
            assertThat(row.path("leads")).isNotEmpty();
        }
        assertThat(d.path("carried").path("gain").asDouble())
                .isEqualTo(proposal.decisions().carried());
        assertThat(d.path("calls")).hasSizeBetween(1, 6);
        assertThat(d.path("weapons").get(0).path("tags")).isNotEmpty();
        d.path("refuse")
                .forEach(r -> assertThat(r.path("share").asDouble())
                        .isGreaterThan(r.path("usual").asDouble()));
    }

    @Test
    void whatWasWrittenIsRead() throws Exception {
        ProposalReader p = ProposalReader.read(text);
        assertThat(p.us()).isEqualTo("ansa-kellivar");
        assertThat(p.them()).isEqualTo("juno-fastrel");
        assertThat(p.ruleset()).isEqualTo("submission-only");
        assertThat(size(p.root())).isEqualTo(size(proposal.root()));
        assertThat(p.root().ours()).isTrue();
        assertThat(p.forecasts()).hasSameSizeAs(proposal.forecasts());
        assertThat(p.forecasts().get(0).what()).isEqualTo("win");
        assertThat(p.forecasts())
                .anyMatch(f -> f.what().startsWith("visit ") && f.what().length() > 8);
        assertThat(p.skills()).isNotEmpty().isSortedAccordingTo((a, b) -> Double.compare(b.worth(), a.worth()));
        assertThat(p.skills()).extracting(Skill::key).doesNotHaveDuplicates();
        assertThat(p.skills()).allMatch(s -> !s.places().isEmpty());
        assertThat(proposal.decisions().valued()).isNotEmpty();
        assertThat(p.skills())
                .filteredOn(s -> s.ours() && !s.serves().isEmpty())
                .isNotEmpty();
        assertThat(p.skills())
                .filteredOn(s -> !s.ours() && !s.serves().isEmpty())
                .isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "[]", "{", "{\"format\":\"farglass.plan/1\"}", "{\"format\":\"farglass.proposal/1\"}"})
    void whatIsNoProposalIsRefused(String document) {
        assertThatThrownBy(() -> ProposalReader.read(document)).isInstanceOf(FormatException.class);
    }

    @ParameterizedTest
    @CsvSource({
        "'\"actor\":\"them\"', '\"actor\":\"referee\"', referee",
        "'\"leverage\":[', '\"leverage\":[3,', /leverage/0",
        "'\"forecasts\":[', '\"forecasts\":[{\"what\":\"win\",\"claim\":\"x\",\"p\":7},', /forecasts/0",
        "'\"option\":', '\"choice\":', /tree/option"
    })
    void whatIsWrongIsNamed(String right, String wrong, String named) {
        assertThat(text).contains(right);
        assertThatThrownBy(() -> ProposalReader.read(text.replace(right, wrong)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining(named);
    }
}
