package farglass.desk.assignment;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.profile.Profile;
import farglass.study.StudyOrder;
import farglass.tendency.Filter;
import farglass.time.Dates;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Spinner;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What to watch first of the films of an opponent that nobody has tagged yet, within the hours there are. */
final class StudySheet extends StackPane {
    private static final long SEED = 1;
    private final Desk desk;
    private final String athlete;
    private final Consumer<String> open;
    private final Spinner<Integer> hours = new Spinner<>(1, 80, 4);
    private final VBox lines = new VBox(8);

    /**
     * @param open opens a match in the film station
     * @param close puts the sheet away
     */
    StudySheet(Desk desk, String athlete, Consumer<String> open, Runnable close) {
        this.desk = desk;
        this.athlete = athlete;
        this.open = open;
        getStyleClass().add("veil");
        hours.setPrefWidth(90);
        hours.valueProperty().addListener((o, was, is) -> compute());
        HBox top = new HBox(10, Ui.name(Words.of("study.hours"), hours), hours);
        top.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new ScrollPane(lines);
        scroll.setFitToWidth(true);
        VBox sheet = Ui.sheet(
                Words.of("study.title", desk.nameOf(athlete)),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                top,
                Ui.grow(scroll));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(760, 460);
        sheet.setId("study-sheet");
        getChildren().add(sheet);
        compute();
    }

    private void compute() {
        List<MatchRecord> records = List.copyOf(desk.matches());
        Assignment a = desk.assignment().get();
        LocalDate day = a == null || a.date() == null ? LocalDate.now(desk.clock()) : a.date();
        StudyOrder.Aim aim = new StudyOrder.Aim(
                hours.getValue(),
                a == null ? null : a.attire(),
                a == null ? null : a.ruleset(),
                day,
                Filter.DEFAULT_HALF_LIFE);
        desk.tasks()
                .query(
                        "study",
                        () -> StudyOrder.of(records, Profile.of(desk.index(), athlete, Filter.ALL, SEED), aim),
                        this::show,
                        e -> desk.notices().problem(Words.of("profile.failed", e.getMessage())));
    }

    private void show(List<StudyOrder.Choice> choices) {
        lines.getChildren().clear();
        if (choices.isEmpty()) {
            lines.getChildren().add(Ui.empty(Words.of("study.empty", desk.nameOf(athlete))));
        }
        int rank = 1;
        for (StudyOrder.Choice c : choices) {
            lines.getChildren().add(line(rank++, c));
        }
    }

    private Node line(int rank, StudyOrder.Choice c) {
        MatchRecord r = c.record();
        String date = r.details().date() == null
                ? Words.of("match.no-date")
                : Dates.words(r.details().date());
        Label head = Ui.label(AssignmentStation.title(r) + ", " + date, "strong");
        String why = c.question() == null
                ? Words.of("study.relevance", Math.round(c.relevance() * 100))
                : Words.of("study.why", desk.claimWriter().sentence(c.question()), Math.round(c.relevance() * 100));
        VBox words = new VBox(1, head, Ui.prose(why, "claim-notes"));
        HBox line = new HBox(
                12,
                Ui.label(Integer.toString(rank), "key"),
                Ui.grow(words),
                Ui.label(Words.of("study.minutes", Math.round(c.workMinutes())), "soft"),
                Ui.button(Words.of("matches.open"), () -> open.accept(r.id()), "choice"));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }
}
