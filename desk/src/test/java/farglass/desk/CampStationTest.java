package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.camp.Camp;
import farglass.camp.SkillSetting;
import farglass.desk.camp.CampStation;
import farglass.plan.Assignment;
import farglass.store.Library;
import java.nio.file.Files;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The camp follows from the match-up, is bent by the user, and is fed by what training shows. */
class CampStationTest extends DeskDriver {
    private static final long LONG = 120;

    /** Submission only, where a solution takes a moment; thirty days ahead. */
    @Override
    void fill(Library library) throws Exception {
        Demo.fill(library);
        for (Assignment a : library.assignments()) {
            if (a.id().equals("lantern-bay-2031")) {
                library.save(new Assignment(
                        a.id(),
                        a.us(),
                        List.of("brisa-tolendt"),
                        a.event(),
                        LocalDate.of(2031, 5, 31),
                        "submission-only",
                        null,
                        8));
            }
        }
    }

    private Camp camp() {
        return desk.plan().get().camp();
    }

    private void openCamp() {
        press(KeyCode.CONTROL, KeyCode.DIGIT7);
        await("minutes are shared out", LONG, () -> says("#camp-minutes", "min bring"));
    }

    @Test
    @SuppressWarnings("unchecked")
    void minutesFollowFromTheMatchUpAndAreBentAndUndone() throws Exception {
        openCamp();
        assertThat(((Labeled) find("#camp-care")).getText())
                .as("the cautions stand on the page")
                .contains("Tap early", "licensed people");
        assertThat(says("#camp-minutes", "in training"))
                .as("readiness with its counts")
                .isTrue();
        Node first = find("#camp-minutes").lookup(".skill-row");
        List<Spinner<Integer>> spinners = first.lookupAll(".spinner").stream()
                .map(n -> (Spinner<Integer>) n)
                .toList();
        onFx(() -> {
            spinners.get(1).getValueFactory().setValue(60);
            return null;
        });
        await("least minutes are kept", () -> camp().skills().size() == 1);
        assertThat(camp().skills().values()).containsExactly(SkillSetting.USUAL.least(60));
        page("#camp-page-calendar", "#camp-calendar");
        await("rounds lie on days", () -> says("#camp-calendar", "HARD"));
        fire("#station-camp", "Undo");
        await("and taken back", () -> camp().skills().isEmpty());
    }

    @Test
    void daysAndPartnersAreSet() throws Exception {
        openCamp();
        page("#camp-page-settings", "#camp-settings");
        onFx(() -> {
            ((CheckBox) find("#camp-day-sun")).fire();
            ((TextField) find("#partner-name")).setText("Ilse");
            ((TextField) find("#partner-imitates")).setText("triangle, wobble");
            return null;
        });
        await("Sunday is a training day", () -> camp().days().contains(DayOfWeek.SUNDAY));
        fire("#camp-settings", "Add");
        awaitNotice("wobble");
        assertThat(camp().partners()).isEmpty();
        onFx(() -> {
            ((TextField) find("#partner-imitates")).setText("triangle");
            return null;
        });
        fire("#camp-settings", "Add");
        await("a partner", () -> camp().partners().size() == 1);
        assertThat(camp().partners().get(0).imitates()).containsExactly("triangle");
        page("#camp-page-calendar", "#camp-calendar");
        await(
                "who stands in rounds",
                () -> find("#camp-calendar").lookupAll(".button").stream()
                        .anyMatch(b -> ((Button) b).getText().endsWith("Ilse")));
    }

    @Test
    @SuppressWarnings("unchecked")
    void whatARoundShowedIsLoggedAndMovesTheWinChance() throws Exception {
        openCamp();
        await("a card is shown", () -> says("#camp-card", "IN DANGER"));
        onFx(() -> {
            ((Spinner<Integer>) scene.lookup("#log-tries")).getValueFactory().setValue(3);
            ((Spinner<Integer>) scene.lookup("#log-successes"))
                    .getValueFactory()
                    .setValue(9);
            return null;
        });
        fire("#camp-card", "Log it");
        awaitNotice("9 of 3");
        assertThat(camp().log()).as("nothing was kept").isEmpty();
        onFx(() -> {
            ((Spinner<Integer>) scene.lookup("#log-tries")).getValueFactory().setValue(60);
            ((Spinner<Integer>) scene.lookup("#log-successes"))
                    .getValueFactory()
                    .setValue(60);
            ((TextField) find("#log-remark")).setText("elbow in early");
            return null;
        });
        fire("#camp-card", "Log it");
        await("it is logged", () -> camp().log().size() == 1);
        assertThat(camp().log().get(0).remark()).isEqualTo("elbow in early");
        await(
                "and counts",
                LONG,
                () -> texts("#camp-headline").stream()
                        .anyMatch(t -> t.contains("1 rounds logged") && !t.contains("0 rounds")));
        page("#camp-page-log", "#camp-log");
        await("it stands in the log", () -> says("#camp-log", "60 of 60"));
        restart();
        assertThat(camp().log()).as("it outlives the window").hasSize(1);
    }

    @Test
    void theCampIsWrittenInThreeFormats() throws Exception {
        openCamp();
        CampStation station = (CampStation) shell.station(6);
        onFx(() -> {
            station.writePdf(folder.resolve("camp.pdf"));
            return null;
        });
        awaitNotice("camp.pdf");
        onFx(() -> {
            station.writeIcs(folder.resolve("camp.ics"));
            return null;
        });
        awaitNotice("camp.ics");
        onFx(() -> {
            station.writeCsv(folder.resolve("none/camp.csv"));
            return null;
        });
        awaitNotice("none/camp.csv");
        assertThat(Files.readString(folder.resolve("camp.ics"))).contains("BEGIN:VEVENT", "Tap early");
        assertThat(Files.size(folder.resolve("camp.pdf"))).isGreaterThan(10_000);
    }
}
