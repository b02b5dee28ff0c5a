package farglass.desk.camp;

import farglass.camp.Logged;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.time.Dates;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What rounds have shown, newest first. */
final class LogPage extends VBox {
    private final CampModel model;

    LogPage(CampModel model) {
        super(6);
        this.model = model;
        setId("camp-log");
    }

    void fill() {
        CampModel.Ready r = model.ready().get();
        if (r == null || r.camp().log().isEmpty()) {
            Gradual.anew(this, List.of(() -> Ui.empty(Words.of(r == null ? "camp.empty" : "camp.log.none"))));
            return;
        }
        List<Logged> log = new ArrayList<>(r.camp().log());
        Collections.reverse(log);
        List<Supplier<Node>> rows = new ArrayList<>();
        log.forEach(l -> rows.add(() -> row(r, l)));
        Gradual.anew(this, rows);
    }

    private Node row(CampModel.Ready r, Logged l) {
        String what = r.preparation().skills().stream()
                .filter(s -> s.key().equals(l.skill()))
                .map(s -> r.cards().title(s))
                .findFirst()
                .orElse(l.skill());
        HBox head = new HBox(
                10,
                Ui.label(Dates.words(l.date()), "claim-interval"),
                Ui.label(what, "pinned-sentence"),
                Ui.label(Words.of("camp.log.counts", l.successes(), l.tries()), "body"),
                Ui.spring(),
                Ui.button(Words.of("camp.log.drop"), () -> model.change(c -> c.unlog(l)), "quiet"));
        head.setAlignment(Pos.CENTER_LEFT);
        VBox box = new VBox(0, head);
        if (!l.remark().isBlank()) {
            box.getChildren().add(Ui.prose(l.remark(), "claim-notes"));
        }
        return box;
    }
}
