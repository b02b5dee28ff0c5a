package farglass.desk.film;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.film.map.Proposal;
import farglass.time.Clock;
import farglass.time.ClockMap;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** A proposed clock map, line by line with its confidence; what a segment shows can be corrected before it is taken. */
final class MapSheet extends StackPane {
    private static final double DOUBTFUL = 0.6;
    private final List<Segment> segments = new ArrayList<>();
    private final Consumer<ClockMap> accept;
    private final Label problem = Ui.prose("", "form-problem");

    /**
     * @param accept gets the map as corrected
     * @param close puts the sheet away, nothing changed
     */
    MapSheet(Proposal found, Consumer<ClockMap> accept, Runnable close) {
        this.accept = accept;
        setId("map-sheet");
        VBox lines = new VBox(4);
        for (Proposal.Part part : found.segments()) {
            segments.add(part.segment());
            lines.getChildren().add(line(segments.size() - 1, part.confidence()));
        }
        ScrollPane scroll = new ScrollPane(lines);
        scroll.setFitToWidth(true);
        problem.setId("map-problem");
        HBox buttons = new HBox(
                10,
                Ui.grow(problem),
                Ui.button(Words.of("map.drop"), close, "choice"),
                Ui.button(Words.of("map.accept"), this::take, "strong-button"));
        buttons.getChildren().get(2).setId("map-accept");
        buttons.setAlignment(Pos.CENTER_RIGHT);
        long replays =
                segments.stream().filter(s -> s.kind() == Segment.Kind.REPLAY).count();
        Label summary = Ui.prose(
                Words.of(
                        "map.summary",
                        found.readings().size(),
                        Words.of(found.down() ? "map.down" : "map.up"),
                        replays,
                        found.shots().size()),
                "body");
        VBox sheet = Ui.sheet(Words.of("map.title"), null, summary, Ui.grow(scroll), buttons);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(640, 380);
        getChildren().add(sheet);
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

    private HBox line(int index, double confidence) {
        Segment s = segments.get(index);
        ComboBox<Segment.Kind> kind = new ComboBox<>(FXCollections.observableArrayList(Segment.Kind.values()));
        kind.setConverter(new StringConverter<>() {
            @Override
            public String toString(Segment.Kind k) {
                return k == null ? "" : Words.of("film.kind." + k.name().toLowerCase(Locale.ROOT));
            }

            @Override
            public Segment.Kind fromString(String text) {
                throw new UnsupportedOperationException("chosen from a list, never typed");
            }
        });
        kind.setValue(s.kind());
        kind.setPrefWidth(120);
        kind.valueProperty().addListener((o, was, is) -> {
            Segment now = segments.get(index);
            segments.set(index, new Segment(now.from(), now.to(), is, now.at(), now.speed()));
        });
        String shows = !s.kind().showsMatch()
                ? ""
                : s.speed() == 1
                        ? Words.of("map.shows", Clock.tenths(s.at().ms()))
                        : Words.of("map.shows.slow", Clock.tenths(s.at().ms()), Math.round(s.speed() * 100));
        Label film =
                Ui.label(Words.of("map.film", Clock.tenths(s.from().ms()), Clock.tenths(s.to().ms())), "record-what");
        film.setMinWidth(150);
        Label sure = Ui.label(Words.of("map.sure", Math.round(confidence * 100)), "record-about");
        if (confidence < DOUBTFUL) {
            sure.getStyleClass().add("doubtful");
        }
        HBox line = new HBox(12, film, kind, Ui.label(shows, "record-what"), Ui.spring(), sure);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private void take() {
        try {
            accept.accept(ClockMap.of(segments));
        } catch (IllegalArgumentException e) {
            problem.setText(Words.of("map.wrong", e.getMessage()));
        }
    }
}
