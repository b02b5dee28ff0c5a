package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Adaptation;
import farglass.matchup.advise.Alternatives;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import java.util.List;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** What if they change, what to do when the opening does not work, and when the clock runs out behind or ahead. */
final class OtherwisePage extends VBox {
    private final Desk desk;
    private final MeetingModel model;
    private final VBox changes = new VBox(8);
    private Proposal shown;

    OtherwisePage(Desk desk, MeetingModel model) {
        super(6);
        this.desk = desk;
        this.model = model;
        setId("plan-otherwise");
        setPadding(new Insets(0, 10, 0, 0));
    }

    void fill() {
        Proposal p = model.proposal().get();
        if (p == null) {
            shown = null;
            getChildren().setAll(Ui.empty(Words.of("plan.proposed.none")));
            return;
        }
        // intervals that come later change nothing here
        if (shown != null && shown.solved() == p.solved()) {
            return;
        }
        shown = p;
        getChildren().setAll(changes, Ui.empty(Words.of("plan.otherwise.working")));
        changes.getChildren()
                .setAll(Ui.label(Words.of("plan.change"), "heading"), Ui.empty(Words.of("plan.change.working")));
        desk.tasks()
                .query(
                        "changes",
                        () -> Adaptation.of(p.solved(), p.decisions(), desk.index()),
                        all -> changes(p, all),
                        e -> changes.getChildren().setAll(Ui.prose(String.valueOf(e.getMessage()), "weak")));
        desk.tasks()
                .query(
                        "otherwise",
                        () -> Alternatives.of(p.solved()),
                        a -> show(p, a),
                        e -> getChildren()
                                .setAll(Ui.prose(Words.of("meeting.failed", String.valueOf(e.getMessage())), "weak")));
    }

    private void changes(Proposal p, List<Adaptation> all) {
        if (shown != p) {
            return;
        }
        changes.getChildren().setAll(Ui.label(Words.of("plan.change"), "heading"));
        if (all.isEmpty()) {
            changes.getChildren().add(Ui.empty(Words.of("plan.change.none")));
        }
        for (int i = 0; i < all.size(); i++) {
            changes.getChildren().add(new ChangePart(desk, model, p, all.get(i), i));
        }
    }

    private void show(Proposal p, Alternatives a) {
        if (shown != p) {
            return;
        }
        MeetingWriter w = model.writer();
        getChildren().setAll(changes, Ui.label(Words.of("plan.otherwise.opening"), "heading"));
        if (a.opening() == null) {
            getChildren().add(Ui.empty(Words.of("plan.otherwise.opening.none")));
        } else {
            Alternatives.Opening o = a.opening();
            getChildren()
                    .add(Ui.prose(
                            Words.of(
                                    "plan.otherwise.without",
                                    w.technique(o.technique()),
                                    w.option(o.instead()),
                                    w.percent(o.without()),
                                    w.percent(o.win())),
                            "pinned-sentence"));
        }
        late("plan.otherwise.behind", a.behind(), w);
        late("plan.otherwise.ahead", a.ahead(), w);
    }

    private void late(String key, Alternatives.Late late, MeetingWriter w) {
        getChildren().add(Ui.label(Words.of(key), "heading"));
        if (late.lines().isEmpty()) {
            getChildren().add(Ui.empty(Words.of("plan.otherwise.no-score")));
            return;
        }
        GridPane table = new GridPane();
        table.setHgap(14);
        table.setVgap(3);
        table.addRow(
                0,
                Ui.label(Words.of("plan.otherwise.place"), "field-name"),
                Ui.label(Words.of("plan.otherwise.do"), "field-name"),
                Ui.label(Words.of("plan.otherwise.wins"), "field-name"),
                Ui.label(Words.of("plan.otherwise.natural"), "field-name"));
        int row = 1;
        for (Alternatives.Line l : late.lines()) {
            Label does = Ui.label(w.option(l.option()), "body");
            table.addRow(
                    row++,
                    Ui.label(w.place(l.place()), "pinned-sentence"),
                    does,
                    Ui.label(w.percent(l.win()), "body"),
                    Ui.label(w.percent(l.natural()), "claim-interval"));
        }
        getChildren().add(table);
    }
}
