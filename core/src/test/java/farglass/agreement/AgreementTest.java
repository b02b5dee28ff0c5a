package farglass.agreement;

import static farglass.match.Records.at;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.start;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Side;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AgreementTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    /** Two sequences with these counts of pairs. */
    private static Kappa of(int[][] counts) {
        List<String> first = new ArrayList<>();
        List<String> second = new ArrayList<>();
        for (int i = 0; i < counts.length; i++) {
            for (int j = 0; j < counts.length; j++) {
                first.addAll(Collections.nCopies(counts[i][j], "c" + i));
                second.addAll(Collections.nCopies(counts[i][j], "c" + j));
            }
        }
        return Kappa.of(first, second, 30, 1);
    }

    @Test
    void kappaOfCohensExample() {
        // Cohen 1960, table 1: proportions .25 .13 .12 / .12 .02 .16 / .03 .15 .02, kappa -.0747 by hand
        Kappa k = of(new int[][] {{25, 13, 12}, {12, 2, 16}, {3, 15, 2}});
        double observed = 0.29;
        double expected = 0.5 * 0.4 + 0.3 * 0.3 + 0.2 * 0.3;
        assertThat(k.kappa()).isCloseTo((observed - expected) / (1 - expected), within(1e-12));
    }

    @Test
    void errorOfTheFleissCohenEverittExample() {
        // Fleiss, Cohen and Everitt 1969: 200 pairs, kappa .429, standard error .054 (as reprinted in Fleiss 1981, ch.
        // 13)
        Kappa k = of(new int[][] {{106, 10, 4}, {22, 28, 10}, {2, 12, 6}});
        assertThat(k.items()).isEqualTo(200);
        assertThat(k.kappa()).isCloseTo(0.429, within(0.0005));
        assertThat(k.se()).isCloseTo(0.054, within(0.001));
    }

    @Test
    void twoByTwoKnownAnswer() {
        // 20 5 / 10 15: observed .70, expected .50
        Kappa k = of(new int[][] {{20, 5}, {10, 15}});
        assertThat(k.kappa()).isCloseTo(0.4, within(1e-12));
        assertThat(of(new int[][] {{5, 0}, {0, 5}}).kappa()).isEqualTo(1);
        assertThat(of(new int[][] {{5, 0}, {0, 5}}).se()).isEqualTo(0);
        assertThat(of(new int[][] {{9}}).kappa()).isNaN();
    }

    @Test
    void neighbouringSecondsMakeTheErrorLarger() {
        List<String> first = new ArrayList<>();
        List<String> second = new ArrayList<>();
        for (int block = 0; block < 20; block++) {
            first.addAll(Collections.nCopies(30, block % 2 == 0 ? "x" : "y"));
            second.addAll(Collections.nCopies(30, block % 5 == 4 ? "x" : block % 2 == 0 ? "x" : "y"));
        }
        Kappa k = Kappa.of(first, second, 30, 1);
        assertThat(k.seBlock()).isGreaterThan(2 * k.se());
        assertThat(k.error()).isEqualTo(k.seBlock());
    }

    private static MatchRecord first() {
        return Records.of(
                start(),
                at(0, "STD"),
                guard(10, "LAS", Corner.A),
                tries(15, Corner.A, "lasso-sweep").sided(Side.LEFT),
                tries(16.5, Corner.A, "lasso-sweep").sided(Side.RIGHT),
                tries(30, Corner.B, "knee-cut"),
                held(40, "SDC", Corner.B),
                end(100));
    }

    private static MatchRecord second() {
        return Records.of(
                start(),
                at(0, "STD"),
                guard(11, "SPD", Corner.A),
                tries(16.4, Corner.A, "lasso-sweep").sided(Side.LEFT),
                tries(17, Corner.A, "spider-sweep"),
                tries(33, Corner.B, "knee-cut"),
                held(40, "SDC", Corner.B),
                end(100));
    }

    @Test
    void attemptsAreMatchedOneToOneAsManyAsCanBeWithTheMostEqualFields() {
        Agreement a = Agreement.of(first(), second(), 2000, LEXICON, 1);
        Matching m = a.attempts();
        // nearest would pair the second sweep with the first of the other; equal fields decide
        assertThat(m.pairs()).extracting(p -> p.first() + "-" + p.second()).containsExactly("3-3", "4-4");
        assertThat(m.pairs().get(0).differing()).isEmpty();
        assertThat(m.pairs().get(1).differing()).containsExactly("technique", "sides");
        assertThat(m.onlyFirst()).containsExactly(5);
        assertThat(m.onlySecond()).containsExactly(5);
        assertThat(a.precision()).isCloseTo(2 / 3.0, within(1e-12));
        assertThat(a.recall()).isCloseTo(2 / 3.0, within(1e-12));
        assertThat(a.f1()).isCloseTo(2 / 3.0, within(1e-12));
        assertThat(m.fields().get("technique")).isEqualTo(new Matching.Field(1, 1));
        // standing 10 s, side control 60 s, and one second of standing against lasso agree or not second by second
        assertThat(a.overall().items()).isEqualTo(100);
        assertThat(a.overall().observed()).isCloseTo(0.70, within(1e-12));
        assertThat(a.perPosition().get("SDC b").kappa()).isCloseTo(1, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(longs = {2999, 3000})
    void theToleranceIsInclusive(long tolerance) {
        Matching m = Agreement.of(first(), second(), tolerance, LEXICON, 1).attempts();
        assertThat(m.onlyFirst()).hasSize(tolerance < 3000 ? 1 : 0);
    }

    @Test
    void aRecordAgreesWithItselfAndAnEmptyOneSaysSo() {
        Agreement same = Agreement.of(first(), first(), 2000, LEXICON, 1);
        assertThat(same.overall().kappa()).isCloseTo(1, within(1e-9));
        assertThat(same.f1()).isEqualTo(1);
        assertThat(Merge.differences(first(), first(), 2000, LEXICON)).isEmpty();
        Agreement none = Agreement.of(Records.of(start(), end(5)), Records.of(start(), end(5)), 2000, LEXICON, 1);
        assertThat(none.precision()).isNaN();
        assertThat(none.f1()).isNaN();
        assertThat(none.overall().kappa()).isNaN();
    }

    @Test
    void takingEveryDifferenceMakesTheFirstRecordAgreeWithTheSecond() {
        MatchRecord now = first();
        List<Merge.Difference> differences = Merge.differences(now, second(), 2000, LEXICON);
        assertThat(differences).extracting(Merge.Difference::kind).contains(Merge.Kind.values());
        for (Merge.Difference d : differences) {
            now = d.take(now).apply(now);
        }
        assertThat(Merge.differences(now, second(), 2000, LEXICON)).isEmpty();
        List<Tag> kept = now.tags();
        assertThat(kept.get(2).t()).as("the first one's stamp stays").isEqualTo(Records.s(10));
    }
}
