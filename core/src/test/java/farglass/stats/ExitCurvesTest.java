package farglass.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ExitCurvesTest {
    private static Spell spell(String match, long ms, String cause) {
        return new Spell(new TagRef(match, "t" + ms), ms, cause, 1);
    }

    /**
     * Remission times of 21 patients under 6-MP, weeks (Freireich et al. 1963), as printed by Collett 2003, table 2.4.
     */
    private static List<Spell> remissions(int matches) {
        long[] ended = {6, 6, 6, 7, 10, 13, 16, 22, 23};
        long[] censored = {6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35};
        List<Spell> spells = new ArrayList<>();
        for (long t : ended) {
            spells.add(spell("m" + spells.size() % matches, t, "ended"));
        }
        for (long t : censored) {
            spells.add(spell("m" + spells.size() % matches, t, null));
        }
        return spells;
    }

    @Test
    void kaplanMeierAndGreenwoodAgreeWithThePublishedTable() {
        long[] times = {6, 7, 10, 13, 16, 22, 23};
        double[] held = {0.8571, 0.8067, 0.7529, 0.6902, 0.6275, 0.5378, 0.4482};
        double[] errors = {0.0764, 0.0869, 0.0963, 0.1068, 0.1141, 0.1282, 0.1346};
        Curve curve = ExitCurves.of(remissions(3), List.of(), 1).get(0);
        assertThat(curve.clustered())
                .as("three matches are too few to draw from")
                .isFalse();
        for (int i = 0; i < times.length; i++) {
            Curve.Point p = curve.at(times[i]).orElseThrow();
            assertThat(p.value()).isCloseTo(held[i], within(5e-5));
            double half = 1.6449 * errors[i] / (held[i] * -Math.log(held[i]));
            assertThat(p.lo()).isCloseTo(Math.pow(held[i], Math.exp(half)), within(6e-4));
            assertThat(p.hi()).isCloseTo(Math.pow(held[i], Math.exp(-half)), within(6e-4));
        }
    }

    @Test
    void beforeTheFirstEventTheEndIsExactAndBeyondTheLastTimeNothingIsSaid() {
        List<Spell> spells = List.of(spell("a", 10, "x"), spell("b", 20, null), spell("c", 30, "y"));
        List<Curve> curves = ExitCurves.of(spells, List.of("x", "y"), 1);
        Curve.Point never = curves.get(2).at(10).orElseThrow();
        assertThat(never.value()).isZero();
        assertThat(never.hi()).isCloseTo(1 - Math.pow(0.05, 1 / 3.0), within(1e-9));
        assertThat(curves.get(0).at(5).orElseThrow().value()).isEqualTo(1);
        assertThat(curves.get(0).at(31)).isEmpty();
        assertThat(ExitCurves.of(List.of(), List.of("x"), 1)).isEmpty();
    }

    @Test
    void incidencesOfAllCausesAddUpToTheShareGone() {
        // by hand: at 1 one of 5 by x; at 2 one of 4 by y; 3 censored; at 4 one of 2 by x
        List<Spell> spells = List.of(
                spell("a", 1, "x"), spell("b", 2, "y"), spell("c", 3, null), spell("d", 4, "x"), spell("e", 5, null));
        List<Curve> curves = ExitCurves.of(spells, List.of("x", "y"), 1);
        assertThat(curves.get(1).at(4).orElseThrow().value()).isCloseTo(0.2 + 0.6 / 2, within(1e-12));
        assertThat(curves.get(2).at(4).orElseThrow().value()).isCloseTo(0.8 / 4, within(1e-12));
        for (long t : new long[] {1, 2, 3, 4, 5}) {
            double gone = 1 - curves.get(0).at(t).orElseThrow().value();
            double sum = curves.get(1).at(t).orElseThrow().value()
                    + curves.get(2).at(t).orElseThrow().value();
            assertThat(sum).isCloseTo(gone, within(1e-12));
        }
    }

    @Test
    void withoutCensoringTheIncidenceIsTheRawShareAndItsErrorBinomial() {
        List<Spell> spells = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            spells.add(spell("m" + i % 2, 1 + i, i % 4 == 0 ? "x" : "y"));
        }
        Curve x = ExitCurves.of(spells, List.of("x", "y"), 1).get(1);
        Curve.Point end = x.at(20).orElseThrow();
        assertThat(end.value()).isCloseTo(0.25, within(1e-12));
        double half = 1.6449 * Math.sqrt(0.25 * 0.75 / 20) / (0.75 * -Math.log(0.75));
        assertThat(end.lo()).isCloseTo(1 - Math.pow(0.75, Math.exp(-half)), within(1e-3));
        assertThat(end.hi()).isCloseTo(1 - Math.pow(0.75, Math.exp(half)), within(1e-3));
    }

    @Test
    void fromFourMatchesOnTheMatchesAreDrawnAndAlikeSpellsWidenTheInterval() {
        Curve apart = ExitCurves.of(remissions(21), List.of(), 1).get(0);
        assertThat(apart.clustered()).isTrue();
        List<Spell> alike = new ArrayList<>();
        for (Spell s : remissions(21)) {
            for (int i = 0; i < 4; i++) {
                alike.add(spell(s.tag().match(), s.ms(), s.cause()));
            }
        }
        Curve four = ExitCurves.of(alike, List.of(), 1).get(0);
        Curve.Point a = apart.at(13).orElseThrow();
        Curve.Point b = four.at(13).orElseThrow();
        assertThat(b.value()).isCloseTo(a.value(), within(1e-9));
        assertThat(b.hi() - b.lo())
                .as("the same spell four times says nothing new")
                .isCloseTo(a.hi() - a.lo(), within(0.02));
        assertThat(ExitCurves.of(remissions(21), List.of(), 1)).isEqualTo(List.of(apart));
    }

    @Test
    void restrictedMeansAreAreasAndTheirDifferenceKnowsItsSign() {
        List<Spell> short1 = List.of(spell("a", 10_000, "x"), spell("b", 20_000, "x"));
        List<Spell> long1 = List.of(spell("a", 60_000, "x"), spell("b", 40_000, null));
        RestrictedMean d = RestrictedMean.compare(long1, short1, 1);
        assertThat(d.tauMs()).isEqualTo(60_000);
        assertThat(d.a()).isEqualTo(60_000);
        assertThat(d.b()).isEqualTo(15_000);
        assertThat(d.difference()).isEqualTo(45_000);
        assertThat(d.lo()).isPositive().isLessThanOrEqualTo(d.difference());
        assertThat(d.hi()).isGreaterThanOrEqualTo(d.difference());
    }
}
