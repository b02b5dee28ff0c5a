package farglass.desk.matchup;

import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.shell.Wrapping;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * Both athletes' ways out of one place: how often, how surely, how well known and from what film; barred or corrected
 * here.
 */
final class ExchangeDetail extends VBox {
    private static final int SHOWN = 7;

    private final Desk desk;
    private final MeetingModel model;
    private final ClipView clip;
    private final VBox rows = new VBox(6);
    private final Label title = Ui.prose("", "pinned-sentence");
    private final CorrectionRow correction;
    private Proposal shown;
    private ModelState place;

    ExchangeDetail(Desk desk, MeetingModel model, ClipView clip) {
        super(6);
        this.desk = desk;
        this.model = model;
        this.clip = clip;
        this.correction = new CorrectionRow(desk);
        setId("exchange-detail");
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain");
        VBox sheet = Ui.sheet(Words.of("matchup.detail"), null, title, correction, Ui.grow(scroll));
        getChildren().add(Ui.grow(sheet));
    }

    /** @param at place to show; nothing when null */
    void show(Proposal p, ModelState at) {
        shown = p;
        place = at;
        correction.close();
        if (p == null || at == null) {
            title.setText(Words.of("matchup.choose"));
            Gradual.anew(rows, List.of());
            return;
        }
        MeetingWriter w = model.writer();
        Meeting m = p.solved().meeting();
        title.setText(Words.of(
                "matchup.there",
                w.place(at),
                w.name(true),
                w.percent(m.share(at, true)),
                w.name(false),
                w.percent(m.share(at, false))));
        List<Supplier<Node>> made = new ArrayList<>();
        for (boolean ours : new boolean[] {true, false}) {
            made.add(() -> Ui.label(w.name(ours).toUpperCase(Language.locale()), "heading"));
            List<Exit> exits = m.model().exits(at, ours);
            if (exits.isEmpty()) {
                made.add(() -> Ui.label(Words.of("matchup.nothing"), "soft"));
            }
            exits.stream().limit(SHOWN).forEach(e -> made.add(() -> row(e, w)));
        }
        Gradual.anew(rows, made);
    }

    private Node row(Exit e, MeetingWriter w) {
        Meeting.Ranges r = model.ranges(e);
        boolean barred =
                e.ours() && desk.plan().get().approach().wishes().barred().contains(e.technique());
        Label name = Ui.label(
                w.technique(e.technique()) + (barred ? " " + Words.of("matchup.barred") : ""),
                barred ? "weak" : "body");
        Label rate = Ui.label(
                Words.of(
                        "matchup.rate",
                        String.format(Language.locale(), "%.2f", e.rate()),
                        r == null
                                ? ""
                                : String.format(
                                        Language.locale(), "%.2f", r.rate().lo()),
                        r == null
                                ? ""
                                : String.format(
                                        Language.locale(), "%.2f", r.rate().hi())),
                "claim-interval");
        Label chance = Ui.label(
                Words.of(
                        "matchup.chance",
                        w.percent(e.chance()),
                        r == null ? "" : w.percent(r.chance().lo()),
                        r == null ? "" : w.percent(r.chance().hi())),
                "claim-interval");
        HBox tools = new HBox(6);
        tools.setAlignment(Pos.CENTER_LEFT);
        if (!e.basis().tags().isEmpty()) {
            Button play = Ui.button(
                    Words.of("matchup.play", e.basis().tags().size()),
                    () -> clip.playAll(Clips.of(desk, e.basis().tags())),
                    "quiet");
            tools.getChildren().add(play);
        }
        boolean allowed =
                e.ours() && desk.plan().get().approach().wishes().allowed().contains(e.technique());
        if (e.ours() && e.technique() != null && (allowed || !e.ownAction())) {
            tools.getChildren()
                    .add(Ui.button(
                            Words.of(allowed ? "matchup.lean.no" : "matchup.lean"),
                            () -> desk.changePlan(p -> p.approach(p.approach().allow(e.technique(), !allowed))),
                            "quiet"));
        }
        if (e.ours()) {
            tools.getChildren()
                    .add(Ui.button(
                            Words.of(barred ? "matchup.allow" : "matchup.bar"),
                            () -> desk.changePlan(p -> p.approach(p.approach().bar(e.technique(), !barred))),
                            "quiet"));
        }
        tools.getChildren().add(Ui.button(Words.of("matchup.correct"), () -> correction.open(e, w), "quiet"));
        Wrapping head = new Wrapping(8, Pos.CENTER_LEFT, name, tools);
        return new VBox(0, head, new HBox(12, rate, chance), Ui.prose(w.source(e), "claim-notes"));
    }

    /** The place that is shown, or null. */
    ModelState place() {
        return shown == null ? null : place;
    }
}
