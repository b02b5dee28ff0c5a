package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.profile.ProfileStation;
import farglass.plan.ReportEdit;
import farglass.profile.Claim;
import farglass.tendency.Filter;
import farglass.work.profile.ProfileService;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The report: every sentence plays, is pinned, worded anew, moved, left out, and leads to its evidence. */
class ScoutingPageTest extends DeskDriver {
    private ProfileStation station;

    @BeforeEach
    void goThere() throws Exception {
        press(KeyCode.CONTROL, KeyCode.DIGIT4);
        station = (ProfileStation) shell.station(3);
        await("the report is there", () -> station.claims().size() > 5);
    }

    private String who() {
        return desk.profiled().get();
    }

    private Stream<Node> labels() {
        return find("#station-profile").lookupAll(".label").stream().filter(Node::isVisible);
    }

    private static boolean says(Node label, String words) {
        String text = ((Labeled) label).getText();
        return text != null && text.contains(words);
    }

    /** Whether a row says so, in sight or scrolled past. */
    private boolean shows(String words) {
        return labels().anyMatch(n -> says(n, words));
    }

    /** Chooses the sentence whose words begin so. */
    private void choose(String id) throws Exception {
        onFx(() -> {
            ListView<?> list = station.list();
            for (int i = 0; i < list.getItems().size(); i++) {
                if (list.getItems().get(i).toString().contains("id=" + id + ",")) {
                    list.requestFocus();
                    list.scrollTo(i);
                    list.getSelectionModel().select(i);
                    return null;
                }
            }
            throw new AssertionError(id + " is not there");
        });
    }

    /** What the list holds, in sight or not. */
    private List<String> rows() {
        return station.list().getItems().stream().map(Object::toString).toList();
    }

    private List<String> order() {
        return rows().stream()
                .filter(t -> t.startsWith("Told[part=BOTTOM"))
                .map(t -> t.replaceAll("(?s).*?id=([^,]*),.*", "$1"))
                .toList();
    }

    @Test
    void theFirstPageIsTheReportAndEvidenceLiesOneStepDown() throws Exception {
        await("its parts", () -> shows("In one sentence") && shows("How it begins"));
        await("a sentence with its counts", () -> shows("Pulls guard first in 10 of 16 matches"));
        choose("start.opening.pull");
        press(KeyCode.ALT, KeyCode.E);
        await("the page of the claim", () -> shows("How does Tolendt start?"));
        await(
                "the claim itself",
                () -> onFx(() -> station.list().getSelectionModel().getSelectedItem()) != null);
        assertThat(station.claims()).extracting(Claim::id).contains("opening.pull");
        fire("#page-REPORT");
        // its top may be scrolled out of sight, as it was left
        await("back again", () -> onFx(() -> !order().isEmpty()));
    }

    @Test
    void aSentencePlaysAndItsClaimIsPinnedByKeys() throws Exception {
        choose("start.opening.pull");
        press(KeyCode.ENTER);
        await("without film that is said", () -> shows("None of these"));
        press(KeyCode.ALT, KeyCode.P);
        await("pinned", () -> desk.plan().get().isPinned(who(), "opening.pull"));
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> !desk.plan().get().isPinned(who(), "opening.pull"));
    }

    @Test
    void wordsAreKeptWithThePlanAndTheComputedOnesComeBack() throws Exception {
        choose("start.opening.pull");
        press(KeyCode.ALT, KeyCode.R);
        await("the sheet", () -> scene.lookup("#reword-sheet") != null);
        onFx(() -> {
            ((TextArea) find("#reword-words")).setText("Sits down\nat once");
            return null;
        });
        press(KeyCode.ENTER);
        await("own words", () -> shows("Sits down at once"));
        ReportEdit kept = desk.plan().get().report().of(who(), "start.opening.pull");
        assertThat(kept.said()).startsWith("Pulls guard first in 10 of 16");
        restart();
        goThere();
        await("still there", () -> shows("Sits down at once"));
        press(KeyCode.CONTROL, KeyCode.Z);
        await("the computed words", () -> shows("Pulls guard first in 10 of 16"));
    }

    @Test
    void aSentenceIsLeftOutAndMoved() throws Exception {
        // the report that is weighed against our athlete comes a little later, with sentences more
        await("weighed", () -> rows().stream().anyMatch(r -> r.contains("id=leverage.")));
        List<String> before = order();
        assertThat(before).hasSizeGreaterThan(1);
        choose(before.get(1));
        press(KeyCode.ALT, KeyCode.O);
        await("left out", () -> shows("left out of the report"));
        press(KeyCode.ALT, KeyCode.UP);
        await("moved", () -> order().get(0).equals(before.get(1)));
        press(KeyCode.CONTROL, KeyCode.Z);
        await("moved back", () -> order().equals(before));
        press(KeyCode.CONTROL, KeyCode.Z);
        await(
                "taken in again",
                () -> !desk.plan().get().report().of(who(), before.get(1)).leftOut());
        await("as it was", () -> {
            assertThat(order()).isEqualTo(before);
            assertThat(rows()).noneMatch(r -> r.contains("leftOut=true"));
            return true;
        });
    }

    @Test
    void theGameAndTheSidesAreDrawnAndPlay() throws Exception {
        fire("#page-GAME");
        await("the game", () -> scene.lookup("#game") != null);
        await(
                "its ways in words",
                () -> buttons().anyMatch(t -> t.contains("the guard pull to lasso guard: 13 of 13")));
        fire("#page-SIDES");
        await("the sides", () -> shows("Sweeps") && shows("left-sided"));
        Claim sweeps = new ProfileService(desk::index)
                .sides(who(), Filter.ALL).stream()
                        .filter(c -> c.id().equals("side.sweep"))
                        .findFirst()
                        .orElseThrow();
        String count = Integer.toString(sweeps.trials().size());
        await("their counts", () -> buttons().anyMatch(count::equals));
        fire("#page-CHAINS");
        await("favourite sequences", () -> shows("Favourite sequences"));
        assertThat(station.claims()).extracting(Claim::id).anyMatch(id -> id.startsWith("sequence."));
    }

    private Stream<String> buttons() {
        return find("#station-profile").lookupAll(".quiet").stream()
                .filter(Labeled.class::isInstance)
                .map(n -> ((Labeled) n).getText());
    }

    @Test
    void dangersAreWeighedAgainstOurAthlete() throws Exception {
        onFx(() -> {
            station.list().scrollTo(station.list().getItems().size() - 1);
            return null;
        });
        await("worth", () -> shows("points of our chance to win"));
        assertThat(onFx(this::rows)).anyMatch(r -> r.contains("Dangers")).anyMatch(r -> r.contains("Openings"));
    }
}
