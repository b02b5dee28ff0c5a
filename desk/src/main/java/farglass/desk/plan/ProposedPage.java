package farglass.desk.plan;

import farglass.desk.fork.ForkTree;
import farglass.desk.matchup.Clips;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Proposal;
import farglass.matchup.gameplan.PhaseFigure.Box;
import farglass.matchup.gameplan.PhaseFigure.Phase;
import farglass.matchup.gameplan.PhaseText;
import farglass.plan.Plan;
import farglass.plan.ProposedForks;
import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * A match under the plan, by phases, and below it the model's detail: from the start, or from a box that is opened. The
 * tree can be taken over; it becomes forks of the plan that can be changed by hand.
 */
final class ProposedPage extends VBox {
    private static final double CLIP = 260;
    /** Seconds that are told as such. */
    private static final int FEW = 90;
    /** Of the tree that is in sight. */
    private static final double DETAIL = 330;

    private final Desk desk;
    private final MeetingModel model;
    private final PhaseView phases = new PhaseView(this::open);
    private final ForkTree tree = new ForkTree(id -> {});
    private final Label from = Ui.prose("", "heading");
    private final VBox detail = new VBox(6);
    private final VBox whole;
    private final HBox below;
    private final ClipView clip;
    private PhaseText drawing;
    private ProposedForks proposed;

    ProposedPage(Desk desk, MeetingModel model, Consumer<String> toFilm) {
        super(10);
        this.desk = desk;
        this.model = model;
        this.clip = new ClipView(desk, Words.of("plan.drawing.clip"), toFilm);
        clip.setMinWidth(CLIP);
        clip.setMaxWidth(CLIP);
        clip.setVisible(false);
        clip.managedProperty().bind(clip.visibleProperty());
        tree.setId("proposed-forks");
        from.setId("proposed-from");
        whole = new VBox(10);
        whole.setPadding(new Insets(0, 10, 0, 0));
        below = new HBox(12, Ui.grow(detail), clip);
        getChildren().add(Ui.grow(Pages.scroll(whole)));
    }

    void fill() {
        Proposal p = model.proposal().get();
        if (p == null) {
            proposed = null;
            whole.getChildren().setAll(Ui.empty(Words.of("plan.proposed.none")));
            return;
        }
        drawing = model.pages().drawing(model.game());
        phases.show(drawing);
        detail(p.root(), Words.of("plan.drawing.start"));
        whole.getChildren().setAll(phases, below);
    }

    /** What the model knows behind a box, with the tags that it rests on. */
    private void open(Box b) {
        Proposal p = model.proposal().get();
        phases.choose(b.key());
        String name = drawing.name(b);
        if (b.then() == null) {
            proposed = null;
            from.setText(Words.of("plan.drawing.end", name));
            detail.getChildren().setAll(from);
        } else {
            detail(
                    Proposal.tree(p.solved(), b.then(), b.minutes(), b.lead()),
                    Words.of(
                            b.key().phase() == Phase.CONTACT ? "plan.drawing.at" : "plan.drawing.from",
                            name,
                            model.writer().place(b.then()),
                            when(b.minutes()),
                            lead(b.lead())));
        }
        clip.setVisible(true);
        clip.playAll(Clips.of(desk, b.tags()));
    }

    private static String when(double minutes) {
        long seconds = Math.round(60 * minutes);
        return seconds < FEW
                ? Words.of("plan.drawing.seconds", seconds)
                : Words.of("plan.drawing.minutes", Math.round(minutes));
    }

    private static String lead(int points) {
        return points == 0
                ? Words.of("plan.drawing.level")
                : Words.of(points > 0 ? "plan.drawing.ahead" : "plan.drawing.behind", Math.abs(points));
    }

    private void detail(Proposal.Node root, String heading) {
        proposed = ProposedForks.of(root, model.proposal().get(), model.writer(), model.known());
        tree.chances(proposed.chances(), proposed.drifts());
        Plan plan = desk.plan().get();
        Plan shown = new Plan(plan.id(), plan.title(), plan.us(), plan.them(), List.of(), List.of(proposed.root()), "");
        tree.show(shown, null);
        ScrollPane canvas = new ScrollPane(tree);
        canvas.viewportBoundsProperty().addListener((o, was, is) -> {
            if (was.getWidth() != is.getWidth()) {
                tree.room(is.getWidth());
                tree.show(shown, null);
                // the root stands in the middle of its height, which is known from now on
                Platform.runLater(() -> canvas.setVvalue(0.5));
            }
        });
        canvas.getStyleClass().add("plain");
        canvas.setMinHeight(DETAIL);
        canvas.setPrefHeight(DETAIL);
        from.setText(heading);
        HBox foot = new HBox(
                10,
                Ui.button(Words.of("plan.adopt"), this::adopt, "strong-button"),
                Ui.label(Words.of("plan.proposed.hint"), "soft"));
        foot.setAlignment(Pos.CENTER_LEFT);
        detail.getChildren().setAll(from, foot, canvas);
    }

    private void adopt() {
        if (proposed != null) {
            desk.changePlan(p -> p.adopt(proposed.root()));
            desk.notices().done(Words.of("plan.adopted"));
        }
    }
}
