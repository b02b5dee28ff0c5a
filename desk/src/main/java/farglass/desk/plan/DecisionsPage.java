package farglass.desk.plan;

import farglass.desk.matchup.Clips;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Proposal;
import farglass.matchup.gameplan.GamePage;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Predicate;
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
    private final CallsPart calls;
    private final VBox last = new VBox(7);
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
        this.calls = new CallsPart(desk, model, ownPlan);
        more.setId("plan-answers");
        last.setId("plan-sure");
        VBox all = new VBox(14, rows, own, more, calls, last);
        all.setPadding(new Insets(0, 10, 0, 0));
        getChildren().addAll(Ui.grow(Pages.scroll(all)), clip);
    }

    void fill() {
        own.fill();
        calls.fill();
        Proposal p = model.proposal().get();
        if (p == null) {
            Gradual.anew(rows, List.of(() -> Ui.empty(Words.of("plan.decisions.none"))));
            Gradual.anew(more, List.of());
            Gradual.anew(last, List.of());
            return;
        }
        GamePage page = model.pages().page(p, model.game());
        Gradual.anew(rows, shown(page, h -> h.compareTo(GamePage.Heading.DECISIONS) <= 0));
        Gradual.anew(
                more,
                shown(
                        page,
                        h -> h.compareTo(GamePage.Heading.DECISIONS) > 0 && h.compareTo(GamePage.Heading.CALLS) < 0));
        Gradual.anew(last, shown(page, h -> h.compareTo(GamePage.Heading.CALLS) > 0));
    }

    private List<Supplier<Node>> shown(GamePage page, Predicate<GamePage.Heading> which) {
        List<Supplier<Node>> list = new ArrayList<>();
        page.parts().stream().filter(part -> which.test(part.heading())).forEach(part -> {
            list.add(() -> Ui.label(part.title(), "heading"));
            part.lines().forEach(l -> list.add(() -> row(l)));
        });
        return list;
    }

    /** The own plan as it is now. */
    void fillOwn() {
        own.fill();
        calls.fill();
    }

    private Node row(GamePage.Line l) {
        if (l.notes().isEmpty()) {
            return Ui.prose(l.text(), "body");
        }
        HBox first = new HBox(8, Ui.grow(Ui.prose(l.text(), "pinned-sentence")));
        first.setAlignment(Pos.CENTER_LEFT);
        if (!l.tags().isEmpty()) {
            Button play = Ui.button(
                    Words.of("matchup.play", l.tags().size()), () -> clip.playAll(Clips.of(desk, l.tags())), "quiet");
            play.setMinWidth(USE_PREF_SIZE);
            first.getChildren().add(play);
        }
        return new VBox(1, first, Ui.prose(String.join(" ", l.notes()), "claim-notes"));
    }
}
