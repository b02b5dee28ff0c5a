package farglass.desk.plan;

import farglass.desk.matchup.Clips;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Decision;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Proposal;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The plan on a page: what is decided, their weapons, what is not accepted, what the corner calls. */
final class DecisionsPage extends HBox {
    private static final double CLIP = 300;

    private final Desk desk;
    private final MeetingModel model;
    private final ClipView clip;
    private final VBox rows = new VBox(7);
    private final VBox more = new VBox(7);
    private final OwnPlanPart own;

    DecisionsPage(Desk desk, MeetingModel model, OwnPlanModel ownPlan, Consumer<String> toFilm) {
        super(12);
        this.desk = desk;
        this.model = model;
        this.clip = new ClipView(desk, Words.of("plan.decisions.clip"), toFilm);
        clip.setMinWidth(CLIP);
        clip.setMaxWidth(CLIP);
        this.own = new OwnPlanPart(desk, model, ownPlan, clip);
        rows.setId("plan-decisions");
        more.setId("plan-answers");
        VBox all = new VBox(14, rows, own, more);
        all.setPadding(new Insets(0, 10, 0, 0));
        getChildren().addAll(Ui.grow(Pages.scroll(all)), clip);
    }

    void fill() {
        own.fill();
        Proposal p = model.proposal().get();
        if (p == null) {
            Gradual.anew(rows, List.of(() -> Ui.empty(Words.of("plan.decisions.none"))));
            Gradual.anew(more, List.of());
            return;
        }
        DecisionWriter w = model.writer().decisions();
        Decisions d = p.decisions();
        Meeting meeting = p.solved().meeting();
        List<Supplier<Node>> list = new ArrayList<>();
        if (!d.valued().isEmpty()) {
            heading(list, "plan.decisions.idea");
            list.add(() -> Ui.prose(w.idea(d), "body"));
        }
        heading(list, "plan.decisions");
        list.add(() -> Ui.prose(w.carried(d), "claim-notes"));
        for (Decisions.Valued v : d.valued()) {
            Decision x = v.decision();
            list.add(() ->
                    row(w.sentence(x), w.worth(v, d.draws()) + ". " + w.evidence(x, meeting), x.tags(meeting.model())));
        }
        Gradual.anew(rows, list);
        answers(p, w);
    }

    /** What they do, what is not accepted, what the corner calls, how sure it is. */
    private void answers(Proposal p, DecisionWriter w) {
        Decisions d = p.decisions();
        List<Supplier<Node>> list = new ArrayList<>();
        if (!p.weapons().isEmpty()) {
            heading(list, "plan.decisions.weapons");
            p.weapons().forEach(x -> list.add(() -> row(w.threat(x), w.record(x), x.tags())));
        }
        heading(list, "plan.decisions.refuse");
        if (p.refuse().isEmpty()) {
            list.add(() -> Ui.prose(Words.of("plan.decisions.refuse.none"), "claim-notes"));
        }
        p.refuse().forEach(r -> list.add(() -> row(w.place(r), w.reached(r), List.of())));
        List<String> calls =
                w.calls(d.valued().stream().map(Decisions.Valued::decision).toList());
        if (!calls.isEmpty()) {
            heading(list, "plan.decisions.calls");
            list.add(() -> Ui.prose(String.join(" \u00b7 ", calls), "body"));
        }
        heading(list, "plan.decisions.sure");
        model.writer().assumptions(p).stream().limit(2).forEach(a -> list.add(() -> Ui.prose(a, "claim-notes")));
        p.needs().stream()
                .limit(2)
                .forEach(n -> list.add(() -> Ui.prose(model.writer().need(n), "claim-notes")));
        if (!p.worthLearning().isEmpty()) {
            heading(list, "plan.decisions.learn");
            list.add(() -> Ui.prose(model.writer().learn(p.worthLearning().get(0)), "claim-notes"));
        }
        Gradual.anew(more, list);
    }

    /** The own plan as it is now. */
    void fillOwn() {
        own.fill();
    }

    private static void heading(List<Supplier<Node>> list, String key) {
        list.add(() -> Ui.label(Words.of(key), "heading"));
    }

    private Node row(String sentence, String worth, List<TagRef> tags) {
        HBox first = new HBox(8, Ui.grow(Ui.prose(sentence, "pinned-sentence")));
        first.setAlignment(Pos.CENTER_LEFT);
        if (!tags.isEmpty()) {
            Button play =
                    Ui.button(Words.of("matchup.play", tags.size()), () -> clip.playAll(Clips.of(desk, tags)), "quiet");
            play.setMinWidth(USE_PREF_SIZE);
            first.getChildren().add(play);
        }
        return new VBox(1, first, Ui.prose(worth, "claim-notes"));
    }
}
