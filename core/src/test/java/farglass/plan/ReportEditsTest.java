package farglass.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class ReportEditsTest {
    private static final String WHO = "brisa-tolendt";

    private static ReportEdit edit(String sentence) {
        return ReportEdits.NONE.of(WHO, sentence);
    }

    @Test
    void aWordingIsKeptAndItsChangedNumbersAreSeen() {
        ReportEdits kept = ReportEdits.NONE.with(edit("start").wording(" Sits at once. ", "Pulls in 7 of 12."));
        ReportEdit e = kept.of(WHO, "start");
        assertThat(e.wording()).isEqualTo("Sits at once.");
        assertThat(e.stale("Pulls in 7 of 12.")).isFalse();
        assertThat(e.stale("Pulls in 8 of 13.")).isTrue();
        assertThat(kept.of("another", "start").wording()).isEmpty();
    }

    @Test
    void theComputedWordsOrNoneTakeTheWordingBack() {
        ReportEdits kept = ReportEdits.NONE.with(edit("start").wording("Sits.", "Pulls."));
        assertThat(kept.with(kept.of(WHO, "start").wording("Pulls.", "Pulls."))).isEqualTo(ReportEdits.NONE);
        assertThat(kept.with(kept.of(WHO, "start").wording("", "Pulls."))).isEqualTo(ReportEdits.NONE);
    }

    @Test
    void whatIsLeftOutStaysOutWithItsWording() {
        ReportEdit out = edit("sides").wording("Left.", "Sweeps left.").leftOut(true);
        ReportEdits kept = ReportEdits.NONE.with(out);
        assertThat(kept.of(WHO, "sides").leftOut()).isTrue();
        assertThat(kept.with(out.leftOut(false)).of(WHO, "sides").wording()).isEqualTo("Left.");
    }

    @Test
    void sentencesMoveWithinTheirPartAndNewOnesComeLast() {
        List<String> part = List.of("a", "b", "c");
        ReportEdits moved = ReportEdits.NONE.move(WHO, part, "c", -1);
        assertThat(moved.ordered(WHO, part)).containsExactly("a", "c", "b");
        assertThat(moved.ordered(WHO, List.of("a", "b", "c", "d"))).containsExactly("a", "c", "b", "d");
        assertThat(moved.ordered(WHO, List.of("b", "c"))).containsExactly("c", "b");
        assertThat(moved.ordered("another", part)).isEqualTo(part);
        assertThat(moved.move(WHO, part, "a", -1)).isEqualTo(moved);
        ReportEdits both = moved.move(WHO, List.of("x", "y"), "y", -3);
        assertThat(both.ordered(WHO, part)).containsExactly("a", "c", "b");
        assertThat(both.ordered(WHO, List.of("x", "y"))).containsExactly("y", "x");
    }

    @Test
    void aPlanForgetsTheAthleteAndHandsTheRestOn() {
        Plan p = Plan.empty("p", "Plan", "us", WHO)
                .report(ReportEdits.NONE
                        .with(edit("start").wording("Sits.", "Pulls."))
                        .move(WHO, List.of("a", "b"), "b", -1));
        assertThat(p.without(WHO).report()).isEqualTo(ReportEdits.NONE);
        assertThat(p.without("another").report()).isEqualTo(p.report());
        assertThat(Plan.empty("q", "Next", "us", WHO).from(p).report()).isEqualTo(p.report());
    }
}
