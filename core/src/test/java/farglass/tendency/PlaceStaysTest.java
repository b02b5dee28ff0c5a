package farglass.tendency;

import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.match.Tag;
import farglass.match.TagInfo;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PlaceStaysTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Situation LASSO = new Situation("LAS", Role.GUARD);

    /** Lasso guard, a triangle locked and escaped, back in lasso, swept, lasso again at the end. */
    private static MatchRecord match() {
        return Records.of(
                start(),
                guard(0, "LAS", Corner.A),
                tries(1, Corner.A, "lasso-sweep"),
                tries(2, Corner.A, "triangle"),
                Tag.Position.of(Records.s(3), "LCK", Corner.A, null)
                        .builder()
                        .base("LAS")
                        .technique("triangle")
                        .build(),
                guard(5, "LAS", Corner.A),
                tries(6, Corner.A, "lasso-sweep"),
                tries(7, Corner.B, "knee-cut"),
                held(8, "SDC", Corner.B),
                guard(10, "LAS", Corner.A),
                new Tag.End(Records.s(20), TagInfo.NONE));
    }

    @Test
    void everyTechniqueCountsOncePerStay() {
        List<PlaceStays.Stay> stays = PlaceStays.of(MatchFacts.of(match(), LEXICON), Corner.A);
        Map<String, Integer> lasso = PlaceStays.counts(stays).get(LASSO);
        assertThat(lasso.get("lasso-sweep")).isEqualTo(1);
        assertThat(lasso).containsEntry("triangle", 1).doesNotContainKey("knee-cut");
        assertThat(stays).extracting(s -> s.at().toString()).endsWith("SDC under", "LAS guard");
    }

    @Test
    void theOtherHasStaysOfItsOwn() {
        List<PlaceStays.Stay> stays = PlaceStays.of(MatchFacts.of(match(), LEXICON), Corner.B);
        assertThat(PlaceStays.counts(stays).get(new Situation("LAS", Role.HOLDER)))
                .containsEntry("knee-cut", 1);
    }

    @Test
    void othersInThePlaceGiveTheAverageAndTheAthleteDoesNot() {
        LibraryIndex index = LibraryIndex.of(List.of(match()), LEXICON);
        Baseline b = Baseline.of(index, Filter.ALL);
        assertThat(b.tried(LASSO, "triangle", "a1").source()).isEqualTo("no baseline");
        assertThat(b.tried(LASSO, "triangle", "somebody").source()).contains("too few");
    }
}
