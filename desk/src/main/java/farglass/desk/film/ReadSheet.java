package farglass.desk.film;

import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.film.GrayPicture;
import farglass.film.map.RegionCrops;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.work.score.ReadScore;
import java.util.List;
import java.util.Locale;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Crops of what was read off the picture, each with what it was taken for, to be corrected. */
final class ReadSheet extends VBox {
    private static final double HEIGHT = 22;

    private final Label changes = Ui.label("", "record-about");
    private ReadScore score;

    /** @param other reads the film again with the other clock */
    ReadSheet(MatchRecord r, ReadScore score, RegionCrops crops, Runnable other) {
        super(6);
        this.score = score;
        setId("read-sheet");
        FlowPane row = new FlowPane(18, 6);
        if (crops.clock() != null) {
            row.getChildren().add(line(picture(crops.clock()), Ui.label(Words.of("read.clock"), "field-name")));
        }
        if (crops.rival() != null) {
            Button take = Ui.button(Words.of("read.rival"), other, "choice");
            take.setId("read-rival");
            row.getChildren().add(line(picture(crops.rival()), take));
        }
        if (!crops.names().isEmpty()) {
            row.getChildren().add(names(r, crops));
        }
        for (int c = 0; c < crops.columns().size(); c++) {
            row.getChildren().add(column(c, crops.columns().get(c)));
        }
        getChildren().addAll(row, changes);
        told();
    }

    /** What was read, as corrected. */
    ReadScore score() {
        return score;
    }

    private Node names(MatchRecord r, RegionCrops crops) {
        ScoreGraphic.Name first = score.track().graphic().names().get(0);
        ComboBox<Corner> who = new ComboBox<>(FXCollections.observableArrayList(Corner.A, Corner.B));
        who.setId("read-first");
        who.setConverter(Ui.shown(c -> r.athlete(c).name()));
        who.setValue(score.first());
        who.valueProperty().addListener((o, was, is) -> score = score.with(is));
        return line(
                picture(crops.names().get(0)),
                picture(crops.names().get(1)),
                Ui.label(Words.of("read.first.name", first.text()), "field-name"),
                who);
    }

    private Node column(int index, List<GrayPicture> both) {
        ComboBox<String> kind = new ComboBox<>();
        for (ScoreKind k : ScoreKind.values()) {
            kind.getItems().add(k.name());
        }
        kind.getItems().add("NONE");
        kind.setId("read-column-" + index);
        kind.setConverter(Ui.shown(k -> Words.of("read.kind." + k.toLowerCase(Locale.ROOT))));
        ScoreKind known = score.track().kinds().get(index);
        kind.setValue(known == null ? "NONE" : known.name());
        kind.valueProperty().addListener((o, was, is) -> {
            score = score.with(score.track().with(index, is.equals("NONE") ? null : ScoreKind.valueOf(is)));
            told();
        });
        return line(picture(both.get(0)), picture(both.get(1)), Ui.label(Words.of("read.column"), "field-name"), kind);
    }

    private void told() {
        changes.setText(Words.of("read.changes", score.track().scored().size()));
    }

    private static HBox line(Node... nodes) {
        HBox line = new HBox(6, nodes);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private static ImageView picture(GrayPicture p) {
        WritableImage image = new WritableImage(p.width(), p.height());
        int[] pixels = new int[p.width() * p.height()];
        for (int i = 0; i < pixels.length; i++) {
            int v = p.pixels()[i] & 0xff;
            pixels[i] = 0xff000000 | v << 16 | v << 8 | v;
        }
        image.getPixelWriter()
                .setPixels(0, 0, p.width(), p.height(), PixelFormat.getIntArgbInstance(), pixels, 0, p.width());
        ImageView view = new ImageView(image);
        view.setPreserveRatio(true);
        view.setFitHeight(HEIGHT);
        return view;
    }
}
