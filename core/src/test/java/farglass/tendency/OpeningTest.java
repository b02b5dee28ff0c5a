package farglass.tendency;

import static farglass.match.Records.at;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Tag;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class OpeningTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static MatchFacts facts(Tag... tags) {
        return MatchFacts.of(Records.of(tags), LEXICON);
    }

    @Test
    void theFirstPullOrTakedownOpensTheMatch() {
        MatchFacts f =
                facts(start(), at(0, "STD"), tries(1, Corner.A, "collar-drag"), tries(2, Corner.B, "guard-pull"));
        MatchFacts.Act first = Opening.first(f);
        assertThat(first).isNotNull();
        assertThat(Opening.of(first, Corner.A)).isEqualTo(Opening.TAKEDOWN);
        assertThat(Opening.of(first, Corner.B)).isEqualTo(Opening.OTHER);
        assertThat(f.tally("a1").tries().get(Opening.TAKEDOWN.key())).containsExactly(1, 1, 1);
        assertThat(f.tally("a1").tries().get(Opening.PULL.key())).containsExactly(0, 1, 1);
    }

    @Test
    void aMatchThatIsNotSeenFromItsStartHasNone() {
        assertThat(Opening.first(facts(at(30, "STD"), tries(31, Corner.A, "guard-pull"))))
                .isNull();
        assertThat(Opening.first(facts(start(), at(0, "STD")))).isNull();
    }

    @Test
    void theAverageIsThatOfTheOthers() {
        List<MatchRecord> records = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            records.add(Records.named(
                    "m" + i,
                    LocalDate.of(2030, 1, 1),
                    "puller" + i % 4,
                    "waits" + i % 4,
                    start(),
                    at(0, "STD"),
                    tries(1, Corner.A, "guard-pull")));
        }
        Baseline b = Baseline.of(LibraryIndex.of(records, LEXICON), Filter.ALL);
        // of the other seven three pull every time and four never do
        assertThat(b.opening(Opening.PULL, "puller0").mean()).isCloseTo(9.5 / 22, within(1e-9));
        assertThat(b.opening(Opening.PULL, "waits0").mean()).isCloseTo(12.5 / 22, within(1e-9));
    }
}
