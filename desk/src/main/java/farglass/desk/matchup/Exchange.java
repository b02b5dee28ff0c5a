package farglass.desk.matchup;

import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.ForwardPass;
import farglass.text.Language;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;

/**
 * One place in which the two meet.
 *
 * @param minutes of an average match there
 * @param ours the way out of ours that decides most there, or null
 * @param theirs theirs, or null
 * @param worth win chance there less that of standing, level at half time
 */
record Exchange(
        ModelState place,
        double minutes,
        Exit ours,
        Exit theirs,
        Model.Prospect our,
        Model.Prospect their,
        double worth) {
    private static final int ROWS = 24;
    private static final double PLACE_WIDTH = 164;
    private static final double SIDE_WIDTH = 176;
    private static final double WIDEST = 44;
    /** Points a minute at which a bar is full. */
    private static final double FULL = 2;

    static List<Exchange> of(Proposal p) {
        ForwardPass flow = p.solved().naturalFlow();
        Model m = p.solved().natural().programme().model();
        long half = m.horizonMs() / 2;
        double standing = p.solved().natural().win(ModelState.START, half, 0, 0);
        List<ForwardPass.Leverage> all = flow.leverage();
        return flow.states().stream()
                .filter(x -> flow.minutes(x) > 0.01)
                .sorted(Comparator.comparingDouble(flow::minutes).reversed())
                .limit(ROWS)
                .map(x -> new Exchange(
                        x,
                        flow.minutes(x),
                        strongest(all, x, true),
                        strongest(all, x, false),
                        m.prospect(x, true),
                        m.prospect(x, false),
                        p.solved().natural().win(x, half, 0, 0) - standing))
                .toList();
    }

    private static Exit strongest(List<ForwardPass.Leverage> all, ModelState p, boolean ours) {
        return all.stream()
                .map(ForwardPass.Leverage::exit)
                .filter(e -> e.ours() == ours && e.from().equals(p))
                .findFirst()
                .orElse(null);
    }

    static Node head(MeetingWriter w) {
        return line(
                cell(Words.of("matchup.head.place"), PLACE_WIDTH, "field-name"),
                cell(Words.of("matchup.head.minutes"), 54, "field-name"),
                cell(
                        Words.of("matchup.head.ours", w.name(true).toUpperCase(Language.locale())),
                        SIDE_WIDTH,
                        "field-name"),
                cell(
                        Words.of("matchup.head.ours", w.name(false).toUpperCase(Language.locale())),
                        SIDE_WIDTH,
                        "field-name"),
                cell(Words.of("matchup.head.worth"), 54, "field-name"));
    }

    Node row(MeetingWriter w, Runnable chosen) {
        HBox line = line(
                cell(w.place(place), PLACE_WIDTH, "pinned-sentence"),
                cell(
                        Words.of("matchup.minutes", String.format(Language.locale(), "%.1f", minutes)),
                        54,
                        "claim-interval"),
                side(w, ours, our, Look.ours()),
                side(w, theirs, their, Look.theirs()),
                cell(w.gain(worth), 54, worth < 0 ? "weak" : "body"));
        return clickable(line, place.standing() >= 0, chosen);
    }

    private static Node side(MeetingWriter w, Exit e, Model.Prospect p, Color colour) {
        Region bar = new Region();
        double width = Math.min(1, Math.max(0, p.points()) / FULL) * WIDEST;
        bar.setMinSize(Math.max(1, width), 7);
        bar.setMaxSize(Math.max(1, width), 7);
        bar.setStyle("-fx-background-color: " + hex(colour) + ";");
        Label numbers = Ui.label(
                Words.of(
                        "matchup.prospect",
                        String.format(Language.locale(), "%.2f", p.points()),
                        String.format(Language.locale(), "%.2f", p.finishes())),
                "claim-interval");
        HBox second = new HBox(6, bar, numbers);
        second.setAlignment(Pos.CENTER_LEFT);
        Label name = Ui.label(
                e == null
                        ? Words.of("matchup.nothing")
                        : Words.of(
                                "matchup.best",
                                w.technique(e.technique()),
                                String.format(Language.locale(), "%.1f", e.rate()),
                                w.percent(e.chance())),
                "body");
        VBox box = new VBox(1, name, second);
        box.setMinWidth(SIDE_WIDTH);
        box.setMaxWidth(SIDE_WIDTH);
        return box;
    }

    private static String hex(Color c) {
        return String.format(
                "#%02x%02x%02x",
                Math.round(255 * c.getRed()), Math.round(255 * c.getGreen()), Math.round(255 * c.getBlue()));
    }

    private static Label cell(String text, double width, String style) {
        Label l = Ui.prose(text, style);
        l.setMinWidth(width);
        l.setMaxWidth(width);
        return l;
    }

    private static HBox line(Node... cells) {
        HBox line = new HBox(10, cells);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private static Stream<String> words(Node content) {
        if (content instanceof Label l) {
            return Stream.of(l.getText());
        }
        return content instanceof Parent p
                ? p.getChildrenUnmodifiable().stream().flatMap(Exchange::words)
                : Stream.empty();
    }

    /** A row that can be reached and chosen by mouse and keyboard; its left edge says whose it is. */
    static Node clickable(Node content, boolean ours, Runnable chosen) {
        javafx.scene.control.Button b = new javafx.scene.control.Button();
        b.setGraphic(content);
        // read aloud: the words of the row, one after another
        b.setAccessibleText(words(content).collect(Collectors.joining(", ")));
        b.setMaxWidth(Double.MAX_VALUE);
        b.setAlignment(Pos.CENTER_LEFT);
        b.getStyleClass().add("row-button");
        b.getStyleClass().add(ours ? "of-ours" : "of-theirs");
        b.setOnAction(e -> chosen.run());
        return b;
    }
}
