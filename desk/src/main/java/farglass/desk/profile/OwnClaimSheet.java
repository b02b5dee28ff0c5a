package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.phrase.TagQuery;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A claim in own words with the tags it rests on, asked for in the words of the phrase line; tags can be left out. */
final class OwnClaimSheet extends StackPane {
    private static final int MOST = 400;

    private final Desk desk;
    private final List<MatchRecord> matches;
    private final TextField sentence = new TextField();
    private final TextField query = new TextField();
    private final Label found = Ui.label("", "soft");
    private final ListView<Found> list = new ListView<>();
    private final Runnable close;

    private record Found(TagRef ref, String words) {
        @Override
        public String toString() {
            return words;
        }
    }

    /**
     * @param matches those of the open profile
     * @param close puts the sheet away
     */
    OwnClaimSheet(Desk desk, List<MatchRecord> matches, Runnable close) {
        this.desk = desk;
        this.matches = matches;
        this.close = close;
        setId("own-sheet");
        getStyleClass().add("veil");
        sentence.setId("own-sentence");
        sentence.setPromptText(Words.of("own.sentence.prompt"));
        query.setId("own-query");
        query.setPromptText(Words.of("own.query.prompt"));
        list.setId("own-list");
        list.setPlaceholder(Ui.empty(Words.of("own.none")));
        list.setPrefHeight(280);
        query.textProperty().addListener((o, was, is) -> look());
        Button keep = Ui.button(Words.of("own.keep"), this::keep, "strong-button");
        keep.setId("own-keep");
        VBox sheet = Ui.sheet(
                Words.of("own.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.label(Words.of("own.sentence"), "field-name"),
                sentence,
                Ui.label(Words.of("own.query"), "field-name"),
                query,
                list,
                new HBox(8, found, Ui.spring(), Ui.label(Words.of("own.keys"), "soft"), keep));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(760, VBox.USE_PREF_SIZE);
        getChildren().add(sheet);
        Gradual.focus(sentence);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            } else if (e.getCode() == KeyCode.DELETE && list.isFocused()) {
                list.getItems().remove(list.getSelectionModel().getSelectedItem());
                count("");
                e.consume();
            }
        });
    }

    private void look() {
        TagQuery.Reading reading =
                TagQuery.read(query.getText(), desk.lexicon(), desk.athletes().values());
        List<Found> all = new ArrayList<>();
        if (!query.getText().isBlank()) {
            for (MatchRecord r : matches) {
                for (int i : reading.query().in(r, desk.lexicon())) {
                    if (all.size() < MOST) {
                        all.add(new Found(new TagRef(r.id(), r.tagName(i)), desk.describe(r, i)));
                    }
                }
            }
        }
        list.getItems().setAll(all);
        count(reading.problem());
    }

    private void count(String problem) {
        String n = Words.of("own.found", list.getItems().size());
        found.setText(problem.isEmpty() ? n : n + ", " + Words.of("ask.unknown", problem));
    }

    private void keep() {
        if (sentence.getText().isBlank() || list.getItems().isEmpty()) {
            found.setText(Words.of("own.needs"));
            return;
        }
        List<TagRef> refs = list.getItems().stream().map(Found::ref).toList();
        desk.changePlan(p -> p.claim(desk.profiled().get(), sentence.getText(), refs));
        close.run();
    }
}
