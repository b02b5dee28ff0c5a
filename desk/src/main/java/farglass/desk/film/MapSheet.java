package farglass.desk.film;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.film.map.MapProposal;
import farglass.time.Clock;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.function.Consumer;
import java.util.function.LongFunction;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * A clock map, segment by segment: what each shows, where it begins in the film, which match moment it begins with. All
 * of it can be corrected before it is taken; a proposed map says how sure it is of each segment.
 */
final class MapSheet extends StackPane {
    private static final double DOUBTFUL = 0.6;
    private final List<Line> lines = new ArrayList<>();
    private final VBox table = new VBox(4);
    private final Consumer<ClockMap> accept;
    private final Label problem = Ui.prose("", "form-problem");

    /** @param confidence 0..1, negative when nobody says */
    private record Line(Segment segment, double confidence) {}

    /**
     * @param read what else was read off the picture, to be corrected above the segments
     * @param accept gets the map as corrected
     * @param close puts the sheet away, nothing changed
     */
    static MapSheet proposed(MapProposal found, Node read, Consumer<ClockMap> accept, Runnable close) {
        long replays = found.segments().stream()
                .filter(p -> p.segment().kind() == Segment.Kind.REPLAY)
                .count();
        String summary = Words.of(
                "map.summary",
                found.readings().size(),
                Words.of(found.down() ? "map.down" : "map.up"),
                replays,
                found.shots().size());
        List<Line> lines = found.segments().stream()
                .map(p -> new Line(p.segment(), p.confidence()))
                .toList();
        return new MapSheet(lines, summary, read, accept, close);
    }

    /** The map a film has already. */
    static MapSheet present(ClockMap map, Consumer<ClockMap> accept, Runnable close) {
        List<Line> lines = map.segments().stream().map(s -> new Line(s, -1)).toList();
        return new MapSheet(lines, Words.of("map.present"), new Group(), accept, close);
    }

    private MapSheet(List<Line> shown, String summary, Node read, Consumer<ClockMap> accept, Runnable close) {
        this.accept = accept;
        setId("map-sheet");
        lines.addAll(shown);
        ScrollPane scroll = new ScrollPane(table);
        scroll.setFitToWidth(true);
        problem.setId("map-problem");
        Button drop = Ui.button(Words.of("map.drop"), close, "choice");
        Button take = Ui.button(Words.of("map.accept"), this::take, "strong-button");
        take.setId("map-accept");
        HBox buttons = new HBox(10, Ui.grow(problem), drop, take);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        VBox sheet = Ui.sheet(Words.of("map.title"), null, Ui.prose(summary, "body"), read, Ui.grow(scroll), buttons);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(760, 520);
        getChildren().add(sheet);
        fill();
        setFocusTraversable(true);
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER) {
                take();
                e.consume();
            } else if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            }
        });
    }

    private void fill() {
        table.getChildren().clear();
        for (int i = 0; i < lines.size(); i++) {
            table.getChildren().add(row(i));
        }
    }

    private HBox row(int index) {
        Line line = lines.get(index);
        Segment s = line.segment();
        TextField from = time("map-from-" + index, s.from().ms(), ms -> moveBorder(index, ms));
        Label to = Ui.label(Words.of("map.to", Clock.tenths(s.to().ms())), "record-what");
        to.setMinWidth(78);
        HBox shows = new HBox(6);
        shows.setAlignment(Pos.CENTER_LEFT);
        shows.setMinWidth(190);
        if (s.kind().showsMatch()) {
            TextField at = time(
                    "map-at-" + index,
                    s.at().ms(),
                    ms -> set(index, new Segment(s.from(), s.to(), s.kind(), MatchTime.ofMs(ms), s.speed())));
            shows.getChildren().addAll(Ui.label(Words.of("map.shows"), "field-name"), at);
            if (s.speed() != 1) {
                shows.getChildren().add(Ui.label(Words.of("map.slow", Math.round(s.speed() * 100)), "record-about"));
            }
        }
        HBox row = new HBox(10, from, to, kind(index), shows, Ui.spring());
        if (line.confidence() >= 0) {
            Label sure = Ui.label(Words.of("map.sure", Math.round(line.confidence() * 100)), "record-about");
            if (line.confidence() < DOUBTFUL) {
                sure.getStyleClass().add("doubtful");
            }
            row.getChildren().add(sure);
        }
        Button split = Ui.button(Words.of("map.split"), () -> split(index), "quiet");
        split.setId("map-split-" + index);
        row.getChildren().add(split);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private ComboBox<Segment.Kind> kind(int index) {
        Segment s = lines.get(index).segment();
        ComboBox<Segment.Kind> kind = new ComboBox<>(FXCollections.observableArrayList(Segment.Kind.values()));
        kind.setConverter(Ui.shown(k -> Words.of("film.kind." + k.name().toLowerCase(Locale.ROOT))));
        kind.setValue(s.kind());
        kind.setPrefWidth(110);
        kind.valueProperty()
                .addListener((o, was, is) -> set(index, new Segment(s.from(), s.to(), is, s.at(), s.speed())));
        return kind;
    }

    /** A field for a time that is put right when it is left or confirmed. */
    private TextField time(String id, long ms, LongFunction<Boolean> changed) {
        TextField field = new TextField(Clock.tenths(ms));
        field.setId(id);
        field.setPrefColumnCount(5);
        Runnable commit = () -> {
            OptionalLong typed = Clock.parse(field.getText());
            if (typed.isEmpty() || !changed.apply(typed.getAsLong())) {
                problem.setText(Words.of("map.time", field.getText()));
                field.setText(Clock.tenths(ms));
            }
        };
        field.setOnAction(e -> commit.run());
        field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER && !field.getText().equals(Clock.tenths(ms))) {
                commit.run();
                e.consume();
            }
        });
        field.focusedProperty().addListener((o, was, is) -> {
            if (!is && !field.getText().equals(Clock.tenths(ms))) {
                commit.run();
            }
        });
        return field;
    }

    private boolean set(int index, Segment s) {
        lines.set(index, new Line(s, lines.get(index).confidence()));
        problem.setText("");
        fill();
        return true;
    }

    /** Moves where a segment begins, and where the one before it ends; what the film shows there stays the same. */
    private boolean moveBorder(int index, long ms) {
        Segment s = lines.get(index).segment();
        long earliest = index == 0 ? 0 : lines.get(index - 1).segment().from().ms() + 1;
        if (ms < earliest || ms >= s.to().ms()) {
            return false;
        }
        FilmTime border = FilmTime.ofMs(ms);
        long at = s.kind().showsMatch()
                ? s.at().ms() + Math.round(s.speed() * (ms - s.from().ms()))
                : 0;
        if (at < 0) {
            return false;
        }
        if (index > 0) {
            Line before = lines.get(index - 1);
            Segment b = before.segment();
            // a hole in the map stays a hole
            boolean touching = b.to().equals(s.from()) || b.to().compareTo(border) > 0;
            if (touching) {
                lines.set(
                        index - 1,
                        new Line(new Segment(b.from(), border, b.kind(), b.at(), b.speed()), before.confidence()));
            }
        }
        return set(index, new Segment(border, s.to(), s.kind(), MatchTime.ofMs(at), s.speed()));
    }

    /** Divides a segment in the middle; the halves show what they showed, until one is changed. */
    private void split(int index) {
        Segment s = lines.get(index).segment();
        FilmTime middle = FilmTime.ofMs((s.from().ms() + s.to().ms()) / 2);
        if (middle.equals(s.from())) {
            return;
        }
        MatchTime at = s.kind().showsMatch() ? s.matchTime(middle) : s.at();
        lines.add(index + 1, new Line(new Segment(middle, s.to(), s.kind(), at, s.speed()), -1));
        set(index, new Segment(s.from(), middle, s.kind(), s.at(), s.speed()));
    }

    private void take() {
        try {
            accept.accept(ClockMap.of(lines.stream().map(Line::segment).toList()));
        } catch (IllegalArgumentException e) {
            problem.setText(Words.of("map.wrong", e.getMessage()));
        }
    }
}
