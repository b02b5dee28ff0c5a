package farglass.desk.plan;

import farglass.desk.fork.ForkTree;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Proposal;
import farglass.plan.Plan;
import farglass.plan.ProposedForks;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The computed tree; taken over, it becomes forks of the plan that can be changed by hand. */
final class ProposedPage extends VBox {
    private final Desk desk;
    private final MeetingModel model;
    private final ForkTree tree = new ForkTree(id -> {});
    private ProposedForks proposed;

    ProposedPage(Desk desk, MeetingModel model) {
        super(6);
        this.desk = desk;
        this.model = model;
        tree.setId("proposed-forks");
    }

    void fill() {
        getChildren().clear();
        Proposal p = model.proposal().get();
        if (p == null) {
            proposed = null;
            getChildren().add(Ui.empty(Words.of("plan.proposed.none")));
            return;
        }
        proposed = ProposedForks.of(p, model.writer(), model.known());
        tree.chances(proposed.chances(), proposed.drifts());
        Plan plan = desk.plan().get();
        Plan shown = new Plan(plan.id(), plan.title(), plan.us(), plan.them(), List.of(), List.of(proposed.root()), "");
        tree.show(shown, null);
        ScrollPane canvas = new ScrollPane(tree);
        canvas.viewportBoundsProperty().addListener((o, was, is) -> {
            if (was.getWidth() != is.getWidth()) {
                tree.room(is.getWidth());
                tree.show(shown, null);
            }
        });
        canvas.getStyleClass().add("plain");
        canvas.setVvalue(0.5);
        HBox foot = new HBox(
                10,
                Ui.button(Words.of("plan.adopt"), this::adopt, "strong-button"),
                Ui.label(Words.of("plan.proposed.hint"), "soft"));
        foot.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(foot, Ui.grow(canvas));
    }

    private void adopt() {
        if (proposed != null) {
            desk.changePlan(p -> p.adopt(proposed.root()));
            desk.notices().done(Words.of("plan.adopted"));
        }
    }
}
