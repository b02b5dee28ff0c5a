package farglass.tendency;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.named;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Role;
import farglass.match.Side;
import farglass.match.Situation;
import farglass.stats.BetaPrior;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Sums of one athlete and the averages of all others, counted by hand. */
class AthleteSumsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final LocalDate DAY = LocalDate.of(2030, 1, 1);

    /** Two cuts in 20 seconds on top of closed guard: one stuffed, one that passes when {@code works}. */
    private static MatchRecord match(int n, String who, boolean works) {
        return named(
                "m" + n,
                DAY.plusDays(n),
                who,
                "x" + n,
                start(),
                at(0, "STD"),
                does(10, Corner.B, "guard-pull", "CLG"),
                guard(10, "CLG", Corner.B),
                tries(15, Corner.A, "knee-cut").sided(Side.RIGHT),
                tries(17, Corner.B, "scissor-sweep"),
                works ? does(30, Corner.A, "knee-cut", "SDC") : tries(30, Corner.A, "knee-cut"),
                works ? held(30, "SDC", Corner.A) : guard(30, "HFG", Corner.B),
                end(60));
    }

    private static List<MatchRecord> library() {
        List<MatchRecord> all = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            all.add(match(i, "a" + i % 4, i % 3 == 0));
        }
        return all;
    }

    private static AthleteSums sums(LibraryIndex index, String who) {
        return new AthleteSums(who, index.of(who));
    }

    @Test
    void triesTimesAnswersAndExitsAreSummedOverTheMatches() {
        LibraryIndex index = LibraryIndex.of(library(), LEXICON);
        AthleteSums a = sums(index, "a0");
        // a0 fights matches 0, 4 and 8, of which match 0 works
        assertThat(a.byMatch("@pass")).hasSize(3);
        assertThat(a.tries("knee-cut")).containsExactly(1, 6, 6);
        assertThat(a.tries("@pass")).containsExactly(1, 6, 6);
        assertThat(a.tries("lasso-sweep")).isNull();
        assertThat(a.tries("side pass")).containsExactly(3, 3, 3);
        assertThat(a.time(Set.of(new Situation("CLG", Role.HOLDER)))).isEqualTo(3 * 20_000);
        assertThat(a.time(a.ms().keySet())).isEqualTo(3 * 60_000);
        assertThat(a.exits(new Situation("CLG", Role.HOLDER)).values().stream()
                        .mapToInt(Integer::intValue)
                        .sum())
                .isEqualTo(3);
        // the pull succeeds at once: nobody answers it
        assertThat(a.answers("guard-pull")).isEmpty();
        assertThat(a.answers("no-such-trigger")).isEmpty();
    }

    @Test
    void aRowSaysOfAnAthleteWhatHisMatchesSay() {
        LibraryIndex index = LibraryIndex.of(library(), LEXICON);
        AthleteRows rows = new AthleteRows(LEXICON);
        AthleteSums a = sums(index, "a0");
        assertThat(rows.row(a, new ColumnKey(ColumnKey.Kind.TRIES, "knee-cut"))).isEqualTo(CountRow.of(1, 6, 6));
        // knee cuts are tried from the minute on top of closed guard and what there is of half guard
        CountRow rate = rows.row(a, new ColumnKey(ColumnKey.Kind.RATE, "knee-cut"));
        assertThat(rate.at(0)).isEqualTo(6);
        assertThat(rate.at(1)).isBetween(60_000L, 180_000L);
        assertThat(rows.row(a, new ColumnKey(ColumnKey.Kind.LANDED, "@pass"))).isEqualTo(CountRow.of(1, 180_000));
        assertThat(rows.row(a, new ColumnKey(ColumnKey.Kind.ALIKE, "@pass"))).isEqualTo(CountRow.of(0, 2, 0, 2, 1, 2));
        assertThat(rows.row(a, new ColumnKey(ColumnKey.Kind.TRIES, "lasso-sweep")))
                .isNull();
        assertThat(rows.all("a0", a.counts()).keySet())
                .contains(ColumnKey.TIME, ColumnKey.PLACES)
                .allSatisfy(key -> assertThat(rows.row(a, key)).isNotNull());
    }

    @Test
    void aColumnGivesBackWhatWasPutIntoIt() throws Exception {
        LibraryIndex index = LibraryIndex.of(library(), LEXICON);
        AthleteRows rows = new AthleteRows(LEXICON);
        for (ColumnKey key : rows.all("a0", sums(index, "a0").counts()).keySet()) {
            CountColumn.Builder b = new CountColumn.Builder(key.kind());
            index.athletes().forEach(who -> b.add(rows.row(sums(index, who), key)));
            CountColumn all = b.build();
            CountColumn kept = ColumnCodec.read(key.kind(), ColumnCodec.write(all));
            assertThat(ColumnCodec.write(kept)).isEqualTo(ColumnCodec.write(all));
            CountColumn.Builder none = new CountColumn.Builder(key.kind()).add(kept);
            index.athletes().forEach(who -> none.remove(rows.row(sums(index, who), key)));
            assertThat(none.build().isEmpty()).as(key.name()).isTrue();
        }
        CountColumn.Builder b = new CountColumn.Builder(ColumnKey.Kind.TRIES).add(CountRow.of(1, 2, 3));
        assertThatIllegalArgumentException().isThrownBy(() -> b.remove(CountRow.of(1, 2, 4)));
        assertThatIOException().isThrownBy(() -> ColumnCodec.read(ColumnKey.Kind.TRIES, new byte[] {2, 1}));
    }

    @Test
    void theAverageIsThatOfTheOthers() {
        LibraryIndex index = LibraryIndex.of(library(), LEXICON);
        Baseline b = index.baseline(Filter.ALL);
        BetaPrior without = b.success("knee-cut", "a0");
        // the others: 9 matches, of which 3, 6 and 9 work, 18 cuts; too few for the technique, so it is the family's
        assertThat(without.source()).contains("family").contains("3 others");
        assertThat(without.mean()).isCloseTo(3.5 / 19, within(1e-9));
        assertThat(b.success("knee-cut", "nobody").source())
                .contains("technique")
                .contains("4 others");
        assertThat(b.share((p, r) -> p.equals("STD"), (p, r) -> true, "a0")).isCloseTo(1 / 6.0, within(1e-9));
        assertThat(b.share((p, r) -> true, (p, r) -> p.equals("MNT"), "a0")).isNaN();
        assertThat(b.familySuccess("submission", "a0").source()).isEqualTo("no baseline");
        assertThat(index.baseline(Filter.ALL)).as("kept").isSameAs(b);
    }

    @Test
    void withoutOthersNothingIsLearnedOfThem() {
        LibraryIndex alone = LibraryIndex.of(List.of(), LEXICON);
        Baseline b = alone.baseline(Filter.ALL);
        assertThat(b.success("knee-cut", "a0").source()).isEqualTo("no baseline");
        assertThat(b.rate("knee-cut", "a0").source()).isNotBlank();
        assertThat(b.rate("no-such-technique", "a0")).isNotNull();
        assertThat(b.answers("knee-cut", List.of("none"), "a0")).hasSize(1);
        assertThat(alone.athletes()).isEmpty();
        assertThat(alone.name("a0")).isEqualTo("a0");
        assertThat(alone.newest()).isNull();
    }
}
