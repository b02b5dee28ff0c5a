package farglass.desk.debrief;

import farglass.debrief.Adherence;
import farglass.debrief.Calibration;
import farglass.debrief.ClaimCheck;
import farglass.debrief.Debrief;
import farglass.debrief.DecisionCheck;
import farglass.debrief.Scored;
import farglass.debrief.Season;
import farglass.debrief.Surprise;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Coded;
import farglass.match.PersonName;
import farglass.matchup.advise.MeetingWriter;
import farglass.text.CoreWords;
import farglass.text.Language;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.layout.VBox;

/** Fills the pages of a debrief. */
final class DebriefPages {
    private static final double STEP = 18;

    private final Desk desk;
    private final Lines lines;

    DebriefPages(Desk desk, Lines lines) {
        this.desk = desk;
        this.lines = lines;
    }

    void branches(VBox box, Debrief d) {
        box.getChildren().clear();
        if (none(box, d, d == null || d.branches().isEmpty(), "debrief.branches.none")) {
            return;
        }
        for (Adherence a : d.branches()) {
            box.getChildren()
                    .add(lines.row(
                            verdict(a),
                            a.followed(),
                            a.branch().text(),
                            a.outcome() == null
                                    ? ""
                                    : Words.of(
                                            "debrief.outcome",
                                            CoreWords.code(((Coded) a.outcome()).code()),
                                            a.tags().size()),
                            STEP * a.depth(),
                            Lines.trials(d.record(), a.tags())));
        }
    }

    private static String verdict(Adherence a) {
        if (a.branch().sight() == null || a.met() == null) {
            return Words.of("debrief.untold");
        }
        if (!a.met()) {
            return Words.of(a.branch().ours() ? "debrief.not-met" : "debrief.did-not");
        }
        if (!a.branch().ours()) {
            return Words.of("debrief.did");
        }
        return a.followed() == null
                ? Words.of("debrief.untold")
                : Words.of(a.followed() ? "debrief.followed" : "debrief.not-followed");
    }

    void conduct(VBox box, Debrief d) {
        box.getChildren().clear();
        if (none(box, d, d == null || d.conduct().isEmpty(), "debrief.conduct.none")) {
            return;
        }
        for (Debrief.Promise p : d.conduct()) {
            Boolean kept = p.kept().wholly();
            String before = p.before() == null || p.before().of() == 0
                    ? ""
                    : Words.of("debrief.before", p.before().met(), p.before().of());
            String numbers = kept == null
                    ? Words.of(p.kept().unlooked() > 0 ? "debrief.unlooked" : "debrief.no-occasion")
                    : Words.of("debrief.kept.counts", p.kept().met(), p.kept().of());
            box.getChildren()
                    .add(lines.row(
                            kept == null
                                    ? Words.of("debrief.untold")
                                    : Words.of(kept ? "debrief.kept" : "debrief.broken"),
                            kept,
                            p.clause().text(),
                            (numbers + " " + before).strip(),
                            0,
                            p.kept().trials()));
        }
    }

    void forecasts(VBox box, Debrief d, Season s) {
        box.getChildren().clear();
        if (d != null && !d.forecasts().isEmpty()) {
            Calibration c = d.calibration();
            box.getChildren()
                    .add(Ui.prose(Words.of("debrief.scores", c.n(), three(c.brier()), three(c.log())), "body"));
            for (Scored f : d.forecasts()) {
                Boolean right = f.outcome() == 0.5
                        ? null
                        : Boolean.valueOf(f.outcome() > 0.5 == f.forecast().p() > 0.5);
                box.getChildren()
                        .add(lines.row(
                                Words.of(
                                        f.outcome() == 0.5
                                                ? "debrief.half"
                                                : f.outcome() > 0.5 ? "debrief.happened" : "debrief.happened-not"),
                                right,
                                f.forecast().sentence(),
                                Words.of(
                                        "debrief.forecast",
                                        percent(f.forecast().p()),
                                        three(f.brier()),
                                        three(f.log())),
                                0,
                                List.of()));
            }
        } else {
            box.getChildren().add(Ui.empty(Words.of(d == null ? "debrief.none" : "debrief.forecasts.none")));
        }
        Calibration all = s == null ? null : s.calibration();
        box.getChildren().add(Ui.label(Words.of("debrief.calibration"), "heading"));
        if (all == null || all.n() == 0) {
            box.getChildren().add(Ui.empty(Words.of("debrief.calibration.none")));
            return;
        }
        box.getChildren()
                .addAll(
                        Ui.prose(
                                Words.of(
                                        "debrief.split",
                                        all.n(),
                                        three(all.brier()),
                                        three(all.reliability()),
                                        three(all.resolution()),
                                        three(all.uncertainty())),
                                "claim-notes"),
                        new ReliabilityView(all));
    }

    void claims(VBox box, Debrief d) {
        box.getChildren().clear();
        if (none(box, d, d == null || d.claims().isEmpty(), "debrief.claims.none")) {
            return;
        }
        for (ClaimCheck c : d.claims()) {
            Boolean held = c.verdict() == null ? null : Boolean.valueOf(c.verdict() == ClaimCheck.Verdict.HELD);
            box.getChildren()
                    .add(lines.row(
                            held == null
                                    ? Words.of("debrief.not-seen")
                                    : Words.of(held ? "debrief.held" : "debrief.otherwise"),
                            held,
                            c.claim().sentence(),
                            Words.of("debrief.claim", c.claim().number(), c.x(), c.n()),
                            0,
                            c.trials()));
        }
    }

    void decisions(VBox box, Debrief d) {
        box.getChildren().clear();
        if (none(box, d, d == null || d.decisions().isEmpty(), "debrief.decisions.none")) {
            return;
        }
        box.getChildren()
                .add(Ui.prose(
                        Words.of(d.decisions().get(0).own() ? "debrief.decisions.own" : "debrief.decisions.computed"),
                        "claim-notes"));
        for (DecisionCheck c : d.decisions()) {
            boolean held = Double.isNaN(c.expectedTries());
            Boolean done =
                    (!c.came() || held) ? null : Boolean.valueOf(!c.done().isEmpty());
            String numbers = held
                    ? Words.of("debrief.decision.held", c.occasions().size(), tenths(c.minutes()))
                    : Words.of(
                            "debrief.decision",
                            c.occasions().size(),
                            tenths(c.minutes()),
                            c.done().size(),
                            c.worked(),
                            Words.of(
                                    "debrief.decision.expected",
                                    tenths(c.expectedTries()),
                                    tenths(c.expectedWorked())));
            box.getChildren()
                    .add(lines.row(
                            done == null
                                    ? Words.of(c.came() ? "debrief.came" : "debrief.not-met")
                                    : Words.of(done ? "debrief.done" : "debrief.not-done"),
                            done,
                            c.text(),
                            c.came() ? numbers : "",
                            0,
                            Lines.trials(
                                    d.record(),
                                    Stream.concat(c.occasions().stream(), c.done().stream())
                                            .sorted()
                                            .distinct()
                                            .toList())));
        }
    }

    private static String tenths(double x) {
        return String.format(Language.locale(), "%.1f", x);
    }

    void surprises(VBox box, Debrief d) {
        box.getChildren().clear();
        if (none(box, d, d == null || d.surprises().isEmpty(), "debrief.surprises.none")) {
            return;
        }
        MeetingWriter w = new MeetingWriter(
                Language.locale(),
                desk.lexicon(),
                PersonName.first(desk.nameOf(desk.plan().get().us())),
                PersonName.first(desk.nameOf(desk.plan().get().them())));
        for (Surprise s : d.surprises()) {
            box.getChildren()
                    .add(lines.row(
                            w.name(s.ours()),
                            null,
                            Words.of("debrief.surprise", w.technique(s.technique()), w.place(s.place())),
                            Words.of("debrief.surprise.share", percent(s.share()), w.name(s.ours())),
                            0,
                            Lines.trials(d.record(), List.of(s.tag()))));
        }
    }

    private static boolean none(VBox box, Debrief d, boolean empty, String key) {
        if (empty) {
            box.getChildren().add(Ui.empty(Words.of(d == null ? "debrief.none" : key)));
        }
        return empty;
    }

    private static String percent(double p) {
        return Double.isFinite(p) ? Math.round(100 * p) + "%" : "?";
    }

    static String three(double x) {
        return String.format(Language.locale(), "%.3f", x);
    }
}
