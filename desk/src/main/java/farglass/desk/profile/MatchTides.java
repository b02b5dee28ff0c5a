package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.desk.tide.TideLine;
import farglass.match.MatchRecord;
import farglass.match.Result;
import farglass.tendency.Evidence;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A small tide line for every match of a profile, oldest first; each opens its match. */
final class MatchTides extends ScrollPane {
    private static final double WIDTH = 124;
    private static final double HEIGHT = 34;

    private final Desk desk;
    private final Consumer<String> open;
    private final FlowPane tides = new FlowPane(12, 8);
    private List<MatchRecord> shown = List.of();

    MatchTides(Desk desk, Consumer<String> open) {
        this.desk = desk;
        this.open = open;
        setContent(tides);
        setFitToWidth(true);
    }

    /** Draws nothing anew when the matches are the same. */
    void show(Evidence evidence) {
        List<MatchRecord> records =
                evidence.matches().stream().map(Evidence.Seen::record).collect(Collectors.toList());
        if (!records.equals(shown)) {
            shown = records;
            tides.getChildren()
                    .setAll(evidence.matches().stream().map(this::tide).toList());
        }
    }

    private Node tide(Evidence.Seen seen) {
        MatchRecord r = seen.record();
        boolean ours = desk.colourOf(desk.profiled().get()).equals(Look.OURS);
        TideLine line = TideLine.small(
                desk.lexicon(), r, ours ? seen.corner() : seen.corner().other());
        line.setMinSize(WIDTH, HEIGHT);
        line.setPrefSize(WIDTH, HEIGHT);
        String year =
                r.details().date() == null ? "" : r.details().date().toString().substring(0, 7);
        VBox box = new VBox(1, line, Ui.label(year + ", " + result(seen), "legend"));
        box.setOnMouseClicked(e -> open.accept(r.id()));
        box.getStyleClass().add("clickable");
        return box;
    }

    private static String result(Evidence.Seen seen) {
        Result result = seen.record().details().result();
        if (result == null) {
            return Words.of("result.open");
        }
        if (result.winner() == null) {
            return Words.of("result.draw");
        }
        return Words.of(
                result.winner() == seen.corner() ? "result.won" : "result.lost",
                result.method().code());
    }
}
