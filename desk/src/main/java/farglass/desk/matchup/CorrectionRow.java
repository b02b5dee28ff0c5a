package farglass.desk.matchup;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.Correction;
import farglass.matchup.Exit;
import farglass.matchup.MeetingWriter;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Sets a figure by hand, with its reason; a wrong number is said and nothing is changed. */
final class CorrectionRow extends VBox {
    private final Desk desk;
    private final Label what = Ui.prose("", "body");
    private final TextField rate = new TextField();
    private final TextField chance = new TextField();
    private final TextField reason = new TextField();
    private Exit exit;

    CorrectionRow(Desk desk) {
        super(4);
        this.desk = desk;
        rate.setId("correct-rate");
        chance.setId("correct-chance");
        reason.setId("correct-reason");
        rate.setPrefColumnCount(5);
        chance.setPrefColumnCount(5);
        reason.setPromptText(Words.of("correct.reason"));
        reason.setOnAction(e -> keep());
        HBox numbers = new HBox(
                8,
                Ui.label(Words.of("correct.rate"), "field-name"),
                rate,
                Ui.label(Words.of("correct.chance"), "field-name"),
                chance);
        numbers.setAlignment(Pos.CENTER_LEFT);
        HBox last = new HBox(
                6,
                Ui.grow(reason),
                Ui.button(Words.of("correct.keep"), this::keep, "choice"),
                Ui.button(Words.of("correct.drop"), this::drop, "quiet"));
        getChildren().addAll(what, numbers, last);
        close();
    }

    void close() {
        setVisible(false);
        setManaged(false);
        exit = null;
    }

    void open(Exit e, MeetingWriter w) {
        exit = e;
        what.setText(w.exit(e));
        rate.setText(String.format(Locale.ROOT, "%.2f", e.rate()));
        chance.setText(String.format(Locale.ROOT, "%.0f", 100 * e.chance()));
        reason.setText(desk.plan().get().approach().wishes().corrections().stream()
                .filter(c -> c.exit().equals(e.key()))
                .map(Correction::reason)
                .findFirst()
                .orElse(""));
        setVisible(true);
        setManaged(true);
        rate.requestFocus();
    }

    private void keep() {
        if (exit == null) {
            return;
        }
        try {
            Correction c = new Correction(
                    exit.key(),
                    Double.parseDouble(rate.getText().strip()),
                    Double.parseDouble(chance.getText().strip()) / 100,
                    reason.getText().strip());
            desk.changePlan(p -> p.approach(p.approach().correct(c)));
            close();
        } catch (NumberFormatException e) {
            desk.notices().problem(Words.of("correct.number"));
        } catch (IllegalArgumentException e) {
            desk.notices().problem(Words.of(reason.getText().isBlank() ? "correct.why" : "correct.range"));
        }
    }

    private void drop() {
        if (exit != null) {
            Exit.Key key = exit.key();
            desk.changePlan(p -> p.approach(p.approach().uncorrect(key)));
            close();
        }
    }
}
