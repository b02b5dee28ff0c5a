package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.solve.Option;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What to do at which score and time, as sentences with how sure they are. */
final class GuidePage extends VBox {
    private static final int TOLD = 20;

    private final Desk desk;
    private final MeetingModel model;

    GuidePage(Desk desk, MeetingModel model) {
        super(6);
        this.desk = desk;
        this.model = model;
        setId("plan-guide");
    }

    void fill() {
        Proposal p = model.proposal().get();
        if (p == null) {
            Gradual.anew(this, List.of(() -> Ui.empty(Words.of("plan.proposed.none"))));
            return;
        }
        MeetingWriter w = model.writer();
        List<Supplier<Node>> rows = new ArrayList<>();
        rows.add(() -> Ui.prose(Words.of("plan.seek", worths(p.seek(), w)), "body"));
        rows.add(() -> Ui.prose(Words.of("plan.avoid", worths(p.avoid(), w)), "body"));
        if (p.guide().isEmpty()) {
            rows.add(() -> Ui.empty(Words.of("plan.guide.none")));
        }
        p.guide().stream().limit(TOLD).forEach(g -> rows.add(() -> row(g, w)));
        Gradual.anew(this, rows);
    }

    private static String worths(List<Proposal.Worth> worths, MeetingWriter w) {
        return worths.stream()
                .map(x -> Words.of("plan.worth", w.place(x.place()), w.gain(x.worth())))
                .collect(Collectors.joining("; "));
    }

    private Node row(Proposal.Guide g, MeetingWriter w) {
        String key = g.place().key();
        Option fixed = desk.plan().get().approach().wishes().fixed().get(key);
        boolean mine = g.option().equals(fixed);
        Label sure = Ui.label(
                mine
                        ? Words.of("plan.guide.fixed")
                        : g.stays() == null
                                ? Words.of("plan.guide.unsure")
                                : Words.of("plan.guide.sure", w.percent(g.stays()), w.percent(g.helps())),
                "claim-interval");
        HBox second = new HBox(
                10,
                sure,
                Ui.spring(),
                Ui.button(
                        Words.of(mine ? "plan.guide.free" : "plan.guide.fix"),
                        () -> desk.changePlan(p -> p.approach(p.approach().fix(key, mine ? null : g.option()))),
                        "quiet"));
        second.setAlignment(Pos.CENTER_LEFT);
        return new VBox(1, Ui.prose(w.guide(g), "pinned-sentence"), second);
    }
}
