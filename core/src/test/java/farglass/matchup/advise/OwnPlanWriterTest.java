package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Option;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class OwnPlanWriterTest {
    private static final OwnPlanWriter WRITER = new MeetingWriter(Locale.ENGLISH, Small.LEXICON, "Ansa", "Brisa").own();
    private static final ModelState HALF = ModelState.of("HFG", -1);

    private static Uncertainty.Range range(double mean, double width) {
        return new Uncertainty.Range(mean, mean - width, mean + width);
    }

    private static OwnPlan drawn(double more, double width) {
        OwnPlan.Ranges r = new OwnPlan.Ranges(
                range(0.42 + more, 0.1),
                range(0.42, 0.1),
                range(0.43, 0.1),
                range(more, width),
                range(more - 0.01, width));
        return new OwnPlan(List.of(), 0.4 + more, 0.4, 0.41, r, 40);
    }

    @ParameterizedTest
    @CsvSource({
        "0.02, 0.01, it is better than Ansa's natural game",
        "-0.02, 0.01, Ansa's natural game is better",
        "0.02, 0.05, does not tell for sure",
        "0.0001, 0.05, changes nothing that film can tell"
    })
    void aVerdictIsOnlyGivenWhenDrawsAgree(double more, double width, String said) {
        assertThat(WRITER.compared(drawn(more, width))).contains(said, "42.0%", "43.0%");
    }

    @Test
    void beforeDrawsThereAreNoIntervals() {
        OwnPlan known = new OwnPlan(List.of(), 0.45, 0.4, 0.41, null, 0);
        assertThat(WRITER.compared(known))
                .isEqualTo("With this plan we win 45.0%, with our natural game 40.0%, with the computed decisions"
                        + " 41.0%. As far as film tells, it is better than Ansa's natural game.");
    }

    @ParameterizedTest
    @EnumSource(Intent.Unvalued.class)
    void whatHasNoNumberSaysWhy(Intent.Unvalued why) {
        Intent i = Intent.unvalued("worm guard", why);
        OwnPlan.Valued v = new OwnPlan.Valued(i, null, null, null);
        assertThat(WRITER.worth(v, 40)).endsWith(".").doesNotContain("{", "points");
        assertThat(WRITER.sentence(i)).contains("worm guard");
    }

    @Test
    void whatIsNeverDoneNamesItsPlaceWhereOneWasNamed() {
        Set<Exit.Key> barred = Set.of(new Exit.Key(HALF, true, "half-guard-sweep"));
        assertThat(WRITER.sentence(new Intent("x", List.of(), barred, false, null)))
                .isEqualTo("Never: half guard sweep, at the bottom of half guard.");
        assertThat(WRITER.sentence(new Intent("x", List.of(), barred, true, null)))
                .isEqualTo("Never: half guard sweep.");
    }

    @Test
    void aWorthHasItsSignAndItsDraws() {
        Intent i = new Intent(
                "x", List.of(Decision.always(HALF, Option.press("half-guard-sweep"))), Set.of(), false, null);
        assertThat(WRITER.worth(new OwnPlan.Valued(i, 0.004, null, null), 0))
                .isEqualTo("+0.4 points of our chance to win");
        assertThat(WRITER.worth(new OwnPlan.Valued(i, -0.0001, range(-0.0001, 0.002), 0.45), 40))
                .isEqualTo("+0.0 points of our chance to win (-0.2 to +0.2); helps in 18 of 40 draws");
    }
}
