package farglass.desk.reel;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.phrase.TagQuery;
import farglass.store.bundle.FileNames;
import farglass.text.Language;
import farglass.work.publish.Cut;
import farglass.work.publish.ReelPublication;
import farglass.work.publish.TagText;
import farglass.work.words.WorkWords;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;

/**
 * Puts a reel together: a line that says which tags, the moments found, each to be trimmed, moved, left out, written.
 */
public final class ReelSheet extends StackPane {
    private static final int MOST = 120;
    /** The question that is asked of the matches. */
    private static final String SEARCH = "reel";

    private static final long STEP_MS = 500;

    private final Desk desk;
    private final TextField query = new TextField();
    private final TextField title = new TextField();
    private final CheckBox onlyOpen = new CheckBox(Words.of("reel.only-open"));
    private final CheckBox nameless = new CheckBox(Words.of("reel.nameless"));
    private final VBox rows = new VBox(2);
    private final Label told = Ui.label("", "soft");
    private final List<Cut> cuts = new ArrayList<>();

    private String lastTitle = "";

    /** @param close puts the sheet away */
    public ReelSheet(Desk desk, Runnable close) {
        this.desk = desk;
        setId("reel-sheet");
        query.setId("reel-query");
        query.setPromptText(Words.of("reel.prompt"));
        query.setOnAction(e -> find());
        title.setId("reel-title");
        title.setPromptText(Words.of("reel.title.prompt"));
        told.setId("reel-told");
        nameless.setId("reel-nameless");
        onlyOpen.setId("reel-only-open");
        onlyOpen.setOnAction(e -> find());
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        Button write = Ui.button(Words.of("reel.write"), this::write, "strong-button");
        write.setId("reel-write");
        HBox first = new HBox(10, Ui.grow(query), onlyOpen);
        first.setAlignment(Pos.CENTER_LEFT);
        HBox last = new HBox(10, Ui.grow(title), nameless, write);
        last.setAlignment(Pos.CENTER_LEFT);
        VBox sheet = Ui.sheet(
                Words.of("reel.sheet"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                first,
                told,
                Ui.grow(scroll),
                last);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(1080, 600);
        getChildren().add(sheet);
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
    }

    /** Ready to type. */
    public void begin() {
        Gradual.focus(query);
        find();
    }

    private void find() {
        TagQuery.Reading read =
                TagQuery.read(query.getText(), desk.lexicon(), desk.athletes().values());
        if (!read.problem().isEmpty()) {
            told.setText(Words.of("reel.unknown", read.problem()));
            return;
        }
        cuts.clear();
        fill();
        if (title.getText().isBlank() || title.getText().equals(lastTitle)) {
            lastTitle = query.getText().strip();
            title.setText(lastTitle);
        }
        if (query.getText().isBlank()) {
            told.setText(Words.of("reel.how"));
            // nor is the answer to an earlier question wanted any more
            desk.tasks().query(SEARCH, () -> true, none -> {}, e -> {});
            return;
        }
        told.setText(Words.of("reel.searching"));
        List<MatchRecord> where = onlyOpen.isSelected() && desk.openRecord().get() != null
                ? List.of(desk.openRecord().get())
                : List.copyOf(desk.matches());
        desk.tasks().query(SEARCH, () -> found(read.query(), where), this::show, e -> told.setText(e.getMessage()));
    }

    /**
     * What was found.
     *
     * @param moments how many, of which {@code without} are not on a film that is there
     * @param cuts the first of those that are
     */
    private record Found(int moments, int without, List<Cut> cuts) {}

    /** Reads the tags of all matches that are looked through, so not on the interface thread. */
    private Found found(TagQuery wanted, List<MatchRecord> where) {
        List<Cut> first = new ArrayList<>();
        int moments = 0;
        int without = 0;
        for (MatchRecord r : where) {
            for (int index : wanted.in(r, desk.lexicon())) {
                moments++;
                if (!onFilm(r, index)) {
                    without++;
                } else if (first.size() < MOST) {
                    first.add(Cut.of(r.id(), index));
                }
            }
        }
        return new Found(moments, without, first);
    }

    private void show(Found found) {
        cuts.clear();
        cuts.addAll(found.cuts());
        told.setText(Words.of("reel.found", found.moments(), found.without(), cuts.size()));
        fill();
    }

    private boolean onFilm(MatchRecord r, int index) {
        return r.films().stream()
                .anyMatch(f -> !f.map().filmTimes(r.tags().get(index).t()).isEmpty() && Files.exists(desk.filmPath(f)));
    }

    private void fill() {
        rows.getChildren().clear();
        for (int i = 0; i < cuts.size(); i++) {
            rows.getChildren().add(row(i));
        }
    }

    private HBox row(int i) {
        Cut c = cuts.get(i);
        MatchRecord r = desk.match(c.match()).orElseThrow();
        TagText text = TagText.of(r, r.tags().get(c.tag()), desk.lexicon());
        Rectangle chip = new Rectangle(9, 9, text.who() == null ? Look.rule() : desk.colour(r, text.who()));
        Label what = Ui.label(desk.describe(r, c.tag()), "record-what");
        what.setMinWidth(0);
        what.setMaxWidth(Double.MAX_VALUE);
        TextField card = new TextField(c.card() == null ? "" : c.card());
        card.setPromptText(Words.of("reel.card"));
        card.setPrefColumnCount(12);
        card.setMinWidth(130);
        card.textProperty().addListener((o, was, is) -> cuts.set(i, cuts.get(i).card(is)));
        CheckBox slow = new CheckBox(Words.of("reel.slow"));
        slow.setMinWidth(USE_PREF_SIZE);
        slow.setSelected(c.slow());
        slow.setOnAction(e -> cuts.set(i, cuts.get(i).slow(slow.isSelected())));
        HBox row = new HBox(
                6,
                small(Words.of("reel.up"), () -> move(i, -1)),
                small(Words.of("reel.down"), () -> move(i, 1)),
                chip,
                Ui.grow(what),
                trim(c.beforeMs(), "reel.before", ms -> change(i, cuts.get(i).before(ms))),
                trim(c.afterMs(), "reel.after", ms -> change(i, cuts.get(i).after(ms))),
                slow,
                card,
                small(Words.of("reel.out"), () -> {
                    cuts.remove(i);
                    fill();
                }));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Button small(String text, Runnable action) {
        Button b = Ui.button(text, action, "quiet");
        b.setMinWidth(USE_PREF_SIZE);
        return b;
    }

    private HBox trim(long ms, String words, java.util.function.LongConsumer changed) {
        Label shown = Ui.label(Words.of(words, String.format(Language.locale(), "%.1f", ms / 1000.0)), "record-about");
        shown.setMinWidth(USE_PREF_SIZE);
        HBox box = new HBox(
                2,
                small("-", () -> changed.accept(ms - STEP_MS)),
                shown,
                small("+", () -> changed.accept(ms + STEP_MS)));
        box.setAlignment(Pos.CENTER);
        return box;
    }

    private void change(int i, Cut cut) {
        cuts.set(i, cut);
        fill();
    }

    private void move(int i, int by) {
        int to = i + by;
        if (to >= 0 && to < cuts.size()) {
            Collections.swap(cuts, i, to);
            fill();
        }
    }

    private void write() {
        if (cuts.isEmpty()) {
            desk.notices().problem(WorkWords.of("reel.none"));
            return;
        }
        String name = title.getText().isBlank()
                ? Words.of("reel.unnamed")
                : title.getText().strip();
        String file = FileNames.of(name.toLowerCase(Locale.ROOT).replace(' ', '-')) + "-" + LocalDate.now(desk.clock());
        Path target = desk.library().folder().resolve("reels").resolve(file + ".mp4");
        desk.publisher()
                .export(
                        Words.of("reel.writing"),
                        target,
                        new ReelPublication(desk.material(), name, List.copyOf(cuts), !nameless.isSelected()));
    }
}
