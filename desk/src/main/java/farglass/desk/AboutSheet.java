package farglass.desk;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Which version this is, where its things lie, and what it is made of under which licences. */
final class AboutSheet extends StackPane {
    private static final double WIDE = 760;
    private static final double HIGH = 600;
    private static final double NAME = 400;

    /** One thing that ships with the application. */
    record Part(String name, String licence) {}

    /** @param close puts the sheet away */
    AboutSheet(Path library, Runnable close) {
        setId("about-sheet");
        Label version = Ui.label(version(), "question");
        version.setId("about-version");
        VBox sheet = Ui.sheet(
                Words.of("about.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                version,
                Ui.prose(Words.of("about.private", library, LogFile.folder(Home.folder())), "body"),
                Ui.prose(Words.of("about.caution"), "body"),
                Ui.label(Words.of("about.licences"), "heading"),
                Ui.grow(parts()));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(WIDE, HIGH);
        getChildren().add(sheet);
    }

    /** The version and, of an installed one, its build; what runs out of its sources says so. */
    static String version() {
        String version = System.getProperty("farglass.version", "");
        return version.isEmpty()
                ? Words.of("about.from-source")
                : Words.of("about.version", version, System.getProperty("farglass.build", "?"));
    }

    private static ScrollPane parts() {
        GridPane table = new GridPane();
        table.setHgap(16);
        table.setVgap(4);
        List<Part> all = licences();
        for (int i = 0; i < all.size(); i++) {
            Label name = Ui.prose(all.get(i).name(), "body");
            name.setPrefWidth(NAME);
            table.add(name, 0, i);
            table.add(Ui.prose(all.get(i).licence(), "soft"), 1, i);
        }
        ScrollPane scroll = new ScrollPane(table);
        scroll.setId("about-parts");
        scroll.setFitToWidth(true);
        return scroll;
    }

    /** Out of the file that stands beside the licence texts: the rows of its table with two columns. */
    static List<Part> licences() {
        List<Part> parts = new ArrayList<>();
        try (InputStream in = AboutSheet.class.getResourceAsStream("licences/README.md")) {
            if (in == null) {
                return parts;
            }
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                String[] cells = line.startsWith("|") ? line.split("\\|", -1) : new String[0];
                // what only tests use has no licence beside it: it does not ship
                boolean row = cells.length == 4 && !cells[2].isBlank() && !cells[1].startsWith("---");
                if (row && !cells[1].strip().equals("library")) {
                    parts.add(new Part(cells[1].strip(), cells[2].strip()));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return parts;
    }
}
