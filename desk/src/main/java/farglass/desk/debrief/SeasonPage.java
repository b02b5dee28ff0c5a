package farglass.desk.debrief;

import farglass.debrief.Calibration;
import farglass.debrief.Season;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.plan.Plan;
import farglass.time.Dates;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * All assignments, how far they have come, what came of them, what the forecasts were worth; a rematch begins from the
 * old plan.
 */
final class SeasonPage extends VBox {
    private final Desk desk;
    private final VBox all = new VBox(8);
    private final KindsPart kinds;

    SeasonPage(Desk desk, Lines lines) {
        super(16);
        this.desk = desk;
        this.kinds = new KindsPart(desk, lines);
        setId("debrief-season");
        getChildren().addAll(all, kinds);
    }

    void fill(Season s) {
        if (s == null || s.rows().isEmpty()) {
            Gradual.anew(all, List.of(() -> Ui.empty(Words.of("season.none"))));
            kinds.setVisible(false);
            return;
        }
        List<Supplier<Node>> rows = new ArrayList<>();
        s.rows().forEach(r -> rows.add(() -> row(s, r)));
        Gradual.anew(all, rows);
        kinds.setVisible(true);
        kinds.about(s);
    }

    private static String state(Season.Row r) {
        return switch (r.state()) {
            case OPEN -> Words.of("season.open");
            case PLANNED -> Words.of("season.planned");
            case WAITING -> Words.of("season.waiting");
            case FOUGHT -> Words.of(r.won() == null ? "season.drawn" : r.won() ? "season.won" : "season.lost");
        };
    }

    private Node row(Season s, Season.Row r) {
        HBox head = new HBox(
                10,
                Ui.label(Dates.words(r.assignment().date()), "claim-interval"),
                Ui.label(Words.of("season.row", r.assignment().event(), desk.nameOf(r.them())), "pinned-sentence"),
                Ui.label(state(r), r.won() == null ? "soft" : r.won() ? "held" : "weak"),
                Ui.spring(),
                Ui.button(Words.of("season.show"), () -> show(r), "quiet"));
        head.setAlignment(Pos.CENTER_LEFT);
        if (r.state() == Season.State.OPEN || r.state() == Season.State.PLANNED) {
            Plan old = earlier(s, r);
            if (old != null) {
                head.getChildren().add(Ui.button(Words.of("season.rematch"), () -> rematch(r, old), "quiet"));
            }
        }
        VBox box = new VBox(0, head);
        if (!r.scored().isEmpty()) {
            Calibration c = Calibration.of(r.scored());
            box.getChildren()
                    .add(Ui.label(
                            Words.of(
                                    "debrief.scores",
                                    c.n(),
                                    DebriefPages.three(c.brier()),
                                    DebriefPages.three(c.log())),
                            "claim-interval"));
        }
        return box;
    }

    /** The last plan against the same opponent that was fought. */
    private static Plan earlier(Season s, Season.Row r) {
        return s.rows().stream()
                .filter(o -> o.state() == Season.State.FOUGHT
                        && o.plan() != null
                        && o.them().equals(r.them()))
                .map(Season.Row::plan)
                .findFirst()
                .orElse(null);
    }

    private void show(Season.Row r) {
        desk.assignment().set(r.assignment());
        desk.openPlan(r.them());
    }

    private void rematch(Season.Row r, Plan old) {
        show(r);
        desk.changePlan(p -> p.from(old));
        desk.notices().done(Words.of("season.rematch.done", desk.nameOf(r.them())));
    }
}
