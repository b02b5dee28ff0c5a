package farglass.desk.check;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.rules.Restart;
import farglass.rules.Score;
import farglass.text.Language;
import farglass.time.Clock;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;

/** A score: the figures, who won and how, and everything it rests on in the order of time. */
final class ScoreSheet extends VBox {
    private final Desk desk;
    private final Label board = Ui.label("", "score-board");
    private final Label verdict = Ui.prose("", "claim-sentence");
    private final Label control = Ui.prose("", "soft");
    private final ListView<Line> lines = Gradual.unfolding(new ListView<>());
    private MatchRecord record;

    /** @param given whether something was given for it */
    private record Line(MatchTime t, Corner who, String what, String why, int tag, boolean given) {}

    /** @param look shows the film at a moment and tag */
    ScoreSheet(Desk desk, String id, BiConsumer<MatchTime, Integer> look) {
        super(6);
        this.desk = desk;
        lines.setId(id);
        lines.setAccessibleText(Words.of("name.score-lines"));
        board.setId(id + "-board");
        verdict.setId(id + "-verdict");
        lines.getStyleClass().addAll("record", "score-lines");
        lines.setPlaceholder(Ui.empty(Words.of("check.nothing-given")));
        lines.setCellFactory(v -> new Cell());
        lines.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            if (is != null) {
                look.accept(is.t(), is.tag());
            }
        });
        getChildren().addAll(board, verdict, control, Ui.grow(lines));
    }

    void say(String text) {
        board.setText("");
        verdict.setText(text);
        control.setText("");
        lines.getItems().clear();
    }

    void show(MatchRecord r, Score s) {
        record = r;
        board.setText(Words.of(
                "check.board",
                r.athlete(Corner.A).surname(),
                s.points(Corner.A),
                s.points(Corner.B),
                r.athlete(Corner.B).surname()));
        String who = s.result().winner() == null
                ? Words.of("check.nobody")
                : r.athlete(s.result().winner()).surname();
        verdict.setText(Words.of(
                "check.verdict." + s.result().method().code(),
                who,
                s.advantages(Corner.A),
                s.advantages(Corner.B),
                s.penalties(Corner.A),
                s.penalties(Corner.B)));
        String given = Words.of(
                "check.control",
                s.advantages(Corner.A),
                s.advantages(Corner.B),
                s.penalties(Corner.A),
                s.penalties(Corner.B));
        control.setText(given
                + Words.of(
                        "check.on-top",
                        Clock.seconds(s.control().get(Corner.A)),
                        Clock.seconds(s.control().get(Corner.B))));
        lines.getItems().setAll(lines(r, s));
    }

    private List<Line> lines(MatchRecord r, Score s) {
        List<Line> all = new ArrayList<>();
        for (Score.Award a : s.awards()) {
            all.add(new Line(
                    a.confirmedAt(),
                    a.who(),
                    Words.of("check.award", a.value(), Words.of("award." + a.award())),
                    a.why(),
                    a.tag(),
                    true));
        }
        for (Score.Near n : s.near()) {
            all.add(new Line(
                    n.t(), n.who(), Words.of("check.near", Words.of("award." + n.award())), n.words(), n.tag(), false));
        }
        for (Score.Advantage a : s.advantages()) {
            all.add(new Line(a.t(), a.who(), Words.of("check.advantage"), a.why(), a.tag(), true));
        }
        for (Score.Penalty p : s.penalties()) {
            all.add(new Line(
                    p.t(),
                    p.who(),
                    Words.of("check.penalty", p.number()),
                    Words.of("penalty." + p.effect().code().replaceAll(":.*", "")),
                    p.tag(),
                    true));
        }
        for (Restart x : Restart.of(r, desk.lexicon())) {
            all.add(new Line(
                    x.t(),
                    x.loser(),
                    Words.of("check.restart"),
                    Words.of("check.restart.lost", String.format(Language.locale(), "%.2f", x.lost())),
                    x.tag(),
                    false));
        }
        all.sort(Comparator.comparing(Line::t));
        return all;
    }

    private final class Cell extends ListCell<Line> {
        private final Label when = Ui.label("", "record-time");
        private final Rectangle chip = new Rectangle(9, 9);
        private final Label what = Ui.label("", "record-what");
        private final Label why = Ui.prose("", "record-about");
        private final HBox line = new HBox(8, when, chip, Ui.grow(new VBox(1, what, why)));

        Cell() {
            line.setAlignment(Pos.TOP_LEFT);
            when.setMinWidth(52);
            line.prefWidthProperty().bind(lines.widthProperty().subtract(30));
            line.maxWidthProperty().bind(lines.widthProperty().subtract(30));
        }

        /** As high as the line is at the width that it gets: asked for no width, it would not count what wraps. */
        @Override
        protected double computePrefHeight(double width) {
            return getGraphic() == line
                    ? snappedTopInset() + line.prefHeight(line.getPrefWidth()) + snappedBottomInset()
                    : super.computePrefHeight(width);
        }

        @Override
        protected void updateItem(Line l, boolean empty) {
            super.updateItem(l, empty);
            if (empty || l == null) {
                setGraphic(null);
                return;
            }
            when.setText(Clock.tenths(l.t().ms()));
            boolean nobody = l.who() == null;
            chip.setFill(nobody || !l.given() ? javafx.scene.paint.Color.TRANSPARENT : desk.colour(record, l.who()));
            chip.setStroke(nobody ? Look.rule() : desk.colour(record, l.who()));
            what.setText(nobody ? l.what() : record.athlete(l.who()).surname() + ": " + l.what());
            why.setText(l.why());
            setGraphic(line);
        }
    }
}
