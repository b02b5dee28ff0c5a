package farglass.desk.matchup;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Sets a figure by hand, with its reason; a wrong number is said and nothing is changed. */
final class CorrectionRow extends VBox {
    /** Tries a minute that the slider reaches; more can be typed. */
    private static final double MOST = 6;

    private final Desk desk;
    private final Label what = Ui.prose("", "body");
    private final TextField rate = new TextField();
    private final TextField chance = new TextField();
    private final TextField reason = new TextField();
    private final Slider rateSlider = new Slider(0, MOST, 0);
    private final Slider chanceSlider = new Slider(0, 100, 0);
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
        rateSlider.setId("slide-rate");
        chanceSlider.setId("slide-chance");
        join(rateSlider, rate, "%.2f");
        join(chanceSlider, chance, "%.0f");
        HBox last = new HBox(
                6,
                Ui.grow(reason),
                Ui.button(Words.of("correct.keep"), this::keep, "choice"),
                Ui.button(Words.of("correct.drop"), this::drop, "quiet"));
        getChildren()
                .addAll(
                        what,
                        line("correct.rate", rateSlider, rate),
                        line("correct.chance", chanceSlider, chance),
                        last);
        close();
    }

    private static HBox line(String key, Slider slider, TextField field) {
        Label name = Ui.label(Words.of(key), "field-name");
        name.setMinWidth(86);
        slider.setAccessibleText(Words.of(key));
        HBox line = new HBox(8, name, Ui.grow(slider), field);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    /** A slider and a field that show the same; what is typed and is no number leaves the slider where it is. */
    private static void join(Slider slider, TextField field, String format) {
        slider.valueProperty().addListener((o, was, is) -> {
            if (!field.isFocused()) {
                field.setText(String.format(Locale.ROOT, format, is.doubleValue()));
            }
        });
        field.textProperty().addListener((o, was, is) -> {
            if (field.isFocused()) {
                try {
                    slider.setValue(Ui.number(is));
                } catch (NumberFormatException e) {
                    // half typed; setting it says what is wrong
                }
            }
        });
    }

    void close() {
        setVisible(false);
        setManaged(false);
        exit = null;
    }

    void open(Exit e, MeetingWriter w) {
        exit = e;
        what.setText(w.exit(e));
        rateSlider.setValue(e.rate());
        chanceSlider.setValue(100 * e.chance());
        // what lies past the slider's end is shown as it is
        rate.setText(String.format(Locale.ROOT, "%.2f", e.rate()));
        chance.setText(String.format(Locale.ROOT, "%.0f", 100 * e.chance()));
        reason.setText(desk.plan().get().approach().wishes().corrections().stream()
                .filter(c -> c.exit().equals(e.key()))
                .map(Correction::reason)
                .findFirst()
                .orElse(""));
        setVisible(true);
        setManaged(true);
        rateSlider.requestFocus();
    }

    private void keep() {
        if (exit == null) {
            return;
        }
        try {
            Correction c = new Correction(
                    exit.key(),
                    Ui.number(rate.getText()),
                    Ui.number(chance.getText()) / 100,
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
