package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.plan.Plan;
import farglass.plan.ReportEdit;
import farglass.plan.ReportEdits;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReportEditsJsonTest {
    private static final ReportEdits EDITS = ReportEdits.NONE
            .with(ReportEdit.none("brisa-tolendt", "start.opening.pull")
                    .wording("Sits \"at once\".", "Pulls guard first in 7 of 12 matches."))
            .with(ReportEdit.none("odile-marrowen", "sides.pass").leftOut(true))
            .move("brisa-tolendt", List.of("a", "b", "c"), "c", -2);

    private static Plan plan() {
        return Plan.empty("p", "Plan", "ansa-kellivar", "brisa-tolendt").report(EDITS);
    }

    @Test
    void whatWasChangedComesBackWithThePlan() throws Exception {
        Plan back = PlanJson.read(PlanJson.write(plan()));
        assertThat(back.report()).isEqualTo(EDITS);
        assertThat(back.report().ordered("brisa-tolendt", List.of("a", "b", "c")))
                .containsExactly("c", "a", "b");
    }

    @Test
    void aPlanFromBeforeThereWereReportsHasThemAsComputed() throws Exception {
        String old = PlanJson.write(plan()).replaceAll("(?s),\\s*\"report\" : \\{.*?\\n  \\}(?=,)", "");
        assertThat(old).doesNotContain("\"report\"");
        assertThat(PlanJson.read(old).report()).isEqualTo(ReportEdits.NONE);
    }

    @Test
    void aSentenceWithoutItsAthleteIsRefusedByItsPlace() {
        String broken = PlanJson.write(plan()).replaceFirst("\"athlete\" : \"brisa-tolendt\",", "");
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> PlanJson.read(broken))
                .withMessageContaining("report");
    }
}
