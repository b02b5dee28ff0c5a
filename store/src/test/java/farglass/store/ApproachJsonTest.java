package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import farglass.matchup.gameplan.Call;
import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import farglass.plan.Approach;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.json.FormatException;
import farglass.store.json.PlanJson;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ApproachJsonTest {
    private static final Plan PLAN = Plan.empty("p", "Plan", "us", "them")
            .approach(Approach.USUAL
                    .emphasis(0.8)
                    .pressing(1.4)
                    .bar("guard-pull", true)
                    .fix("SDC+", Option.HOLD)
                    .fix("STD=", Option.press("collar-drag"))
                    .correct(new Correction(
                            new Exit.Key(ModelState.of("DLR", -1), true, "dlr-sweep"), 0.5, null, "camp, week two"))
                    .freeze(List.of(new Approach.Forecast("win", "Ansa wins", 0.44))));

    @Test
    void aPlanComesBackAsItWas() throws Exception {
        assertThat(PlanJson.read(PlanJson.write(PLAN))).isEqualTo(PLAN);
    }

    @Test
    void aPlanFromBeforeThereWasAnApproachHasTheUsualOne() throws Exception {
        String text = PlanJson.write(Plan.empty("p", "Plan", "us", "them"));
        String old = text.substring(0, text.indexOf("\"approach\"")).stripTrailing();
        old = old.substring(0, old.length() - 1) + "}";
        assertThat(PlanJson.read(old).approach()).isEqualTo(Approach.USUAL);
    }

    private static final Plan PROMISED = Plan.empty("p", "Plan", "us", "them")
            .calls(List.of(new Call("in half guard", "sweep"), new Call("", "now")))
            .open("collar drag")
            .promise("f1", "collar grip within 10 s of every restart")
            .save("calm")
            .promise("", "no guard pull")
            .approach(Approach.USUAL.emphasis(0.8));

    @Test
    void clausesAndLaidByStatesComeBackToo() throws Exception {
        Plan back = PlanJson.read(PlanJson.write(PROMISED));
        assertThat(back).isEqualTo(PROMISED);
        assertThat(back.saved().get(0).approach()).isEqualTo(Approach.USUAL);
    }

    @ParameterizedTest
    @CsvSource({
        "'\"id\" : \"c2\"', '\"id\" : \"second\"', second",
        "'\"text\" : \"no guard pull\"', '\"text\" : 3', /conduct/1",
        "'\"name\" : \"calm\"', '\"name\" : \" \"', /saved/0",
        "'\"fork\" : \"f1\",', '', /conduct/0",
        "'\"words\" : \"now\"', '\"words\" : \" \"', /ownCalls/1"
    })
    void aBrokenClauseIsNamed(String right, String wrong, String named) {
        String text = PlanJson.write(PROMISED);
        assertThat(text).contains(right);
        assertThatThrownBy(() -> PlanJson.read(text.replace(right, wrong)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining(named);
    }

    @Test
    void chancesToMeetComeBackAndMustBeChances() throws Exception {
        Assignment a = Samples.assignment("a").chance("brisa-tolendt", 0.35);
        String text = PlanJson.write(a);
        assertThat(PlanJson.readAssignment(text)).isEqualTo(a);
        assertThatThrownBy(() -> PlanJson.readAssignment(text.replace("0.35", "35")))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("/chances/brisa-tolendt");
        String old = text.substring(0, text.lastIndexOf(",")) + "}";
        assertThat(PlanJson.readAssignment(old)).isEqualTo(a.unweighted());
    }

    @ParameterizedTest
    @CsvSource({
        "'\"pressing\" : 1.4', '\"pressing\" : 9', pressing",
        "'\"press collar-drag\"', '\"jump\"', jump",
        "'\"DLR-\"', '\"DLR\"', DLR",
        "'\"p\" : 0.44', '\"p\" : 1.44', '/p'"
    })
    void whatIsWrongIsNamed(String right, String wrong, String named) {
        String text = PlanJson.write(PLAN);
        assertThat(text).contains(right);
        assertThatThrownBy(() -> PlanJson.read(text.replace(right, wrong)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining(named);
    }
}
