package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.scout.GameFigure;
import farglass.scout.GameSvg;
import farglass.scout.ReportWriter;
import farglass.stats.Trial;
import farglass.store.WholeFile;
import farglass.work.publish.Publication;
import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The game figure with its ways in words, each of which plays. */
final class GamePage extends VBox {
    private final Desk desk;
    private final GameView view;
    private final ReportWriter writer = new ReportWriter(Locale.ENGLISH);
    private final Consumer<List<Trial>> play;
    private final FlowPane words = new FlowPane(10, 2);
    private GameFigure figure;

    GamePage(Desk desk, Consumer<List<Trial>> play) {
        super(8);
        this.desk = desk;
        this.play = play;
        this.view = new GameView(desk.lexicon(), writer, play);
        view.setMinHeight(300);
        HBox head = new HBox(
                8,
                Ui.label(Words.of("game.legend"), "legend"),
                Ui.spring(),
                Ui.button(Words.of("game.svg"), this::choose, "choice"));
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
        chooser.setInitialFileName(desk.profiled().get() + ".game.svg");
        File file = chooser.showSaveDialog(getScene().getWindow());
        if (file != null) {
            writeSvg(file.toPath());
        }
    }

    /** Writes the figure; the outcome is told in a notice. */
    void writeSvg(Path target) {
        String svg = GameSvg.of(figure, writer, desk.lexicon(), "#0C6B76");
        desk.publisher()
                .export(
                        Words.of("game.writing"),
                        target,
                        Publication.file(Set.of(desk.profiled().get()), path -> WholeFile.write(path, svg)));
    }
}
