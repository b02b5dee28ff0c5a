package farglass.desk.profile;

import farglass.desk.chart.GameView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.scout.GameFigure;
import farglass.scout.ReportWriter;
import farglass.stats.Trial;
import farglass.text.Language;
import farglass.work.publish.GamePublication;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The game figure with its ways in words, each of which plays. */
final class GamePage extends VBox {
    private final Desk desk;
    private final GameView view;
    private final ReportWriter writer = new ReportWriter(Language.locale());
    private final Consumer<List<Trial>> play;
    private final FlowPane words = new FlowPane(10, 2);
    private GameFigure figure;

    GamePage(Desk desk, Consumer<List<Trial>> play) {
        super(8);
        this.desk = desk;
        this.play = play;
        this.view = new GameView(desk.tasks(), "game", desk.lexicon(), writer, play);
        view.setMinHeight(300);
        Button keep = Ui.button(Words.of("game.keep"), this::choose, "choice");
        keep.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(8, Ui.prose(Words.of("game.legend"), "legend"), Ui.spring(), keep);
        head.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, Ui.grow(view), words);
    }

    void show(GameFigure f) {
        figure = f;
        view.show(f, desk.colourOf(desk.profiled().get()));
        words.getChildren().clear();
        for (GameFigure.Link l : f.links()) {
            words.getChildren()
                    .add(Ui.button(writer.way(f, l, desk.lexicon()), () -> play.accept(l.trials()), "quiet"));
        }
        if (f.links().isEmpty()) {
            words.getChildren().add(Ui.label(Words.of("game.empty"), "soft"));
        }
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setInitialFileName(desk.profiled().get() + ".game.png");
        for (String ending : List.of("png", "pdf", "svg")) {
            chooser.getExtensionFilters()
                    .add(new FileChooser.ExtensionFilter(ending.toUpperCase(Locale.ROOT), "*." + ending));
        }
        File file = chooser.showSaveDialog(getScene().getWindow());
        if (file != null) {
            write(file.toPath());
        }
    }

    /** Writes the figure as its ending says; the outcome is told in a notice. */
    void write(Path target) {
        String who = desk.profiled().get();
        boolean ours = desk.colourOf(who).equals(Look.ours());
        desk.publisher()
                .export(
                        Words.of("game.writing"),
                        target,
                        GamePublication.of(figure, who, desk.nameOf(who), desk.lexicon(), ours));
    }
}
