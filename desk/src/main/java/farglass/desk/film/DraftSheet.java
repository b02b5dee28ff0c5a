package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.draft.Basis;
import farglass.draft.Draft;
import farglass.draft.DraftFate;
import farglass.draft.DraftList;
import farglass.draft.Source;
import farglass.draft.SourceRecord;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.time.Clock;
import farglass.work.publish.TagText;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;

/** What is proposed about the open match, with the words it rests on, and how often each source was right so far. */
final class DraftSheet {
    /** What is said of a draft stands below its words. */
    private static final double INDENT = 58;

    private static final double EDGE = 28;
    private static final double ROW = 46;
    /** Three lines of what was said. */
    private static final double SAID = 58;

    private final Desk desk;
    private final DraftPass pass;
    private final SidePages side;
    private final RecordClock clock;
    private final ListView<DraftList.Judged> list = Gradual.unfolding(new ListView<>());
    private final Label count = Ui.label("", "soft");
    private final VBox sources = new VBox(2);
    /** What the chosen one rests on. */
    private final Label said = Ui.prose("", "body");

    private final Button again = button("drafts.again", "drafts-again", this::again);
    private final Button decided;
    private final Button run;
    private final VBox sheet;
    private boolean filling;
    private boolean ofDecided;

    /**
     * @param clock how match times are shown
     * @param more where drafts come from besides, asked for by buttons
     */
    DraftSheet(Desk desk, DraftPass pass, SidePages side, RecordClock clock, List<Button> more) {
        this.desk = desk;
        this.clock = clock;
        this.pass = pass;
        this.side = side;
        list.setId("draft-list");
        list.setFixedCellSize(ROW);
        list.setFocusTraversable(false);
        list.getStyleClass().add("record");
        list.setPlaceholder(Ui.empty(Words.of("drafts.empty")));
        list.setCellFactory(v -> new Cell());
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            said.setText(
                    is == null
                            ? ""
                            : is.draft().bases().stream().map(DraftSheet::says).collect(Collectors.joining("\n")));
            again.setVisible(is != null && is.fate() == DraftFate.REFUSED);
            if (!filling && is != null && is.fate() == DraftFate.OPEN) {
                pass.show(is.draft());
            }
        });
        decided = button("drafts.decided", "drafts-decided", this::turn);
        run = button("drafts.run", "drafts-run", pass::takeRun);
        run.managedProperty().bind(run.visibleProperty());
        HBox deeds = new HBox(
                6,
                Ui.label("Enter", "key"),
                button("drafts.take", "drafts-take", pass::take),
                Ui.label("Del", "key"),
                button("drafts.refuse", "drafts-refuse", pass::refuse),
                run,
                again);
        deeds.setAlignment(Pos.CENTER_LEFT);
        again.managedProperty().bind(again.visibleProperty());
        again.setVisible(false);
        said.setMinHeight(SAID);
        said.setAlignment(Pos.TOP_LEFT);
        FlowPane from = new FlowPane(6, 6);
        from.getChildren().addAll(more);
        from.getChildren().addAll(decided, button("scored.close", "drafts-close", this::close));
        sheet = Ui.sheet(Words.of("drafts.title"), count, Ui.grow(list), said, sources, deeds, from);
        sheet.setId("drafts");
        side.add(sheet);
        pass.listen(this::fill);
    }

    private static Button button(String words, String id, Runnable action) {
        Button b = Ui.button(Words.of(words, 0), action, "choice");
        b.setId(id);
        b.setFocusTraversable(false);
        return b;
    }

    boolean shown() {
        return sheet.isVisible();
    }

    void open() {
        side.show(sheet);
        fill();
    }

    void close() {
        side.leave(sheet);
    }

    private void again() {
        DraftList.Judged chosen = list.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            pass.reopen(chosen.draft());
        }
    }

    /** From those that are open to those that are decided, or back. */
    private void turn() {
        ofDecided = !ofDecided;
        decided.setText(Words.of(ofDecided ? "drafts.open" : "drafts.decided"));
        fill();
    }

    private void fill() {
        MatchRecord r = desk.openRecord().get();
        if (!shown() || r == null) {
            return;
        }
        List<DraftList.Judged> rows = pass.all().stream()
                .filter(j -> ofDecided ? j.fate() != DraftFate.OPEN : j.fate() == DraftFate.OPEN)
                .toList();
        filling = true;
        if (!list.getItems().equals(rows)) {
            list.getItems().setAll(rows);
        }
        Draft inHand = pass.inHand().orElse(null);
        list.getSelectionModel().clearSelection();
        for (int i = 0; inHand != null && i < rows.size(); i++) {
            if (inHand.id() != null && inHand.id().equals(rows.get(i).draft().id())) {
                list.getSelectionModel().select(i);
                list.scrollTo(Math.max(0, i - 1));
            }
        }
        filling = false;
        int open = pass.asked().size();
        String asked =
                open == 0 ? Words.of("drafts.count.none") : Words.of("drafts.count", open, Clock.seconds(pass.left()));
        int quiet = pass.open().size() - open;
        count.setText(quiet == 0 ? asked : Words.of("drafts.quiet", asked, quiet));
        int sure = pass.run().size();
        run.setText(Words.of("drafts.run", sure));
        run.setVisible(sure > 1);
        sources.getChildren().setAll(told().stream().map(this::source).toList());
    }

    /** Sources of this match's drafts. */
    private Set<Source> told() {
        return pass.all().stream()
                .flatMap(j -> j.draft().bases().stream())
                .map(Basis::source)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Source.class)));
    }

    private Label source(Source s) {
        SourceRecord r = desk.session().drafts().sources().get(s);
        String name = Words.of("drafts.source." + s.code());
        if (r.judged() == 0) {
            return Ui.prose(Words.of("drafts.source.new", name), "soft");
        }
        double[] between = r.interval();
        return Ui.prose(
                Words.of(
                        "drafts.source.record",
                        name,
                        r.taken(),
                        r.judged(),
                        Math.round(100 * between[0]) + " to " + Math.round(100 * between[1]) + " %"),
                "soft");
    }

    private final class Cell extends ListCell<DraftList.Judged> {
        private final Label time = Ui.label("", "record-time");
        private final Circle chip = new Circle(4.5);
        private final Label what = Ui.label("", "record-what");
        private final Label sure = Ui.label("", "record-about");
        private final Label about = Ui.label("", "record-about");
        private final VBox box = new VBox(new HBox(8, time, chip, what, Ui.spring(), sure), about);

        Cell() {
            time.setMinWidth(50);
            sure.setMinWidth(Region.USE_PREF_SIZE);
            VBox.setMargin(about, new Insets(0, 0, 0, INDENT));
            ((HBox) box.getChildren().get(0)).setAlignment(Pos.CENTER_LEFT);
            box.prefWidthProperty().bind(list.widthProperty().subtract(EDGE));
            box.maxWidthProperty().bind(list.widthProperty().subtract(EDGE));
        }

        @Override
        protected void updateItem(DraftList.Judged row, boolean empty) {
            super.updateItem(row, empty);
            MatchRecord r = desk.openRecord().get();
            if (empty || row == null || r == null) {
                setGraphic(null);
                return;
            }
            Draft d = row.draft();
            TagText text = TagText.of(r, d.tag(), desk.lexicon());
            boolean remark = d.tag() instanceof Tag.Remark;
            time.setText(clock.text(r, d.tag().t()));
            chip.setFill(text.who() == null ? Look.soft() : desk.colour(r, text.who()));
            what.setText(text.what());
            sure.setText(row.fate() == DraftFate.OPEN ? Math.round(100 * d.confidence()) + " %" : fate(row.fate()));
            about.setText(Stream.concat(Stream.of(remark ? "" : text.about()), sources(d))
                    .filter(s -> !s.isEmpty())
                    .collect(Collectors.joining(", ")));
            setOpacity(row.fate() == DraftFate.OPEN && d.quiet() ? 0.6 : 1);
            setGraphic(box);
        }

        private Stream<String> sources(Draft d) {
            return d.bases().stream()
                    .map(b -> Words.of("drafts.source." + b.source().code()))
                    .distinct();
        }
    }

    private static String fate(DraftFate f) {
        return Words.of("drafts.fate." + f.name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    private static String says(Basis b) {
        String source = Words.of("drafts.source." + b.source().code());
        return b.text().isEmpty()
                ? Words.of("drafts.from", source, b.from())
                : Words.of("drafts.says", source, b.text());
    }
}
