package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Adaptation;
import farglass.matchup.advise.Decision;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.Proposal;
import farglass.stats.TagRef;
import farglass.text.Language;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** One thing that the opponent may do more of, with a dial for how much, and what then becomes of our plan. */
final class ChangePart extends VBox {
    private static final double STEP = 0.25;
    private static final double FIRST = 2;

    private final Desk desk;
    private final MeetingModel model;
    private final Proposal proposal;
    private final Adaptation change;
    private final Slider dial = new Slider(1, Adaptation.MOST, FIRST);
    private final Label factor = Ui.label("", "claim-interval");
    private final Label wins = Ui.prose("", "body");
    private final Label breaks = Ui.prose("", "claim-notes");
    private final Label instead = Ui.prose("", "claim-notes");
    private double asked;

    /**
     * @param play plays what was seen of it
     * @param number of this part on its page
     */
    ChangePart(
            Desk desk,
            MeetingModel model,
            Proposal proposal,
            Adaptation change,
            Consumer<List<TagRef>> play,
            int number) {
        super(2);
        this.desk = desk;
        this.model = model;
        this.proposal = proposal;
        this.change = change;
        setId("plan-change-" + number);
        dial.setId("dial-change-" + number);
        String name = model.writer().technique(change.technique());
        dial.setAccessibleText(Words.of("plan.change.dial", name));
        dial.setBlockIncrement(STEP);
        dial.setMajorTickUnit(STEP);
        dial.setMinorTickCount(0);
        dial.setSnapToTicks(true);
        dial.setMaxWidth(220);
        HBox.setHgrow(dial, Priority.ALWAYS);
        HBox row = new HBox(8, Ui.grow(Ui.prose(Words.of("plan.change.what", name), "pinned-sentence")), dial, factor);
        row.setAlignment(Pos.CENTER_LEFT);
        HBox shown = new HBox(6);
        play(shown, play, "plan.change.all", change.all());
        play(shown, play, "plan.change.behind", change.behind());
        play(shown, play, "plan.change.rematch", change.rematch());
        factor.setMinWidth(USE_PREF_SIZE);
        getChildren().addAll(row, shown, wins, breaks, instead);
        dial.valueProperty().addListener((o, was, is) -> ask());
        ask();
        desk.tasks()
                .query(
                        getId() + "-breaks",
                        () -> new First(change.breaks(proposal.solved(), proposal.decisions())),
                        this::broken,
                        e -> breaks.setText(String.valueOf(e.getMessage())));
    }

    private static void play(HBox into, Consumer<List<TagRef>> play, String which, List<TagRef> tags) {
        Button button = Ui.button(Words.of(which, tags.size()), () -> play.accept(tags), "quiet");
        button.setDisable(tags.isEmpty());
        button.setMinWidth(USE_PREF_SIZE);
        into.getChildren().add(button);
    }

    /** What breaks first; nothing may. */
    private record First(Adaptation.Break decision) {}

    private void ask() {
        double now = Math.round(dial.getValue() / STEP) * STEP;
        factor.setText(times(now));
        if (now == asked) {
            return;
        }
        asked = now;
        wins.setText(Words.of("plan.change.working"));
        instead.setText("");
        desk.tasks()
                .query(
                        getId(),
                        () -> change.effect(proposal.solved(), proposal.decisions(), now),
                        e -> effect(e, now),
                        e -> wins.setText(String.valueOf(e.getMessage())));
    }

    private static String times(double factor) {
        return Words.of("plan.change.times", String.format(Language.locale(), "%.2f", factor));
    }

    private void effect(Adaptation.Effect e, double now) {
        if (now != asked) {
            return;
        }
        wins.setText(Words.of("plan.change.wins", times(now), percent(e.win()), percent(e.natural())));
        desk.tasks()
                .query(
                        getId() + "-instead",
                        () -> change.planB(proposal.solved(), now),
                        b -> instead(b, now),
                        x -> instead.setText(String.valueOf(x.getMessage())));
    }

    private static String percent(double share) {
        return String.format(Language.locale(), "%.1f%%", 100 * share);
    }

    private void broken(First first) {
        Adaptation.Break b = first.decision();
        breaks.setText(
                b == null
                        ? Words.of("plan.change.holds", times(Adaptation.MOST))
                        : Words.of(
                                "plan.change.breaks",
                                model.writer().decisions().sentence(b.decision()),
                                times(b.factor())));
    }

    private void instead(Decisions b, double now) {
        if (now != asked) {
            return;
        }
        List<Decision> old = proposal.decisions().valued().stream()
                .map(Decisions.Valued::decision)
                .toList();
        DecisionWriter w = model.writer().decisions();
        String other = b.valued().stream()
                .map(Decisions.Valued::decision)
                .filter(d -> !old.contains(d))
                .map(w::sentence)
                .collect(Collectors.joining(" "));
        instead.setText(other.isEmpty() ? Words.of("plan.change.same") : Words.of("plan.change.instead", other));
    }
}
