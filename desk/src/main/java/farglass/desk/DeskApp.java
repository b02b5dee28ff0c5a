package farglass.desk;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.desk.shell.Shell;
import farglass.desk.shell.Words;
import farglass.store.LibraryException;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/**
 * The window. Arguments: {@code --demo} for the demo library, {@code --shots DIR} to draw the main views and leave, or a
 * library's path.
 */
public final class DeskApp extends Application {
    private Desk desk;

    @Override
    public void start(Stage stage) {
        Look.load();
        List<String> args = getParameters().getRaw();
        boolean demo = args.contains("--demo");
        boolean shots = args.contains("--shots");
        try {
            desk = new Desk(Opening.await(args), Opening.CLOCK);
            Shell shell = new Shell(desk);
            Scene scene = Look.scene(shell.view(), 1280, 800);
            stage.setTitle(Words.of("app.title"));
            stage.setScene(scene);
            stage.setMinWidth(1000);
            stage.setMinHeight(640);
            stage.show();
            shell.shown();
            if (shots) {
                new Shots(desk, shell, scene, Path.of(args.get(args.indexOf("--shots") + 1))).run();
            } else if (demo) {
                Demo.films(desk);
            }
            System.out.println("window usable after "
                    + (System.currentTimeMillis()
                            - ProcessHandle.current()
                                    .info()
                                    .startInstant()
                                    .map(java.time.Instant::toEpochMilli)
                                    .orElseGet(System::currentTimeMillis))
                    + " ms");
        } catch (LibraryException e) {
            refuse(stage, e.getMessage());
        }
    }

    private static void refuse(Stage stage, String message) {
        Label label = new Label(message);
        label.setWrapText(true);
        label.getStyleClass().add("refusal");
        stage.setTitle(Words.of("app.title"));
        stage.setScene(Look.scene(new StackPane(label), 720, 320));
        stage.show();
    }

    @Override
    public void stop() {
        if (desk != null) {
            desk.close();
        }
        Platform.exit();
    }
}
