package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.MatchRecord;
import farglass.match.Tag;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The plan of the demo's assignment that is over, held against its match. */
class DebriefStationTest extends DeskDriver {
    private static final long LONG = 60;

    private void openPast() throws Exception {
        assign("saltmarsh-2030");
        press(KeyCode.CONTROL, KeyCode.DIGIT8);
        await("forks are judged", LONG, () -> says("#debrief-branches", "not followed"));
    }

    private MatchRecord match() {
        return desk.matches().stream()
                .filter(r -> r.id().equals("saltmarsh-night-2030-07-03-ansa-brisa"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void everyPartOfThePlanIsHeldAgainstTheMatch() throws Exception {
        openPast();
        assertThat(says("#debrief-branches", "they did")).isTrue();
        assertThat(says("#station-debrief", "forks of ours that came up were followed"))
                .isTrue();
        page("#debrief-page-decisions", "#debrief-decisions");
        await(
                "what film cannot value stands there too",
                () -> says("#debrief-decisions", "Knee cut, wherever it comes up."));
        onFx(() -> {
            desk.changePlan(p -> p.open("half guard sweep").open("takedown, when behind"));
            return null;
        });
        await("our own is held against it", () -> says("#debrief-decisions", "alf guard sweep"));
        assertThat(texts("#debrief-decisions"))
                .anyMatch(t -> t.startsWith("Our own plan, sentence by sentence"))
                .anyMatch(t -> t.matches("done|not done|did not come up"));
        page("#debrief-page-conduct", "#debrief-conduct");
        await("clauses are judged", () -> says("#debrief-conduct", "The meeting before:"));
        page("#debrief-page-forecasts", "#debrief-forecasts");
        await("forecasts are scored", () -> says("#debrief-forecasts", "6 forecasts: Brier score"));
        await("and drawn", () -> scene.lookup("#reliability") != null);
        page("#debrief-page-surprises", "#debrief-surprises");
        await("surprises are named", () -> says("#debrief-surprises", "expected in"));
        page("#debrief-page-claims", "#debrief-claims");
        await("no claim was pinned", () -> says("#debrief-claims", "No claim was pinned"));
    }

    @Test
    void aLessonStaysWithTheMatchAndIsTakenBack() throws Exception {
        openPast();
        int before = match().tags().size();
        onFx(() -> {
            TextField f = find("#lesson");
            f.setText("Strip the lasso before the knee comes");
            f.fireEvent(new javafx.event.ActionEvent());
            return null;
        });
        await("it is a remark", () -> match().tags().size() == before + 1);
        assertThat(match().tags())
                .anyMatch(t -> t instanceof Tag.Remark r && r.text().startsWith("Strip the lasso"));
        await("and stands there", () -> says("#lessons", "Strip the lasso"));
        onFx(() -> {
            find("#debrief-match").requestFocus();
            return null;
        });
        press(KeyCode.CONTROL, KeyCode.Z);
        await("it is taken back", () -> match().tags().size() == before);
    }

    @Test
    void kindsOfDecisionAreHeldAgainstWhatTheyPromised() throws Exception {
        openPast();
        page("#debrief-page-season", "#debrief-season");
        await("the season stands there", () -> says("#debrief-season", "Lantern Bay Open: Brisa Tolendt"));
        assertThat(texts("#season-kinds")).singleElement().asString().contains("solved anew");
        fire("#debrief-season", "Work it out");
        await("kinds with what came of them", 120, () -> says("#season-kinds", "Decided in "));
        assertThat(texts("#season-kinds"))
                .filteredOn(t -> t.startsWith("Decided in "))
                .allMatch(t -> t.contains("came up in") && !t.contains("{") && !t.contains("NaN"));
    }

    @Test
    void aRematchBeginsFromTheOldPlan() throws Exception {
        openPast();
        page("#debrief-page-season", "#debrief-season");
        await("the season stands there", () -> says("#debrief-season", "Lantern Bay Open: Brisa Tolendt"));
        onFx(() -> {
            find("#debrief-season").lookupAll(".button").stream()
                    .map(Button.class::cast)
                    .filter(b -> b.getText().equals("Begin from the old plan"))
                    .findFirst()
                    .orElseThrow()
                    .fire();
            return null;
        });
        await("the old forks are there", () -> desk.plan().get().openings().size() == 1);
        assertThat(desk.plan().get().id()).isEqualTo("lantern-bay-2031.brisa-tolendt");
        assertThat(desk.plan().get().clauses()).hasSize(3);
        assertThat(desk.plan().get().approach().forecasts()).as("made anew").isEmpty();
        await("that match is still to come", () -> says("#station-debrief", "has not taken place"));
    }

    @Test
    void anAthleteIsForgottenAfterSayingWhatGoes() throws Exception {
        press(KeyCode.CONTROL, KeyCode.DIGIT1);
        fire("#matches-forget");
        await("the sheet is there", () -> scene.lookup("#forget-sheet") != null);
        assertThat(find("#forget-confirm").isDisabled()).as("nobody is chosen").isTrue();
        long hers = desk.matches().stream()
                .filter(r -> r.cornerOf("brisa-tolendt").isPresent())
                .count();
        int all = desk.matches().size();
        onFx(() -> {
            ((javafx.scene.control.ComboBox<?>) find("#forget-who"))
                    .getSelectionModel()
                    .select(new java.util.TreeMap<>(desk.athletes())
                            .headMap("brisa-tolendt")
                            .size());
            return null;
        });
        await("it says what goes", () -> says("#forget-what", hers + " matches"));
        assertThat(says("#forget-what", "1 plan of this athlete")).isTrue();
        assertThat(desk.matches()).hasSize(all);
        fire("#forget-confirm");
        awaitNotice("is forgotten");
        assertThat(desk.matches()).hasSize((int) (all - hers));
        assertThat(desk.athletes()).doesNotContainKey("brisa-tolendt");
        assertThat(desk.assignment().get().opponents()).doesNotContain("brisa-tolendt");
        restart();
        assertThat(desk.athletes()).doesNotContainKey("brisa-tolendt");
        assertThat(desk.plans()).isEmpty();
    }
}
