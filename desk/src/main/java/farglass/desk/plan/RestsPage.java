package farglass.desk.plan;

import farglass.desk.matchup.MeetingModel;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.Correction;
import farglass.matchup.model.ModelState;
import farglass.plan.Approach;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What the numbers take for granted, what would make them surer, what the user decided, and what is forecast. */
final class RestsPage extends VBox {
    private final Desk desk;
    private final MeetingModel model;

    /** The lines, made when they come into sight. */
    private final List<Supplier<Node>> rows = new ArrayList<>();

    RestsPage(Desk desk, MeetingModel model) {
        super(5);
        this.desk = desk;
        this.model = model;
        setId("plan-rests");
    }

    void fill() {
        rows.clear();
        Proposal p = model.proposal().get();
        if (p == null) {
            Gradual.anew(this, List.of(() -> Ui.empty(Words.of("plan.proposed.none"))));
            return;
        }
        MeetingWriter w = model.writer();
        heading("plan.rests.assumptions");
        w.assumptions(p).forEach(this::line);
        heading("plan.rests.needs");
        p.needs().forEach(n -> line(w.need(n)));
        if (!p.worthLearning().isEmpty()) {
            heading("plan.rests.learn");
            p.worthLearning().forEach(l -> line(w.learn(l)));
        }
        heading("plan.rests.wishes");
        wishes(w);
        heading("plan.rests.forecasts");
        p.forecasts().forEach(f -> line(Words.of("plan.rests.forecast", w.forecast(f), w.percent(f.p()))));
        rows.add(() -> Ui.button(Words.of("plan.rests.freeze"), () -> freeze(p, w), "choice"));
        if (!desk.plan().get().approach().forecasts().isEmpty()) {
            rows.add(() -> Ui.label(Words.of("plan.rests.frozen"), "soft"));
            desk.plan()
                    .get()
                    .approach()
                    .forecasts()
                    .forEach(f -> line(Words.of("plan.rests.forecast", f.sentence(), w.percent(f.p()))));
        }
        Gradual.anew(this, rows);
    }

    private void heading(String key) {
        rows.add(() -> Ui.label(Words.of(key), "heading"));
    }

    private void line(String text) {
        rows.add(() -> Ui.prose(text, "pinned-sentence"));
    }

    private void wishes(MeetingWriter w) {
        Approach a = desk.plan().get().approach();
        int before = rows.size();
        a.wishes().barred().stream()
                .sorted()
                .forEach(t -> decided(Words.of("plan.rests.barred", w.technique(t)), x -> x.bar(t, false)));
        a.wishes().allowed().stream()
                .sorted()
                .forEach(t -> decided(Words.of("plan.rests.allowed", w.technique(t)), x -> x.allow(t, false)));
        a.wishes()
                .fixed()
                .forEach((place, option) -> decided(
                        Words.of("plan.rests.fixed", w.place(ModelState.ofKey(place)), w.option(option)),
                        x -> x.fix(place, null)));
        for (Correction c : a.wishes().corrections()) {
            decided(
                    Words.of(
                            "plan.rests.corrected",
                            w.technique(c.exit().technique()) + ", "
                                    + w.place(c.exit().from()),
                            c.rate() == null
                                    ? Words.of("plan.rests.unchanged")
                                    : String.format(Language.locale(), "%.2f", c.rate()),
                            c.chance() == null ? Words.of("plan.rests.unchanged") : w.percent(c.chance()),
                            c.reason()),
                    x -> x.uncorrect(c.exit()));
        }
        if (rows.size() == before) {
            rows.add(() -> Ui.empty(Words.of("plan.rests.wishes.none")));
        }
    }

    private void decided(String text, java.util.function.UnaryOperator<Approach> back) {
        rows.add(() -> {
            Node button = Ui.button(
                    Words.of("plan.rests.undo"),
                    () -> desk.changePlan(p -> p.approach(back.apply(p.approach()))),
                    "quiet");
            HBox row = new HBox(8, Ui.grow(Ui.prose(text, "pinned-sentence")), button);
            row.setAlignment(Pos.CENTER_LEFT);
            return row;
        });
    }

    private void freeze(Proposal p, MeetingWriter w) {
        List<Approach.Forecast> now = p.forecasts().stream()
                .map(f -> new Approach.Forecast(
                        f.place() == null ? f.what() : f.what() + " " + f.place(), w.forecast(f), f.p()))
                .toList();
        desk.changePlan(plan -> plan.approach(plan.approach().freeze(now)));
    }
}
