package farglass.ask;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.RecordKind;
import farglass.match.Role;
import farglass.match.Side;
import farglass.tendency.Filter;
import farglass.tendency.Moment;
import java.time.LocalDate;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AskedTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Map<String, String> NAMES = Map.of("odile-marrowen", "Odile Marrowen", "juno", "Juno Fastrel");

    private static Asked read(String text) {
        return Asked.read(text, LEXICON, NAMES, Filter.ALL);
    }

    @Test
    void aQuestionBecomesASubjectASideAndAFilter() {
        Asked a = read("passes to the left in no-gi when behind");
        assertThat(a.techniques()).contains("knee-cut", "toreando").doesNotContain("lasso-sweep");
        assertThat(a.side()).isEqualTo(Side.LEFT);
        assertThat(a.filter().attire()).isEqualTo("no-gi");
        assertThat(a.filter().moment().score()).isEqualTo(Moment.Standing.BEHIND);
        assertThat(a.understood()).containsExactly("passes", "to the left", "no-gi", "behind");
        assertThat(a.notUnderstood()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "how often knee cuts, RATE",
        "sides of the sweeps, SIDES",
        "how long lasso, LASTS",
        "next from half guard, NEXT",
        "answers to knee cut, ANSWERS",
        "knee cut works, WORKS",
        "triangles of the others, AGAINST"
    })
    void whatIsAskedIsRead(String text, Asked.Measure measure) {
        Asked a = read(text);
        assertThat(a.measure()).isEqualTo(measure);
        assertThat(a.empty()).isFalse();
        assertThat(a.notUnderstood()).isEmpty();
    }

    @Test
    void datesOpponentsAndPartsOfTheMatchNarrow() {
        Asked a = read("sweeps against Marrowen since 2029 before 2031 in the last third on top with rounds");
        assertThat(a.filter().opponents().ids()).containsExactly("odile-marrowen");
        assertThat(a.filter().from()).isEqualTo(LocalDate.of(2029, 1, 1));
        assertThat(a.filter().to()).isEqualTo(LocalDate.of(2030, 12, 31));
        assertThat(a.filter().moment())
                .isEqualTo(Moment.ANY.clock(Moment.Part.LAST_THIRD).role(Role.HOLDER));
        assertThat(a.filter().kinds()).isEqualTo(Set.of(RecordKind.MATCH, RecordKind.ROUND));
        assertThat(read("passes against left lead").filter().opponents().stance())
                .isEqualTo("left");
    }

    @Test
    void whatMeansNothingIsNamedAndTheRestHolds() {
        Asked a = read("passes frobnicate against Nobody");
        assertThat(a.techniques()).isNotEmpty();
        assertThat(a.notUnderstood()).containsExactly("frobnicate", "against", "nobody");
        assertThat(read("").empty()).isTrue();
        assertThat(read("???").notUnderstood()).isEmpty();
    }

    @Test
    void theLastWordIsCompletedFromLexiconFiltersAndNames() {
        assertThat(Asked.complete("passes aga", LEXICON, NAMES, 5)).contains("against");
        assertThat(Asked.complete("sweeps against marr", LEXICON, NAMES, 5)).containsExactly("marrowen");
        assertThat(Asked.complete("knee", LEXICON, NAMES, 4))
                .hasSizeLessThanOrEqualTo(4)
                .allMatch(w -> w.startsWith("knee"));
        assertThat(Asked.complete("passes ", LEXICON, NAMES, 4)).isEmpty();
    }
}
