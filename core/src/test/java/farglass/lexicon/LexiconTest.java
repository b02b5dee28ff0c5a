package farglass.lexicon;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LexiconTest {
    private final Lexicon lexicon = Lexicon.builtIn();

    @Test
    void holdsAsMuchAsTheFieldNeeds() {
        assertThat(lexicon.techniques()).hasSizeGreaterThanOrEqualTo(130);
        assertThat(lexicon.grips()).hasSizeGreaterThanOrEqualTo(25);
        assertThat(lexicon.positions()).hasSizeGreaterThanOrEqualTo(66);
        assertThat(lexicon.families())
                .hasSize(14)
                .allSatisfy(f -> assertThat(f.ladder()).hasSize(4));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "STD CLN SLG FHS BLS DLH SBC KNE SCR DGP UNK LCK",
                "SIT OPN CLG HFG KNS DHG RHG BHF QTR IHG",
                "BTF DLR RDL SLX XGD SPD LAS CSG SHN LPL F50 KGD HIG ASH OAS SAD SCI B50",
                "HQ OVU STK BLP SMH LDR LST KCT NSP",
                "SDC NSC KOB SCF MNT HMT TMT CRX RVM TQM TRT BCK BTR BK1 CRB TRK FHD"
            })
    void knowsEveryPositionOfTheField(String codes) {
        assertThat(codes.split(" "))
                .allSatisfy(c -> assertThat(lexicon.position(c)).isPresent());
    }

    @Test
    void setsOfTheScoringFollowTheRulings() {
        assertThat(scoring("pass-pin")).containsExactlyInAnyOrder("SDC", "NSC", "SCF", "CRX");
        assertThat(scoring("mount")).containsExactlyInAnyOrder("MNT", "HMT", "TMT", "RVM");
        assertThat(scoring("back")).containsExactly("BCK");
        assertThat(scoring("knee-on-belly")).containsExactly("KOB");
        assertThat(lexicon.position("DGP").orElseThrow().guard()).isFalse();
        assertThat(lexicon.position("HQ").orElseThrow().guard()).isTrue();
        assertThat(lexicon.position("TRT").orElseThrow().guard()).isFalse();
    }

    private List<String> scoring(String set) {
        return lexicon.positions().stream()
                .filter(p -> set.equals(p.scoring()))
                .map(Position::code)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"CLG,0", "HFG,0.15", "SDC,0.55", "MNT,0.75", "BCK,0.85", "KOB,0.6", "FHD,0.4", "SLG,0.15", "ASH,-0.1"})
    void standingValuesAreThoseOfTheRulings(String code, double value) {
        assertThat(lexicon.position(code).orElseThrow().value()).isEqualTo(value);
    }

    @ParameterizedTest
    @CsvSource({
        "knee slice,knee-cut",
        "KC,knee-cut",
        "De La Riva,DLR",
        "headquarters,HQ",
        "cem quilos,SDC",
        "mata-leão,rear-choke",
        "jūji-gatame,armbar",
        "50/50,F50",
        "  guard   pull ,guard-pull",
        "sleeve,sleeve-same"
    })
    void aliasesLeadToTheirTerm(String words, String code) {
        assertThat(lexicon.lookUp(words)).extracting(Term::code).contains(code);
    }

    @Test
    void everyTechniqueCanStartAndEndSomewhereKnown() {
        assertThat(lexicon.techniques()).allSatisfy(t -> {
            assertThat(t.from()).as(t.code()).isNotEmpty().doesNotHaveDuplicates();
            assertThat(lexicon.family(t.family())).isPresent();
            assertThat(t.code()).matches("[a-z0-9]+(-[a-z0-9]+)*");
        });
        assertThat(lexicon.startingIn("CLG")).extracting(Technique::code).contains("armbar", "scissor-sweep");
    }

    @Test
    void tiedLimbsAreMarked() {
        assertThat(lexicon.technique("omoplata").orElseThrow().limbTie()).isEqualTo("opposite");
        assertThat(lexicon.technique("omoplata").orElseThrow().using()).isEqualTo("leg");
        assertThat(lexicon.technique("knee-cut").orElseThrow().limbTie()).isEqualTo("none");
        assertThat(lexicon.technique("inside-heel-hook").orElseThrow().restricted())
                .contains("points-gi");
    }

    @Test
    void aHouseTermIsFoundAndTheOldLexiconIsUnchanged() {
        Technique house = new Technique(
                "harbour-pass",
                "harbour pass",
                "pass",
                List.of("OPN"),
                List.of("SDC"),
                Performer.TOP,
                Map.of(),
                "own",
                null,
                null,
                "none",
                List.of(),
                Map.of(),
                List.of("hbp"));
        Lexicon more = lexicon.with(house);
        assertThat(more.lookUp("hbp")).containsExactly(house);
        assertThat(more.startingIn("OPN")).contains(house);
        assertThat(lexicon.lookUp("hbp")).isEmpty();
    }

    @Test
    void aHouseTermMayNotTakeOverAnAlias() {
        Grip grip = new Grip("our-grip", "our grip", Map.of(), List.of("sleeve"));
        assertThatThrownBy(() -> lexicon.with(grip)).hasMessageContaining("alias \"sleeve\" stands for both");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "NOPE | unknown position NOPE",
                "@nowhere | no positions of family @nowhere",
            })
    void aTechniqueFromNowhereIsRefusedAtLoad(String from, String message) {
        String json = """
                {"format": "farglass.lexicon/1", "families": [{"code": "pass", "name": "pass", "ladder": ["a","b","c","d"]}],
                 "positions": [{"code": "OPN", "name": "open", "family": "seated", "value": 0, "across": 0}],
                 "techniques": [{"code": "x", "name": "x", "family": "pass", "from": ["%s"], "to": [], "role": "top"}],
                 "grips": [], "facts": [], "answers": []}
                """.formatted(from);
        assertThatThrownBy(() -> read(json))
                .isInstanceOf(LexiconException.class)
                .hasMessageContaining(message);
    }

    @Test
    void valuesOutOfRangeAndWrongFormatsAreRefused() {
        String position = "{\"code\": \"P\", \"name\": \"p\", \"family\": \"pin\", \"value\": %s, \"across\": 0}";
        String document = "{\"format\": \"%s\", \"families\": [], \"positions\": [%s], \"techniques\": [],"
                + " \"grips\": [], \"facts\": [], \"answers\": []}";
        assertThatThrownBy(() -> read(document.formatted("farglass.lexicon/1", position.formatted("1.5"))))
                .hasMessage("position P: standing value (1.5) must lie in -1..1");
        assertThatThrownBy(() -> read(document.formatted("farglass.lexicon/9", position.formatted("0"))))
                .hasMessageContaining("expected farglass.lexicon/1, found farglass.lexicon/9");
        assertThatThrownBy(() -> read(document.formatted(
                        "farglass.lexicon/1", position.formatted("0") + "," + position.formatted("0"))))
                .hasMessage("two entries for position P");
    }

    private static Lexicon read(String json) throws java.io.IOException {
        return LexiconReader.read(new ByteArrayInputStream(json.getBytes(StandardCharsets.UTF_8)));
    }

    @ParameterizedTest
    @CsvSource({
        "GUARD, false, true, true, true",
        "GUARD, true, false, true, false",
        "TOP, true, false, true, true",
        "TOP, false, false, false, false",
        "HOLDER, true, false, true, true",
        "UNDER, false, true, true, true",
        "UNDER, false, false, false, false",
        "ANY, false, false, false, true"
    })
    void rolesSayWhoMayAct(Performer role, boolean holder, boolean guard, boolean contested, boolean may) {
        assertThat(role.allows(holder, guard, contested)).isEqualTo(may);
    }
}
