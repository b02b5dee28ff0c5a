package farglass.desk.check;

import farglass.agreement.Agreement;
import farglass.agreement.Kappa;
import farglass.agreement.Merge;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.TwoTides;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.text.Language;
import farglass.time.Clock;
import farglass.work.publish.TagText;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * A second record of the open match laid over it: how far they agree, and every difference, to be taken over or left by
 * a key. What is taken is an ordinary edit of the open record.
 */
final class CompareSheet extends StackPane {
    private static final long SEED = 1;
    private static final int WORST = 4;

    private final Desk desk;
    private final MatchRecord other;
    private final TwoTides tides;
    private final Label numbers = Ui.prose("", "claim-sentence");
    private final Label places = Ui.prose("", "soft");
    private final ListView<Merge.Difference> list = new ListView<>();

    /** @param close puts the sheet away */
    CompareSheet(Desk desk, MatchRecord other, Runnable close) {
        this.desk = desk;
        this.other = other;
        this.tides = new TwoTides(desk.lexicon());
        setId("compare-sheet");
        numbers.setId("compare-numbers");
        list.setId("compare-list");
        list.getStyleClass().addAll("record", "findings");
        list.setPlaceholder(Ui.empty(Words.of("compare.same")));
        list.setCellFactory(v -> new Cell());
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            if (is != null) {
                tides.now(is.t());
            }
        });
        tides.setPrefHeight(150);
        VBox sheet = Ui.sheet(
                Words.of("compare.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                tides,
                numbers,
                places,
                Ui.grow(list),
                Ui.label(Words.of("compare.keys"), "soft"));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(1040, 700);
        getChildren().add(sheet);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER) {
                take();
            } else if (e.getCode() == KeyCode.DELETE) {
                leave();
            } else if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
            } else if (e.getCode() == KeyCode.Z && e.isControlDown()) {
                desk.undo();
            } else {
                return;
            }
            e.consume();
        });
        desk.openRecord()
                .addListener((o, was, is) -> work(is, list.getSelectionModel().getSelectedIndex()));
        work(desk.openRecord().get(), 0);
    }

    private record Compared(MatchRecord record, Agreement agreement, List<Merge.Difference> differences) {}

    private void work(MatchRecord r, int place) {
        desk.tasks()
                .query(
                        "compare",
                        () -> new Compared(
                                r,
                                Agreement.of(r, other, Agreement.TOLERANCE_MS, desk.lexicon(), SEED),
                                Merge.differences(r, other, Agreement.TOLERANCE_MS, desk.lexicon())),
                        c -> show(c, place),
                        e -> desk.notices().problem(Words.of("check.failed", e.getMessage())));
    }

    private void show(Compared c, int place) {
        tides.show(c.record(), other, desk.amber(c.record()));
        Agreement a = c.agreement();
        numbers.setText(Words.of(
                "compare.numbers",
                number(a.overall().kappa()),
                number(a.overall().error()),
                a.overall().items(),
                share(a.precision()),
                share(a.recall())));
        String worst = a.perPosition().entrySet().stream()
                .filter(e -> !Double.isNaN(e.getValue().kappa()) && e.getValue().kappa() < 0.95)
                .sorted(Comparator.comparingDouble(
                        (Map.Entry<String, Kappa> e) -> e.getValue().kappa()))
                .limit(WORST)
                .map(e -> e.getKey() + " " + number(e.getValue().kappa()))
                .collect(Collectors.joining(",  "));
        String fields = a.attempts().fields().entrySet().stream()
                .filter(e -> e.getValue().differ() > 0)
                .map(e -> e.getKey() + " " + e.getValue().differ())
                .collect(Collectors.joining(",  "));
        places.setText(Words.of("compare.worst", worst.isEmpty() ? "-" : worst, fields.isEmpty() ? "-" : fields));
        list.getItems().setAll(c.differences());
        if (!c.differences().isEmpty()) {
            list.getSelectionModel()
                    .select(Math.max(0, Math.min(place, c.differences().size() - 1)));
            list.requestFocus();
        }
    }

    private static String number(double v) {
        return Double.isNaN(v) ? "-" : String.format(Language.locale(), "%.2f", v);
    }

    private static String share(double v) {
        return Double.isNaN(v) ? "-" : Math.round(v * 100) + "%";
    }

    private void take() {
        Merge.Difference d = list.getSelectionModel().getSelectedItem();
        if (d != null) {
            desk.edit(d.take(desk.openRecord().get()));
        }
    }

    /** The open record stays as it is here. */
    private void leave() {
        int at = list.getSelectionModel().getSelectedIndex();
        if (at >= 0) {
            list.getItems().remove(at);
        }
    }

    private final class Cell extends ListCell<Merge.Difference> {
        private final Label when = Ui.label("", "record-time");
        private final Label kind = Ui.label("", "strong");
        private final Label mine = Ui.label("", "record-what");
        private final Label theirs = Ui.label("", "record-what");
        private final HBox line = new HBox(10, when, kind, mine, theirs);

        Cell() {
            line.setAlignment(Pos.CENTER_LEFT);
            when.setMinWidth(52);
            kind.setMinWidth(130);
            mine.setMinWidth(340);
            mine.setMaxWidth(340);
        }

        @Override
        protected void updateItem(Merge.Difference d, boolean empty) {
            super.updateItem(d, empty);
            if (empty || d == null) {
                setGraphic(null);
                return;
            }
            when.setText(Clock.tenths(d.t().ms()));
            kind.setText(Words.of("compare." + d.kind().name().toLowerCase(Locale.ROOT)));
            mine.setText(d.first() == null ? "-" : text(d.first()));
            theirs.setText(d.second() == null ? "-" : text(d.second()));
            setGraphic(line);
        }

        private String text(Tag tag) {
            MatchRecord r = desk.openRecord().get();
            TagText t = TagText.of(r, tag, desk.lexicon());
            return (t.who() == null ? "" : r.athlete(t.who()).surname() + ": ") + t.line();
        }
    }
}
