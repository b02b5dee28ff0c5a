package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class DecisionShapeTest {
    private static final Option PRESS = Option.press("knee-cut");
    private static final ModelState FIRST = ModelState.of("HFG", 1);
    private static final ModelState SECOND = ModelState.of("DLR", 1);

    private static DecisionShape.Worth by(Map<String, Double> places) {
        return (place, region) -> places.getOrDefault(place.group(), 0.0);
    }

    @Test
    void whatHelpsEverywhereNeedsNoWords() {
        Decision d = DecisionShape.of(List.of(FIRST, SECOND), PRESS, by(Map.of("HFG", 0.001, "DLR", 0.002)));
        assertThat(d.atAnyScore()).isTrue();
        assertThat(d.atAnyTime()).isTrue();
        assertThat(d.places()).as("the most first").containsExactly(SECOND, FIRST);
        assertThat(d.regions()).hasSize(9);
    }

    @Test
    void aPlaceThatBringsHardlyAnythingIsNotNamed() {
        Decision d = DecisionShape.of(List.of(FIRST, SECOND), PRESS, by(Map.of("HFG", 0.001, "DLR", 0.00005)));
        assertThat(d.places()).containsExactly(FIRST);
    }

    @Test
    void whatHelpsOnlyAheadAndLateSaysSo() {
        DecisionShape.Worth late =
                (place, r) -> r.lead() == Region.Lead.AHEAD && r.part() == Region.Part.LAST ? 0.004 : -0.001;
        Decision d = DecisionShape.of(List.of(FIRST), Option.HOLD, late);
        assertThat(d.leads()).containsExactly(Region.Lead.AHEAD);
        assertThat(d.parts()).containsExactly(Region.Part.LAST);
    }

    @Test
    void aWordThatBringsLessThanItCostsIsLeftOut() {
        DecisionShape.Worth nearly = (place, r) -> r.lead() == Region.Lead.AHEAD ? -0.00001 : 0.001;
        assertThat(DecisionShape.of(List.of(FIRST), PRESS, nearly).atAnyScore()).isTrue();
    }

    @Test
    void noMoreThanFourPlacesAreNamedAndTwoAreHeld() {
        List<ModelState> six = List.of(
                FIRST,
                SECOND,
                ModelState.of("CLG", 1),
                ModelState.of("SDC", 1),
                ModelState.of("MNT", 1),
                ModelState.of("BCK", 1));
        DecisionShape.Worth same = (place, r) -> 0.001;
        assertThat(DecisionShape.of(six, PRESS, same).places()).hasSize(4);
        assertThat(DecisionShape.of(six, Option.HOLD, same).places()).hasSize(2);
    }
}
