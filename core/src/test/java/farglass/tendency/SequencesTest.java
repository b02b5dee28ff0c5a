package farglass.tendency;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Records;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.stats.SideBias;
import farglass.stats.Trial;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SequencesTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<String> CODES = List.of("scissor-sweep", "omoplata", "armbar", "balloon-sweep");

    /** Matches of one exchange in guard; the lasso sweep is followed by the triangle, else everything is drawn. */
    private static List<MatchRecord> matches(String who, int count, double followed, long seed) {
        Random rng = new Random(seed);
        List<MatchRecord> records = new ArrayList<>();
        for (int m = 0; m < count; m++) {
            List<Tag> tags = new ArrayList<>(List.of(Records.start(), Records.guard(0.5, "LAS", Corner.A)));
            double t = 1;
            for (int k = 0; k < 5; k++) {
                String code = k == 1 ? "lasso-sweep" : CODES.get(rng.nextInt(CODES.size()));
                tags.add(Records.tries(t++, Corner.A, code));
                if (k == 1 && rng.nextDouble() < followed) {
                    tags.add(Tag.Action.of(Records.s(t++), Corner.A, "triangle")
                            .sided(Side.LEFT)
                            .result(Outcome.STUFFED, 1, null, null));
                }
            }
            tags.add(new Tag.End(MatchTime.ofMs(20_000), farglass.match.TagInfo.NONE));
            records.add(Records.named(who + m, LocalDate.of(2030, 1, 1 + m % 28), who, "x", tags.toArray(new Tag[0])));
        }
        return records;
    }

    private static LibraryIndex library(int ours) {
        List<MatchRecord> all = new ArrayList<>(matches("us", ours, 0.8, 3));
        for (int i = 0; i < 4; i++) {
            all.addAll(matches("other" + i, 10, 0.1, 20 + i));
        }
        return LibraryIndex.of(all, LEXICON);
    }

    @Test
    void theFavouriteOfFewMatchesIsToldWithItsCountsAndAgainstTheOthers() {
        List<Sequence> found = Sequences.of(Evidence.of(library(6), "us", Filter.ALL), 1);
        Sequence first = found.get(0);
        assertThat(first.symbols()).startsWith("self lasso-sweep", "self triangle");
        assertThat(first.exchanges()).isBetween(3, 6);
        assertThat(first.share().n()).isEqualTo(6);
        assertThat(first.share().x()).isEqualTo(first.exchanges());
        assertThat(first.share().mean()).isGreaterThan(first.share().baseline());
        assertThat(first.onward()).hasSize(first.steps().size() - 1);
        assertThat(first.onward().get(0).n()).isEqualTo(6);
        assertThat(first.onward().get(0).average()).isLessThan(0.35);
        assertThat(first.trials().stream().filter(Trial::worked)).hasSize(first.exchanges());
        assertThat(first.side()).isNotNull();
        assertThat(first.side().left()).isEqualTo(first.exchanges());
        assertThat(first.side().word()).isIn((Object[]) SideBias.Word.values());
    }

    @Test
    void theBadgeComesWithMoreFilm() {
        assertThat(Sequences.of(Evidence.of(library(5), "us", Filter.ALL), 1)).noneMatch(Sequence::moreThanChance);
        List<Sequence> much = Sequences.of(Evidence.of(library(60), "us", Filter.ALL), 1);
        assertThat(much.get(0).symbols()).containsSubsequence("self lasso-sweep", "self triangle");
        assertThat(much.get(0).moreThanChance()).isTrue();
    }

    @Test
    void withoutOthersTheOwnMixIsWhatIsUsual() {
        LibraryIndex alone = LibraryIndex.of(matches("us", 12, 0.8, 3), LEXICON);
        Sequence first = Sequences.of(Evidence.of(alone, "us", Filter.ALL), 1).get(0);
        assertThat(first.symbols()).containsSubsequence("self lasso-sweep", "self triangle");
        assertThat(first.onward().get(0).average()).isNaN();
        assertThat(first.departure()).isGreaterThan(1);
    }

    @Test
    void nothingIsToldTwice() {
        LibraryIndex demo = LibraryIndex.of(DemoLibrary.matches(LEXICON, 9), LEXICON);
        for (String who : List.of("brisa-tolendt", "juno-fastrel")) {
            List<Sequence> found = Sequences.of(Evidence.of(demo, who, Filter.ALL), 1);
            assertThat(found).extracting(Sequence::symbols).doesNotHaveDuplicates();
            assertThat(found).hasSizeBetween(1, 24).allSatisfy(s -> {
                assertThat(s.steps()).hasSizeBetween(2, 6);
                assertThat(s.exchanges()).isGreaterThanOrEqualTo(2);
                assertThat(s.steps().get(0).own()).isTrue();
                assertThat(s.steps().get(s.steps().size() - 1).own()).isTrue();
                assertThat(s.points() + s.finished()).isLessThanOrEqualTo(s.exchanges());
                assertThat(s.symbols()).noneMatch(x -> x.contains(">"));
                int before = s.onward().get(0).n();
                for (Sequence.Onward o : s.onward()) {
                    assertThat(o.n()).isLessThanOrEqualTo(before);
                    before = o.x();
                }
                assertThat(before).isEqualTo(s.exchanges());
            });
            assertThat(found).isSortedAccordingTo((a, b) -> Double.compare(b.weight(), a.weight()));
        }
    }

    @Test
    void nobodyAndNothingHaveNone() {
        assertThat(Sequences.of(Evidence.of(LibraryIndex.empty(LEXICON), "us", Filter.ALL), 1))
                .isEmpty();
    }
}
