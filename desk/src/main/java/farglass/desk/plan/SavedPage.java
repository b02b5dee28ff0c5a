package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.PlanComparison;
import farglass.matchup.advise.Proposal;
import farglass.plan.Approach;
import farglass.plan.Fork;
import farglass.plan.Plan;
import farglass.plan.Saved;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** States of the plan laid by under a name, held against the present one in the same draws. */
final class SavedPage extends VBox {
    private static final long SEED = 1;

    private final Desk desk;
    private final MeetingModel model;
    private final TextField name = new TextField();
    private final VBox rows = new VBox(8);
    private PlanComparison versus;
    private Plan comparedPlan;

    SavedPage(Desk desk, MeetingModel model) {
        super(8);
        this.desk = desk;
        this.model = model;
        setId("plan-saved");
        name.setId("saved-name");
        name.setPromptText(Words.of("plan.saved.name"));
        name.setOnAction(e -> save());
        HBox head = new HBox(
                8,
                Ui.grow(name),
                Ui.button(Words.of("plan.saved.keep"), this::save, "choice"),
                Ui.button(Words.of("plan.saved.compare"), this::compare, "strong-button"));
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, Ui.prose(Words.of("plan.saved.hint"), "soft"), rows);
    }

    private void save() {
        String typed = name.getText().strip();
        if (typed.isEmpty()) {
            desk.notices().done(Words.of("plan.saved.nameless"));
            return;
        }
        name.clear();
        desk.changePlan(p -> p.save(typed));
    }

    void fill() {
        rows.getChildren().clear();
        Plan p = desk.plan().get();
        if (p == null) {
            return;
        }
        if (!p.equals(comparedPlan)) {
            versus = null;
        }
        if (p.saved().isEmpty()) {
            rows.getChildren().add(Ui.empty(Words.of("plan.saved.none")));
            return;
        }
        rows.getChildren().add(row(Words.of("plan.saved.now"), p.openings(), p.approach(), 0, null));
        for (int i = 0; i < p.saved().size(); i++) {
            Saved s = p.saved().get(i);
            rows.getChildren().add(row(s.name(), s.openings(), s.approach(), i + 1, s));
        }
    }

    /** @param saved null for the present state */
    private Node row(String title, List<Fork> openings, Approach a, int at, Saved saved) {
        int forks = openings.stream().mapToInt(Fork::size).sum();
        HBox head = new HBox(8, Ui.label(title, "pinned-sentence"), Ui.spring());
        head.setAlignment(Pos.CENTER_LEFT);
        if (saved != null) {
            head.getChildren()
                    .addAll(
                            Ui.button(
                                    Words.of("plan.saved.restore"),
                                    () -> desk.changePlan(p -> p.restore(saved)),
                                    "quiet"),
                            Ui.button(
                                    Words.of("plan.saved.forget"),
                                    () -> desk.changePlan(p -> p.forget(saved.name())),
                                    "quiet"));
        }
        String dials = Words.of(
                "plan.saved.dials",
                String.format(Language.locale(), "%.2f", a.emphasis()),
                String.format(Language.locale(), "%.2f", a.pressing()),
                a.wishes().barred().size()
                        + a.wishes().fixed().size()
                        + a.wishes().corrections().size(),
                forks);
        return new VBox(1, head, Ui.prose(dials, "claim-notes"), Ui.prose(worth(at), "claim-interval"));
    }

    private String worth(int at) {
        if (versus == null || at >= versus.plans().size()) {
            return Words.of("plan.saved.unvalued");
        }
        MeetingWriter w = model.writer();
        PlanComparison.Valued v = versus.plans().get(at);
        String wins = Words.of(
                "plan.saved.wins",
                w.percent(v.win().mean()),
                w.percent(v.win().lo()),
                w.percent(v.win().hi()));
        return at == 0
                ? wins
                : wins + "; "
                        + Words.of(
                                "plan.saved.more",
                                w.gain(v.more().mean()),
                                w.gain(v.more().lo()),
                                w.gain(v.more().hi()),
                                w.percent(v.better()));
    }

    private void compare() {
        Proposal now = model.proposal().get();
        Plan p = desk.plan().get();
        if (now == null || p == null || p.saved().isEmpty()) {
            desk.notices().done(Words.of("plan.saved.cannot"));
            return;
        }
        Meeting meeting = now.solved().meeting();
        List<PlanComparison.Way> ways = new ArrayList<>();
        ways.add(way(p.approach()));
        p.saved().forEach(s -> ways.add(way(s.approach())));
        desk.tasks().longTask(Words.of("plan.saved.working"), (progress, cancelled) -> {
            PlanComparison v = PlanComparison.of(meeting, ways, SEED, progress, cancelled);
            Platform.runLater(() -> {
                versus = v;
                comparedPlan = v == null ? null : p;
                fill();
            });
        });
    }

    private static PlanComparison.Way way(Approach a) {
        return new PlanComparison.Way(a.settings(), a.wishes());
    }
}
