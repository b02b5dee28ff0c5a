package farglass.desk.profile;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.plan.ReportEdit;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** A sentence of the report in the analyst's own words; kept with the plan. */
final class RewordSheet extends StackPane {
    private static final int LINES = 3;

    private final Desk desk;
    private final ReportEdit edit;
    private final String computed;
    private final TextArea words = new TextArea();
    private final Runnable close;

    /**
     * @param computed the sentence as it is computed
     * @param close puts the sheet away
     */
    RewordSheet(Desk desk, ReportEdit edit, String computed, Runnable close) {
        this.desk = desk;
        this.edit = edit;
        this.computed = computed;
        this.close = close;
        setId("reword-sheet");
        getStyleClass().add("veil");
        words.setId("reword-words");
        words.setText(edit.wording().isEmpty() ? computed : edit.wording());
        words.setWrapText(true);
        words.setPrefRowCount(LINES);
        HBox deeds = new HBox(
                8,
                Ui.button(Words.of("scouting.as-computed"), () -> keep(""), "choice"),
                Ui.spring(),
                Ui.button(Words.of("judge.keep"), () -> keep(words.getText()), "strong-button"));
        VBox sheet = Ui.sheet(
                Words.of("scouting.reword-title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.label(Words.of("scouting.computed"), "field-name"),
                Ui.prose(computed, "claim-sentence"),
                Ui.label(Words.of("judge.wording"), "field-name"),
                words,
                deeds);
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(620, VBox.USE_PREF_SIZE);
        getChildren().add(sheet);
        Gradual.focus(words);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close.run();
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER && !e.isShiftDown()) {
                keep(words.getText());
                e.consume();
            }
        });
    }

    private void keep(String text) {
        String oneLine = text.replaceAll("\\s+", " ");
        desk.changePlan(p -> p.report(p.report().with(edit.wording(oneLine, computed))));
        close.run();
    }
}
