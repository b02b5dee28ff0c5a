package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.rules.Ruleset;
import farglass.rules.Score;
import farglass.rules.Scoring;
import farglass.table.ReadCall;
import farglass.table.ReadCalls;
import farglass.table.ReadChange;
import farglass.time.Clock;
import farglass.time.FilmTime;
import farglass.work.publish.TagText;
import farglass.work.score.ReadScore;
import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;

/**
 * What scored here: every change of the score that was read off the film, with what the record says about it. From
 * change to change the film plays from some seconds before; calls are taken one by one or all at once.
 */
final class Scored {
    /** Film played before a change: enough to see what it was for. */
    private static final long BEFORE_MS = 8000;

    /** What is said of a change stands below its words. */
    private static final double INDENT = 58;

    private final Desk desk;
    private final FilmView film;
    private final Angles angles;
    private final ListView<Row> list = Gradual.unfolding(new ListView<>());
    private final Label count = Ui.label("", "soft");
    private final Button all = Ui.button("", this::takeAll, "strong-button");
    private final VBox sheet;
    private final SidePages side;
    private Consumer<List<ReadCall>> onCalls = calls -> {};
    private ReadScore read;
    private boolean filling;
    /** Whether what was read has not been told yet. */
    private boolean fresh;

    /**
     * @param call a change with what the record says about it
     * @param worked the number that is worked out from the tags at its moment
     */
    private record Row(ReadCall call, int worked) {}

    /** @param side where it is shown in place of the record */
    Scored(Desk desk, FilmView film, Angles angles, SidePages side) {
        this.desk = desk;
        this.film = film;
        this.angles = angles;
        this.side = side;
        list.setId("scored-list");
        list.setFocusTraversable(false);
        list.getStyleClass().add("record");
        list.setPlaceholder(Ui.empty(Words.of("scored.empty")));
        list.setCellFactory(v -> new Cell());
        list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            if (!filling && is != null) {
                play(is.call().change());
            }
        });
        all.setId("scored-all");
        Button close = Ui.button(Words.of("scored.close"), this::toggle, "choice");
        HBox buttons = new HBox(8, close, Ui.spring(), all);
        sheet = Ui.sheet(Words.of("scored.title"), count, Ui.grow(list), buttons);
        sheet.setId("scored");
        side.add(sheet);
    }

    /** Who hears of the calls that a score just read, or read before, proposes. */
    void onCalls(Consumer<List<ReadCall>> listener) {
        onCalls = listener;
    }

    boolean shown() {
        return sheet.isVisible();
    }

    /** Whether the score of the film that is looked at was read. */
    boolean has(MatchRecord r) {
        return read != null
                && r != null
                && !r.films().isEmpty()
                && r.id().equals(read.match())
                && Objects.equals(angles.film(r).file(), read.film());
    }

    /** Takes what was read, and shows it. */
    void read(ReadScore now) {
        read = now;
        fresh = true;
        changed(desk.openRecord().get());
        show(true);
    }

    /** Has what was read before, without showing it. */
    void known(ReadScore before) {
        read = before;
        fresh = true;
        changed(desk.openRecord().get());
    }

    void toggle() {
        show(!shown());
    }

    private void show(boolean on) {
        if (on) {
            side.show(sheet);
        } else {
            side.leave(sheet);
        }
    }

    /** The record has changed, or another one is open. */
    void changed(MatchRecord r) {
        if (!has(r)) {
            list.getItems().clear();
            count.setText("");
            all.setVisible(false);
            show(false);
            return;
        }
        List<ReadChange> changes = read.changes(angles.clock(r));
        Ruleset rules = rules(r);
        desk.tasks()
                .query(
                        "scored",
                        () -> rows(r, rules, changes),
                        this::show,
                        e -> desk.notices().problem(Words.of("check.failed", e.getMessage())));
    }

    private Ruleset rules(MatchRecord r) {
        return desk.rulesets().get().orUsual(r.details().ruleset(), r.details().date());
    }

    private List<Row> rows(MatchRecord r, Ruleset rules, List<ReadChange> changes) {
        Score score = Scoring.of(r, rules, desk.lexicon());
        return ReadCalls.of(r, rules, desk.lexicon(), changes).stream()
                .map(c -> new Row(c, worked(score.at(c.change().t()), c.change())))
                .toList();
    }

    /** The number of the same kind and athlete that is worked out from the tags. */
    private static int worked(Score.Step board, ReadChange c) {
        boolean a = c.who() == Corner.A;
        return switch (c.call()) {
            case ADVANTAGE -> a ? board.advA() : board.advB();
            case PENALTY -> a ? board.penA() : board.penB();
            default -> a ? board.a() : board.b();
        };
    }

    private void show(List<Row> rows) {
        int selected = list.getSelectionModel().getSelectedIndex();
        filling = true;
        list.getItems().setAll(rows);
        if (selected >= 0 && selected < rows.size()) {
            list.getSelectionModel().select(selected);
        }
        filling = false;
        int open = ReadCalls.tags(calls()).size();
        count.setText(Words.of("scored.count", rows.size()));
        all.setVisible(open > 0);
        all.setText(Words.of("scored.all", open));
        if (fresh) {
            fresh = false;
            onCalls.accept(calls());
        }
    }

    private List<ReadCall> calls() {
        return list.getItems().stream().map(Row::call).toList();
    }

    /** To the next change or the one before; the film plays from some seconds before it. */
    void step(int by) {
        int n = list.getItems().size();
        if (n == 0) {
            desk.notices().done(Words.of("scored.none"));
            return;
        }
        show(true);
        int at = list.getSelectionModel().getSelectedIndex();
        int to = at < 0 ? (by > 0 ? 0 : n - 1) : Math.max(0, Math.min(n - 1, at + by));
        filling = true;
        list.getSelectionModel().select(to);
        filling = false;
        list.scrollTo(Math.max(0, to - 2));
        play(list.getItems().get(to).call().change());
    }

    private void play(ReadChange c) {
        if (film.player() != null) {
            film.player().seek(FilmTime.ofMs(Math.max(0, Math.min(c.from().ms(), c.at().ms()) - BEFORE_MS)));
            film.player().play();
        }
    }

    /** Takes the call of the selected change. */
    void take() {
        Row row = list.getSelectionModel().getSelectedItem();
        if (row == null) {
            desk.notices().done(Words.of("scored.select"));
        } else {
            take(List.of(row.call().change()));
        }
    }

    /** Takes all calls that the record does not hold yet, in one edit. */
    void takeAll() {
        take(calls().stream().map(ReadCall::change).toList());
    }

    private void take(List<ReadChange> wanted) {
        MatchRecord r = desk.openRecord().get();
        // held against the record as it is now: the list may be older than the last key
        List<ReadCall> now =
                has(r) ? ReadCalls.of(r, rules(r), desk.lexicon(), read.changes(angles.clock(r))) : List.of();
        List<Tag> tags = ReadCalls.tags(
                now.stream().filter(c -> wanted.contains(c.change())).toList());
        if (tags.isEmpty()) {
            desk.notices().done(Words.of("scored.nothing"));
            return;
        }
        desk.edit(Edit.addAll(r, TagIds.name(r, tags)));
        desk.notices().done(Words.of("scored.taken", tags.size()));
    }

    private final class Cell extends ListCell<Row> {
        private final Label time = Ui.label("", "record-time");
        private final Circle chip = new Circle(4.5);
        private final Label what = Ui.label("", "record-what");
        private final Label about = Ui.label("", "record-about");
        private final Label state = Ui.label("", "record-about");
        private final Label worked = Ui.label("", "record-about");
        private final VBox box = new VBox(2, new HBox(8, time, chip, what, Ui.spring(), about), state, worked);

        Cell() {
            time.setMinWidth(50);
            about.setMinWidth(Region.USE_PREF_SIZE);
            VBox.setMargin(state, new Insets(0, 0, 0, INDENT));
            VBox.setMargin(worked, new Insets(0, 0, 0, INDENT));
            worked.managedProperty().bind(worked.textProperty().isNotEmpty());
            state.setWrapText(true);
            ((HBox) box.getChildren().get(0)).setAlignment(Pos.CENTER_LEFT);
            box.prefWidthProperty().bind(list.widthProperty().subtract(28));
            box.maxWidthProperty().bind(list.widthProperty().subtract(28));
        }

        @Override
        protected void updateItem(Row row, boolean empty) {
            super.updateItem(row, empty);
            MatchRecord r = desk.openRecord().get();
            if (empty || row == null || r == null) {
                setGraphic(null);
                return;
            }
            ReadCall call = row.call();
            ReadChange c = call.change();
            time.setText(Clock.tenths(c.t().ms()));
            chip.setFill(desk.colour(r, c.who()));
            String kind = switch (c.call()) {
                case ADVANTAGE -> "scored.advantage";
                case PENALTY -> "scored.penalty";
                default -> c.by() < 0 ? "scored.points.back" : "scored.points";
            };
            what.setText(Words.of(kind, r.athlete(c.who()).surname(), Math.abs(c.by())));
            about.setText(Words.of("scored.from", c.before(), c.after()));
            worked.setText(row.worked() == c.after() ? "" : Words.of("scored.worked", row.worked()));
            state.setText(says(r, call));
            state.getStyleClass().remove("doubtful");
            if (call.cause() < 0 && call.state() != ReadCall.State.BROUGHT) {
                state.getStyleClass().add("doubtful");
            }
            setGraphic(box);
        }

        private String says(MatchRecord r, ReadCall call) {
            String asked = asked(call);
            String said = switch (call.state()) {
                case TAKEN -> asked.isEmpty() ? Words.of("scored.held") : Words.of("scored.held.what", asked);
                case BROUGHT -> Words.of("scored.brought");
                case TAKEN_BACK -> Words.of("scored.back");
                case NEW -> asked.isEmpty() ? Words.of("scored.new") : asked;
            };
            return call.cause() < 0
                    ? said
                    : said
                            + Words.of(
                                    "scored.for",
                                    TagText.of(r, r.tags().get(call.cause()), desk.lexicon())
                                            .what());
        }

        /** What it can have been for; empty where a tag says it, and where nothing has to be said. */
        private static String asked(ReadCall call) {
            if (call.cause() >= 0 || call.change().call() == CallKind.PENALTY) {
                return "";
            }
            List<String> likely =
                    call.likely().stream().map(a -> Words.of("award." + a)).toList();
            if (likely.isEmpty()) {
                return Words.of("scored.what");
            }
            String last = likely.get(likely.size() - 1);
            String first = String.join(", ", likely.subList(0, likely.size() - 1));
            return first.isEmpty() ? Words.of("scored.likely", last) : Words.of("scored.either", first, last);
        }
    }
}
