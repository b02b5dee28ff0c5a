package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.plan.PlanStation;
import farglass.desk.profile.ProfileStation;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.plan.Assignment;
import farglass.plan.Fork;
import farglass.plan.Plan;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** What each station does with what is typed and clicked there. */
class StationsTest extends DeskDriver {
    private MatchRecord bare() {
        return desk.matches().stream()
                .filter(r -> r.films().isEmpty())
                .findFirst()
                .orElseThrow();
    }

    private void openBare() throws Exception {
        MatchRecord bare = bare();
        onFx(() -> {
            desk.openMatch(bare.id());
            shell.go(1);
            find("#phrase").requestFocus();
            return null;
        });
        // typing begins when the line has the keyboard
        robot.interact(() -> find("#phrase").requestFocus());
        await("the line has the keyboard", () -> find("#phrase").isFocused());
    }

    private String phraseText() throws Exception {
        return onFx(() -> ((TextField) find("#phrase")).getText());
    }

    private String reading() throws Exception {
        return onFx(() -> ((Labeled) scene.lookup(".phrase-reading")).getText());
    }

    private Stream<String> labels(Node root) {
        return root.lookupAll(".label").stream().map(n -> ((Labeled) n).getText());
    }

    @Test
    void tabTakesTheFirstCompletionAndEscapeDropsThePhrase() throws Exception {
        openBare();
        robot.write("a knee cu", 0);
        press(KeyCode.TAB);
        assertThat(phraseText()).isEqualTo("a knee cut ");
        assertThat(reading()).startsWith("knee cut");
        press(KeyCode.ESCAPE);
        assertThat(phraseText()).isEmpty();
    }

    @Test
    void aDigitOnTheEmptyLineTakesALikelyNextTagAndEnterKeepsIt() throws Exception {
        openBare();
        await("the model is learned", () -> desk.likely().get() != null);
        int before = desk.openRecord().get().tags().size();
        robot.write("1", 0);
        assertThat(phraseText()).matches("[ab] .+ ");
        robot.write("l2", 0);
        press(KeyCode.ENTER);
        await("kept", () -> desk.openRecord().get().tags().size() > before);
        assertThat(desk.openRecord().get().tags())
                .anyMatch(t -> t instanceof Tag.Action a
                        && a.t().ms() == 0
                        && Integer.valueOf(2).equals(a.reached()));
        robot.write("2 points", 0);
        assertThat(phraseText()).as("digits later on are digits").endsWith("2 points".substring(1));
    }

    @Test
    void keysOfTheFilmAreNoLettersOfAPhraseAndAnUnfinishedPhraseIsNotKept() throws Exception {
        openBare();
        int before = desk.openRecord().get().tags().size();
        robot.write(",./[]=", 0);
        assertThat(phraseText()).isEmpty();
        robot.write("b mount", 0);
        robot.write(" zzz", 0);
        press(KeyCode.ENTER);
        assertThat(phraseText()).as("still there to be mended").isEqualTo("b mount zzz");
        assertThat(reading()).contains("is not a word of the lexicon");
        assertThat(desk.openRecord().get().tags()).hasSize(before);
    }

    @Test
    void theRecordIsWhatTheTagsAreAndNothingIsShownTwice() throws Exception {
        openBare();
        MatchRecord r = desk.openRecord().get();
        int rows = onFx(() -> ((ListView<?>) find("#record-list")).getItems().size());
        assertThat(rows).isEqualTo(r.tags().size());
        assertThat(onFx(() -> labels(shell.view()).toList())).contains(r.tags().size() + " tags");
    }

    @Test
    void aPlanIsLaidChangedAndTakenBack() throws Exception {
        pinTwo();
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        assertThat(find("#plan-page-decisions").getPseudoClassStates().toString())
                .as("nothing is laid yet")
                .contains("selected");
        fire("#plan-page-own");
        for (String text : List.of("Collar first", "Pulls to lasso", "Strip the sleeve")) {
            robot.interact(() -> find("#fork-next").requestFocus());
            robot.write(text, 0);
            int before = forks();
            press(KeyCode.ENTER);
            await("a fork more", () -> forks() == before + 1);
        }
        Plan laid = desk.plan().get();
        assertThat(laid.openings()).hasSize(1);
        assertThat(laid.openings().get(0).ours()).isTrue();
        await(
                "it says what rests on nothing",
                () -> ((Labeled) scene.lookup(".weak"))
                        .getText()
                        .startsWith("3 forks rest on neither a claim nor film"));
        onFx(() -> {
            find("#station-plan").lookupAll(".button").stream()
                    .map(Button.class::cast)
                    .filter(b -> b.getText().equals("Rest fork on it"))
                    .findFirst()
                    .orElseThrow()
                    .fire();
            return null;
        });
        await("the chosen fork rests on it", () -> rests(desk.plan().get().openings()) == 1);
        onFx(() -> {
            ((TextField) find("#fork-note")).setText("in the first ten seconds");
            ((TextField) find("#fork-note")).getOnAction().handle(null);
            return null;
        });
        await("the note is kept", () -> desk.plan().get().openings().toString().contains("first ten seconds"));
        for (int i = 0; i < 2; i++) {
            press(KeyCode.CONTROL, KeyCode.Z);
        }
        await("two steps back", () -> rests(desk.plan().get().openings()) == 0);
        press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        await("one step on", () -> rests(desk.plan().get().openings()) == 1);
        restart();
        assertThat(desk.plan().get().pinned()).hasSize(2);
        assertThat(rests(desk.plan().get().openings())).isEqualTo(1);
    }

    private int forks() {
        return desk.plan().get().openings().stream().mapToInt(Fork::size).sum();
    }

    private static int rests(List<Fork> forks) {
        return forks.stream().mapToInt(f -> f.claims().size() + rests(f.next())).sum();
    }

    private void pinTwo() throws Exception {
        toClaims();
        ProfileStation profile = (ProfileStation) shell.station(3);
        await("claims are there", () -> profile.claims().size() > 2);
        for (int i = 0; i < 2; i++) {
            String row = "#claim-" + profile.claims().get(i).id().replace('.', '-');
            int n = i;
            await("its row is drawn", () -> scene.lookup(row + " .pin") != null);
            fire(row + " .pin");
            await("pinned", () -> desk.plan().get().pinned().size() == n + 1);
        }
    }

    @Test
    void aPlanThatCannotBeWrittenSaysSoAndLeavesNothing() throws Exception {
        Path file = Files.writeString(folder.resolve("taken"), "x");
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        onFx(() -> {
            ((PlanStation) shell.station(5)).papers().writePdf(file.resolve("plan.pdf"));
            return null;
        });
        awaitNotice("could not be written");
        assertThat(notice()).contains("Choose another place");
    }

    @Test
    void datesNarrowTheProfileAndAnEmptyOneSaysWhatToDo() throws Exception {
        toClaims();
        ListView<?> claims = ((ProfileStation) shell.station(3)).list();
        await("claims are there", () -> !claims.getItems().isEmpty());
        onFx(() -> {
            scene.getRoot().lookupAll(".date-picker").stream()
                    .filter(Node::isVisible)
                    .map(javafx.scene.control.DatePicker.class::cast)
                    .findFirst()
                    .orElseThrow()
                    .setValue(LocalDate.of(2040, 1, 1));
            return null;
        });
        await("nothing is left", () -> claims.getItems().isEmpty());
        assertThat(onFx(() -> labels(claims).anyMatch(x -> x.contains("Widen the dates"))))
                .isTrue();
    }

    @Test
    void anAssignmentIsKeptAsItIsTypedAndSurvivesARestart() throws Exception {
        onFx(() -> {
            TextField event = scene.getRoot().lookupAll(".text-field").stream()
                    .filter(TextField.class::isInstance)
                    .map(TextField.class::cast)
                    .filter(t -> "Lantern Bay Open".equals(t.getText()))
                    .findFirst()
                    .orElseThrow();
            event.setText("Harrow Spring Cup");
            event.getOnAction().handle(null);
            return null;
        });
        await("kept", () -> desk.assignment().get().event().equals("Harrow Spring Cup"));
        robot.interact(() -> find("#matches").requestFocus());
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> desk.assignment().get().event().equals("Lantern Bay Open"));
        onFx(() -> {
            var now = desk.assignment().get();
            desk.save(new Assignment(
                    now.id(),
                    now.us(),
                    now.opponents(),
                    "Harrow Spring Cup",
                    now.date(),
                    now.ruleset(),
                    now.attire(),
                    now.minutes()));
            return null;
        });
        String id = desk.assignment().get().id();
        restart();
        assertThat(desk.assignments())
                .anyMatch(a -> a.id().equals(id) && a.event().equals("Harrow Spring Cup"));
    }

    @Test
    void theSecondPassIsLedFromPlaceToPlace() throws Exception {
        openBare();
        phrase("a knee cut");
        await(
                "an attempt without side and level",
                () -> desk.openRecord().get().tags().stream()
                        .anyMatch(t -> t instanceof Tag.Action a
                                && a.t().ms() == 0
                                && a.sides().isEmpty()));
        press(KeyCode.F3);
        awaitNotice("To which side?");
        assertThat(notice()).contains("(1 of ");
        press(KeyCode.ALT, KeyCode.H);
        await(
                "said not to be visible",
                () -> desk.openRecord().get().tags().stream()
                        .anyMatch(
                                t -> t instanceof Tag.Action a && a.sides().contains(farglass.match.Side.NOT_VISIBLE)));
        press(KeyCode.F3);
        awaitNotice("How far did this get?");
    }
}
