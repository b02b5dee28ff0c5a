package farglass.desk.start;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Fork;
import farglass.plan.Plan;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A strip of first steps that tick themselves when they are done; closed, it stays away. Kept in the library. */
public final class FirstSteps extends VBox {
    private static final String DONE = "first-steps.done";
    private static final String CLOSED = "first-steps.closed";
    private static final double WIDTH = 124;

    private final Desk desk;
    private final Set<Step> done = EnumSet.noneOf(Step.class);
    private final FlowPane strip = new FlowPane(8, 6);

    /** Watches what is done at all stations. */
    public FirstSteps(Desk desk) {
        this.desk = desk;
        setId("first-steps");
        desk.preferences()
                .get(DONE)
                .ifPresent(kept -> Arrays.stream(Step.values())
                        .filter(s -> Arrays.asList(kept.split(",")).contains(s.name()))
                        .forEach(done::add));
        HBox head = new HBox(
                8,
                Ui.label(Words.of("steps.title"), "heading"),
                Ui.spring(),
                Ui.button(Words.of("steps.close"), this::close, "quiet"));
        head.setAlignment(Pos.CENTER_LEFT);
        head.getChildren().get(2).setId("first-steps-close");
        getStyleClass().addAll("sheet", "tight");
        getChildren().addAll(head, strip);
        desk.assignment().addListener((o, was, is) -> assigned(is));
        desk.openRecord().addListener((o, was, is) -> worked(was, is));
        desk.plan().addListener((o, was, is) -> planned(was, is));
        assigned(desk.assignment().get());
        fill();
    }

    /** The report is looked at. */
    public void reported() {
        tick(Step.REPORT);
    }

    private void assigned(Assignment a) {
        if (a != null && !a.opponents().isEmpty()) {
            tick(Step.ASSIGNMENT);
        }
    }

    private void worked(MatchRecord was, MatchRecord is) {
        if (is == null) {
            return;
        }
        if (is.waiting() && !is.films().isEmpty()) {
            tick(Step.FILM);
        }
        if (was == null || !was.id().equals(is.id())) {
            return;
        }
        if (was.clock().isEmpty() && !is.clock().isEmpty()) {
            tick(Step.CLOCK);
        }
        if (is.tags().size() > was.tags().size()) {
            tick(Step.TAG);
        }
    }

    private void planned(Plan was, Plan is) {
        if (was == null || is == null || !was.id().equals(is.id())) {
            return;
        }
        if (is.pinned().size() > was.pinned().size()) {
            tick(Step.PIN);
        }
        if (forks(is) > forks(was)) {
            tick(Step.FORK);
        }
        if (is.camp().log().size() > was.camp().log().size()) {
            tick(Step.ROUND);
        }
    }

    private static int forks(Plan p) {
        return p.openings().stream().mapToInt(Fork::size).sum();
    }

    private void tick(Step step) {
        if (!desk.library().readOnly() && done.add(step)) {
            desk.preferences().set(DONE, done.stream().map(Enum::name).collect(Collectors.joining(",")));
            fill();
        }
    }

    private void close() {
        desk.preferences().set(CLOSED, "true");
        fill();
    }

    private void fill() {
        boolean open = desk.preferences().get(CLOSED).isEmpty()
                && !desk.library().readOnly()
                && done.size() < Step.values().length;
        setVisible(open);
        setManaged(open);
        strip.getChildren().setAll(Arrays.stream(Step.values()).map(this::line).toList());
    }

    private Node line(Step step) {
        boolean ticked = done.contains(step);
        Label name = Ui.prose(Words.of(ticked ? "steps.done" : "steps.open", Words.of(step.words())), "strong");
        name.setAccessibleText(Words.of(ticked ? "steps.is-done" : "steps.is-open", Words.of(step.words())));
        VBox line = new VBox(0, name, Ui.prose(Words.of(step.how()), "claim-notes"));
        line.setOpacity(ticked ? 0.55 : 1);
        line.setPrefWidth(WIDTH);
        return line;
    }
}
