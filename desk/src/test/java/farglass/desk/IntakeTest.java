package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.assignment.AssignmentProbe;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.trainer.Exercise;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import org.junit.jupiter.api.Test;

/** What comes in from elsewhere: old notes from a spreadsheet; and films to practise on. */
class IntakeTest extends DeskDriver {
    private MatchRecord record() {
        return desk.openRecord().get();
    }

    private String text(String selector) {
        return ((Labeled) scene.lookup(selector)).getText();
    }

    private Path notes() throws Exception {
        String a = record().details().a().surname();
        return Files.writeString(
                folder.resolve("old.csv"),
                "Clock;Fighter;Move;Side;Worked;Comments\n"
                        + "5:50;" + a + ";guard pull;;yes;\n"
                        + "5:30;" + a + ";gnarly sweep;L;almost;posts late\n"
                        + "later;" + a + ";triangle;;;\n");
    }

    private void drop(Path file) throws Exception {
        onFx(() -> {
            new AssignmentProbe(shell.station(0)).take(List.of(file));
            return null;
        });
    }

    @Test
    void oldNotesAreTakenInRowByRowAndTheMappingIsRemembered() throws Exception {
        MatchRecord before = record();
        drop(notes());
        await(
                "two of three rows",
                () -> scene.lookup("#notes-take") != null && text("#notes-take").equals("Propose 2 of 3 rows"));
        onFx(() -> {
            TextField meant = find("#notes-term-gnarly-sweep");
            meant.setText("moon sweep");
            meant.fireEvent(new javafx.event.ActionEvent());
            meant.setText("lasso sweep");
            meant.fireEvent(new javafx.event.ActionEvent());
            return null;
        });
        await("the word is taught", () -> scene.lookup("#notes-term-gnarly-sweep") == null);
        fire("#notes-take");
        await(
                "proposed",
                () -> desk.session().drafts().of(before.id()).drafts().stream()
                        .anyMatch(d ->
                                d.tag() instanceof Tag.Action x && x.technique().equals("lasso-sweep")));
        assertThat(record().tags()).as("nothing counts before it is taken").isEqualTo(before.tags());
        await("kept", () -> desk.library().setting("notes.terms").isPresent());
        press(KeyCode.CONTROL, KeyCode.DIGIT2);
        press(KeyCode.F3);
        await("the pass leads through them", () -> find("#drafts").isVisible() && says("#drafts", "notes"));
        press(KeyCode.ENTER);
        await(
                "one is taken",
                () -> record().tags().stream()
                        .anyMatch(t -> "notes".equals(t.info().extra().get("source"))));
        press(KeyCode.CONTROL, KeyCode.Z);
        await("and taken back", () -> record().tags().equals(before.tags()));
        press(KeyCode.CONTROL, KeyCode.DIGIT1);
        drop(notes());
        await(
                "the word is known now",
                () -> scene.lookup("#notes-rows") != null
                        && !((ListView<?>) find("#notes-rows")).getItems().isEmpty()
                        && scene.lookup("#notes-term-gnarly-sweep") == null);
        press(KeyCode.ESCAPE);
        drop(Files.writeString(folder.resolve("bad.csv"), "a,b\n1,\"open\n"));
        awaitNotice("bad.csv cannot be read as a table");
        assertThat(record().tags()).isEqualTo(before.tags());
    }

    @Test
    void anExerciseIsMadeTaggedAndMarked() throws Exception {
        fire("#matches-practise");
        fire("#trainer-level-1");
        await("it is made and open", 180, () -> Exercise.is(record()));
        assertThat(desk.filmPath(record())).exists();
        assertThat(record().tags()).hasSize(2);
        String id = record().id();
        phrase("a double leg 2");
        await("tagged", () -> record().tags().size() == 3);
        press(KeyCode.CONTROL, KeyCode.DIGIT1);
        fire("#matches-practise");
        fire("#trainer-see-" + id);
        await("marked", () -> !((Pane) find("#trainer-mark")).getChildren().isEmpty());
        assertThat(text("#trainer-progress")).contains("level 1: kappa ");
        await(
                "the result is kept",
                () -> desk.library().setting("practice.results").isPresent());
    }
}
