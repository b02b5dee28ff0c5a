package farglass.desk.plan;

import farglass.desk.matchup.Clips;
import farglass.desk.matchup.MeetingModel;
import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.Adaptation;
import farglass.matchup.advise.Alternatives;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.stats.TagRef;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What if they change, what to do when the opening does not work, and when the clock runs out behind or ahead. */
final class OtherwisePage extends HBox {
    private static final double CLIP = 300;

    private final Desk desk;
    private final MeetingModel model;
    private final VBox all = new VBox(6);
    private final VBox changes = new VBox(8);
    private final ClipView clip;
    private Proposal shown;

    OtherwisePage(Desk desk, MeetingModel model, Consumer<String> toFilm) {
        super(12);
        this.desk = desk;
        this.model = model;
        this.clip = new ClipView(desk, Words.of("plan.change.clip"), toFilm);
        clip.setMinWidth(CLIP);
        clip.setMaxWidth(CLIP);
        // the tables have the room until something plays
        clip.setVisible(false);
        clip.managedProperty().bind(clip.visibleProperty());
        all.setId("plan-otherwise");
        all.setPadding(new Insets(0, 10, 0, 0));
        getChildren().addAll(Ui.grow(Pages.scroll(all)), clip);
    }

    void fill() {
        Proposal p = model.proposal().get();
        if (p == null) {
            shown = null;
            all.getChildren().setAll(Ui.empty(Words.of("plan.proposed.none")));
            return;
        }
        // intervals that come later change nothing here
        if (shown != null && shown.solved() == p.solved()) {
            return;
        }
        shown = p;
        all.getChildren().setAll(changes, Ui.empty(Words.of("plan.otherwise.working")));
        changes.getChildren()
                .setAll(Ui.label(Words.of("plan.change"), "heading"), Ui.empty(Words.of("plan.change.working")));
        desk.tasks()
                .query(
                        "changes",
                        () -> Adaptation.of(p.solved(), p.decisions(), desk.index()),
                        found -> changes(p, found),
                        e -> changes.getChildren().setAll(Ui.prose(String.valueOf(e.getMessage()), "weak")));
        desk.tasks()
                .query(
                        "otherwise",
                        () -> Alternatives.of(p.solved()),
                        a -> show(p, a),
                        e -> all.getChildren()
                                .setAll(Ui.prose(Words.of("meeting.failed", String.valueOf(e.getMessage())), "weak")));
    }

    private void changes(Proposal p, List<Adaptation> found) {
        if (shown != p) {
            return;
        }
        changes.getChildren().setAll(Ui.label(Words.of("plan.change"), "heading"));
        if (found.isEmpty()) {
            changes.getChildren().add(Ui.empty(Words.of("plan.change.none")));
        }
        for (int i = 0; i < found.size(); i++) {
            changes.getChildren().add(new ChangePart(desk, model, p, found.get(i), this::play, i));
        }
    }

    private void play(List<TagRef> tags) {
        clip.setVisible(true);
        clip.playAll(Clips.of(desk, tags));
    }

    private void show(Proposal p, Alternatives a) {
        if (shown != p) {
            return;
        }
        MeetingWriter w = model.writer();
        all.getChildren().setAll(changes, Ui.label(Words.of("plan.otherwise.opening"), "heading"));
        if (a.opening() == null) {
            all.getChildren().add(Ui.empty(Words.of("plan.otherwise.opening.none")));
        } else {
            Alternatives.Opening o = a.opening();
            all.getChildren()
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
        all.getChildren().add(Ui.label(Words.of(key), "heading"));
        if (late.lines().isEmpty()) {
            all.getChildren().add(Ui.empty(Words.of("plan.otherwise.no-score")));
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
        all.getChildren().add(table);
    }
}
