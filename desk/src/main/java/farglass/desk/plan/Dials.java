package farglass.desk.plan;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.plan.Approach;
import farglass.plan.Plan;
import farglass.text.Language;
import java.util.function.BiFunction;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The dial between own game and this opponent, and how much harder an action can be pressed. */
final class Dials extends VBox {
    private final Desk desk;
    private final Slider emphasis = new Slider(0, 1, 0.5);
    private final Slider pressing = new Slider(1, 2, 1.25);
    private final Label factor = Ui.label("", "claim-interval");
    private boolean filling;

    Dials(Desk desk) {
        super(6);
        this.desk = desk;
        emphasis.setId("dial-emphasis");
        pressing.setId("dial-pressing");
        HBox.setHgrow(emphasis, Priority.ALWAYS);
        HBox.setHgrow(pressing, Priority.ALWAYS);
        emphasis.setBlockIncrement(0.1);
        pressing.setBlockIncrement(0.05);
        emphasis.setAccessibleText(Words.of("plan.emphasis"));
        pressing.setAccessibleText(Words.of("plan.pressing"));
        let(emphasis, Approach::emphasis);
        let(pressing, Approach::pressing);
        pressing.valueProperty().addListener((o, was, is) -> factor());
        getChildren()
                .addAll(
                        row(
                                Ui.label(Words.of("plan.dial.own"), "soft"),
                                emphasis,
                                Ui.label(Words.of("plan.dial.opponent"), "soft")),
                        row(Ui.label(Words.of("plan.pressing"), "soft"), pressing, factor));
    }

    private static HBox row(Node... parts) {
        HBox row = new HBox(8, parts);
        // words stay whole: the dial gives way
        for (Node part : parts) {
            ((Region) part).setMinWidth(part instanceof Slider ? 40 : Region.USE_PREF_SIZE);
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** A dial changes the plan when it is let go, or by keys at once. */
    private void let(Slider s, BiFunction<Approach, Double, Approach> change) {
        Runnable keep = () -> {
            if (!filling && desk.plan().get() != null) {
                double value = Math.round(100 * s.getValue()) / 100.0;
                desk.changePlan(p -> p.approach(change.apply(p.approach(), value)));
            }
        };
        s.valueChangingProperty().addListener((o, was, is) -> {
            if (!is) {
                keep.run();
            }
        });
        s.valueProperty().addListener((o, was, is) -> {
            if (!s.isValueChanging()) {
                keep.run();
            }
        });
    }

    private void factor() {
        factor.setText(Words.of("plan.pressing.value", String.format(Language.locale(), "%.2f", pressing.getValue())));
    }

    void show(Plan p) {
        filling = true;
        emphasis.setValue(p.approach().emphasis());
        pressing.setValue(p.approach().pressing());
        factor();
        filling = false;
    }
}
