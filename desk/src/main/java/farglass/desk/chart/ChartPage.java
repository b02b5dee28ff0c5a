package farglass.desk.chart;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.stats.Trial;
import farglass.tendency.Flows;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** The chart, whom to lay over it, and its strongest flows in words. */
public final class ChartPage extends VBox {
    private static final int WORDS = 6;

    private final Desk desk;
    private final ChartView chart;
    private final ComboBox<String> other = new ComboBox<>();
    private final FlowPane words = new FlowPane(8, 2);
    private Consumer<List<Trial>> play = t -> {};

    /** @param laidOver called when another athlete is to be laid over, or none */
    public ChartPage(Desk desk, Runnable laidOver) {
        super(8);
        this.desk = desk;
        this.chart = new ChartView(desk.lexicon(), desk::chartPlan);
        other.setId("chart-other");
        other.setConverter(new StringConverter<>() {
            @Override
            public String toString(String id) {
                return id == null || id.isEmpty() ? Words.of("chart.alone") : desk.nameOf(id);
            }

            @Override
            public String fromString(String s) {
                throw new UnsupportedOperationException("chosen from a list, never typed");
            }
        });
        other.valueProperty().addListener((o, was, is) -> laidOver.run());
        HBox head = new HBox(
                8,
                Ui.label(Words.of("chart.over"), "field-name"),
                other,
                Ui.spring(),
                Ui.label(Words.of("chart.legend"), "legend"));
        head.setAlignment(Pos.CENTER_LEFT);
        chart.setMinHeight(300);
        getChildren().addAll(head, Ui.grow(chart), words);
    }

    public void onPlay(Consumer<List<Trial>> action) {
        play = action;
        chart.onPlay(action);
    }

    /** Whom to lay over, or null. */
    public String over() {
        return other.getValue() == null || other.getValue().isEmpty() ? null : other.getValue();
    }

    /** @param over flows of the other athlete, or null */
    public void show(Flows flows, Flows over) {
        List<String> ids = new ArrayList<>(List.of(""));
        desk.athletes().keySet().stream()
                .filter(id -> !id.equals(desk.profiled().get()))
                .forEach(ids::add);
        String was = other.getValue();
        if (!other.getItems().equals(ids)) {
            other.getItems().setAll(ids);
            other.setValue(was != null && ids.contains(was) ? was : "");
        }
        var mine = desk.colourOf(desk.profiled().get());
        var theirs = mine.equals(farglass.desk.shell.Look.ours())
                ? farglass.desk.shell.Look.theirs()
                : farglass.desk.shell.Look.ours();
        chart.show(flows, mine, over, theirs);
        words.getChildren().clear();
        for (Flows.Flow f : flows.flows().stream().limit(WORDS).toList()) {
            Button b = Ui.button(chart.describe(f), () -> play.accept(f.trials()), "quiet");
            words.getChildren().add(b);
        }
        if (flows.flows().isEmpty()) {
            words.getChildren().add(Ui.label(Words.of("chart.empty"), "soft"));
        }
    }
}
