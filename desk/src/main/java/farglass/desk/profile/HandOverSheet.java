package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.print.Dossier;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.work.publish.ProfilePublication;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Which claims go into the dossier, and the formats there are. Space takes a claim in or out. */
final class HandOverSheet extends StackPane {
    private final Desk desk;
    private final HandOver handOver;
    private final Profile profile;
    private final ListView<Claim> list = new ListView<>();
    private final Set<String> chosen = new LinkedHashSet<>();
    private final CheckBox stills = new CheckBox(Words.of("hand-over.stills"));
    private final Label count = Ui.label("", "soft");
    private final Runnable close;

    /**
     * @param profile what is handed over
     * @param own the analyst's own claims about the athlete
     * @param close puts the sheet away
     */
    HandOverSheet(Desk desk, HandOver handOver, Profile profile, List<Claim> own, Runnable close) {
        this.desk = desk;
        this.handOver = handOver;
        this.profile = profile;
        this.close = close;
        setId("hand-over-sheet");
        getStyleClass().add("veil");
        List<Claim> all = new ArrayList<>(own);
        all.addAll(profile.claims());
        list.getItems().setAll(all);
        list.setId("hand-over-list");
        list.getStyleClass().add("record");
        list.setPlaceholder(Ui.empty(Words.of("profile.empty")));
        list.setCellFactory(v -> new Cell());
        choose(all);
        stills.setSelected(true);
        Button dossier =
                Ui.button(Words.of("hand-over.dossier"), () -> ask("dossier.pdf", this::dossier), "strong-button");
        dossier.setId("hand-over-dossier");
        HBox deeds = new HBox(
                8,
                stills,
                count,
                Ui.spring(),
                Ui.button(Words.of("hand-over.csv"), () -> ask("claims.csv", handOver::csv), "choice"),
                Ui.button(Words.of("hand-over.json"), () -> ask("profile.json", handOver::json), "choice"),
                dossier);
        deeds.setAlignment(Pos.CENTER_LEFT);
        VBox sheet = Ui.sheet(
                Words.of("hand-over.title", profile.name()),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.label(Words.of("hand-over.hint", Dossier.USUAL_CLAIMS), "soft"),
                Ui.grow(list),
                deeds);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(860, 560);
        getChildren().add(sheet);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            } else if (e.getCode() == KeyCode.SPACE && list.isFocused()) {
                turn(list.getSelectionModel().getSelectedItem());
                e.consume();
            }
        });
        Gradual.focus(list);
    }

    private void choose(List<Claim> all) {
        ProfilePublication.usual(profile.athlete(), all, desk.plan().get()).forEach(c -> chosen.add(c.id()));
        count.setText(Words.of("hand-over.chosen", chosen.size()));
    }

    private void turn(Claim c) {
        if (c != null) {
            if (!chosen.remove(c.id())) {
                chosen.add(c.id());
            }
            count.setText(Words.of("hand-over.chosen", chosen.size()));
            list.refresh();
        }
    }

    private void ask(String ending, BiConsumer<Profile, Path> write) {
        handOver.target(profile.athlete() + "." + ending, getScene().getWindow())
                .ifPresent(path -> {
                    write.accept(profile, path);
                    close.run();
                });
    }

    private void dossier(Profile p, Path target) {
        List<Claim> print =
                list.getItems().stream().filter(c -> chosen.contains(c.id())).toList();
        handOver.dossier(p, print, stills.isSelected(), target);
    }

    private final class Cell extends ListCell<Claim> {
        @Override
        protected void updateItem(Claim c, boolean empty) {
            super.updateItem(c, empty);
            if (empty || c == null) {
                setGraphic(null);
                return;
            }
            CheckBox box = new CheckBox(desk.claimWriter().sentence(c));
            box.setSelected(chosen.contains(c.id()));
            box.setOnAction(e -> turn(c));
            box.setFocusTraversable(false);
            Label grade = Ui.label(
                    desk.claimWriter().number(c) + ", "
                            + desk.claimWriter().grade(c.estimate().grade()),
                    "soft");
            grade.setMinWidth(120);
            HBox row = new HBox(8, Ui.grow(box), Ui.spring(), grade);
            row.setAlignment(Pos.CENTER_LEFT);
            row.prefWidthProperty().bind(list.widthProperty().subtract(36));
            setGraphic(row);
        }
    }
}
