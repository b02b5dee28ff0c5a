package farglass.desk.matchup;

import farglass.desk.chart.ChartView;
import farglass.desk.profile.ClipView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Keys;
import farglass.desk.shell.Look;
import farglass.desk.shell.Pages;
import farglass.desk.shell.Station;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.ForwardPass;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.Flows;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Lays our athlete's measured game over the opponent's. */
public final class MatchupStation implements Station, Keys.Bound {
    private final Desk desk;
    private final MeetingModel model;
    private final Label question = Ui.prose("", "question");
    private final VBox exchanges = new VBox(0);
    private final VBox deciding = new VBox(0);
    private final VBox style = new VBox(8);
    private final ChartView chart;
    private final ExchangeDetail detail;
    private final Keys keys = new Keys();
    /** Whether the pages are still as they were before the last proposal. */
    private boolean stale = true;

    private final VBox view;
    private final Pages pages = new Pages();
    private final KnownPage known;
    private final BracketPage bracket;

    /** @param toFilm shows the film station once a match has been opened */
    public MatchupStation(Desk desk, MeetingModel model, Runnable toFilm) {
        this.desk = desk;
        this.model = model;
        this.chart = new ChartView(desk.lexicon(), desk::chartPlan);
        ClipView clip = new ClipView(desk, Words.of("matchup.clip"), match -> {
            desk.openMatch(match);
            toFilm.run();
        });
        this.detail = new ExchangeDetail(desk, model, clip);
        this.known = new KnownPage(desk, model, clip);
        this.bracket = new BracketPage(desk, model);
        chart.onPlay(clip::playAll);
        keys.on("F3", "matchup.keys.next", pages::next);
        view = layout(clip);
        view.setId("station-matchup");
        view.addEventFilter(KeyEvent.KEY_PRESSED, keys::handle);
        model.proposal().addListener((o, was, is) -> {
            stale = true;
            if (view.getScene() != null) {
                fill();
            }
        });
        desk.plan().addListener((o, was, is) -> ask());
        ask();
    }

    private VBox layout(ClipView clip) {
        pages.add("matchup.exchanges", Pages.scroll(exchanges))
                .add("matchup.chart", chart)
                .add("matchup.deciding", Pages.scroll(deciding))
                .add("matchup.style", Pages.scroll(style))
                .add("matchup.known", Pages.scroll(known))
                .add("matchup.bracket", bracket);
        VBox left = Ui.sheet(Words.of("matchup.meets"), pages.chips(), Ui.grow(pages.middle()));
        VBox right = new VBox(12);
        Gradual.parts(right, Ui.sheet(Words.of("profile.clip"), null, clip), Ui.grow(detail));
        right.setMinWidth(390);
        right.setMaxWidth(390);
        HBox body = new HBox(12);
        Gradual.parts(body, Ui.grow(left), right);
        VBox whole = new VBox(12);
        Gradual.parts(whole, question, new Headline(model), Ui.grow(body));
        return whole;
    }

    @Override
    public String name() {
        return "station.matchup";
    }

    @Override
    public Node view() {
        return view;
    }

    @Override
    public Keys keys() {
        return keys;
    }

    @Override
    public void shown() {
        if (stale) {
            fill();
        }
        model.watch(true);
    }

    @Override
    public void hidden() {
        model.watch(false);
    }

    @Override
    public ObservableValue<String> status() {
        return Bindings.createStringBinding(this::natural, model.glance(), model.proposal());
    }

    /** The same figure as in the headline: the mean over draws once they are made. */
    private String natural() {
        MeetingSolution.Glance glance = model.glance().get();
        if (glance == null) {
            return Words.of("matchup.status.none");
        }
        Proposal p = model.proposal().get();
        boolean drawn = p != null && p.uncertainty() != null;
        double win = drawn ? p.uncertainty().natural().mean() : glance.natural().win();
        return Words.of("matchup.status", Math.round(100 * win));
    }

    private void ask() {
        Plan p = desk.plan().get();
        Assignment a = desk.assignment().get();
        question.setText(
                p == null || a == null || p.them().isEmpty()
                        ? Words.of("matchup.question.none")
                        : Words.of("matchup.question", desk.nameOf(a.us()), desk.nameOf(p.them())));
    }

    private void fill() {
        stale = false;
        Proposal p = model.proposal().get();
        style.getChildren().clear();
        if (p == null) {
            Gradual.anew(exchanges, List.of(() -> Ui.empty(Words.of("matchup.empty"))));
            Gradual.anew(deciding, List.of());
            detail.show(null, null);
            return;
        }
        MeetingWriter w = model.writer();
        List<Exchange> rows = Exchange.of(p);
        List<Supplier<Node>> meet = new ArrayList<>();
        meet.add(() -> Exchange.head(w));
        rows.forEach(e -> meet.add(() -> e.row(w, () -> detail.show(p, e.place()))));
        Gradual.anew(exchanges, meet);
        if (!rows.isEmpty()) {
            detail.show(p, rows.get(0).place());
        }
        List<Supplier<Node>> decide = new ArrayList<>();
        p.leverage().forEach(l -> decide.add(() -> deciding(p, l, w)));
        Gradual.anew(deciding, decide);
        fillChart(p);
        known.fill();
    }

    /** "knee cut of Ansa from Brisa's lasso guard: a tenth more often +0.4, a tenth more surely +0.3". */
    private Node deciding(Proposal p, ForwardPass.Leverage l, MeetingWriter w) {
        Label what = Ui.prose(w.exit(l.exit()), "pinned-sentence");
        Label much = Ui.label(Words.of("matchup.tenth", w.gain(l.rate10()), w.gain(l.chance10())), "claim-interval");
        Label rests = Ui.label(w.source(l.exit()), "claim-notes");
        VBox box = new VBox(2, what, new HBox(14, much, rests));
        return Exchange.clickable(
                box, l.exit().ours(), () -> detail.show(p, l.exit().from()));
    }

    private record Laid(Flows ours, Flows theirs, StyleNotes notes) {}

    private void fillChart(Proposal p) {
        String us = p.solved().meeting().question().us();
        String them = p.solved().meeting().question().them();
        Filter filter = p.solved().meeting().question().filter();
        desk.tasks()
                .query(
                        "matchup-chart",
                        () -> {
                            LibraryIndex index = desk.index();
                            desk.chartPlan();
                            return new Laid(
                                    Flows.of(Evidence.of(index, us, filter)),
                                    Flows.of(Evidence.of(index, them, filter)),
                                    StyleNotes.of(index, us, them, filter, desk.claimWriter()));
                        },
                        laid -> {
                            chart.show(laid.ours(), Look.ours(), laid.theirs(), Look.theirs());
                            laid.notes().fill(style);
                        },
                        e -> desk.notices().problem(String.valueOf(e.getMessage())));
    }

    /** Shows what meets what in one place; null for the first. */
    public void choose(ModelState place) {
        detail.show(model.proposal().get(), place);
    }
}
