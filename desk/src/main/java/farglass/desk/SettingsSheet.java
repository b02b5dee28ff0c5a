package farglass.desk;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Theme;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import java.util.Locale;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What shapes the window; kept with the library. */
final class SettingsSheet extends StackPane {
    private static final double WIDE = 560;

    private final Desk desk;

    /** @param close puts the sheet away */
    SettingsSheet(Desk desk, Runnable close) {
        this.desk = desk;
        setId("settings-sheet");
        VBox sheet = Ui.sheet(
                Words.of("settings.title"),
                Ui.button(Words.of("notice.close"), close, "quiet"),
                Ui.label(Words.of("settings.theme"), "field-name"),
                themes(),
                Ui.prose(Words.of("settings.anew"), "soft"));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(WIDE, Region.USE_PREF_SIZE);
        getChildren().add(sheet);
    }

    private HBox themes() {
        HBox row = new HBox(8);
        ToggleGroup one = new ToggleGroup();
        for (Theme t : Theme.values()) {
            String name = t.name().toLowerCase(Locale.ROOT);
            ToggleButton chip = new ToggleButton(Words.of("theme." + name));
            chip.setId("theme-" + name);
            chip.getStyleClass().add("chip");
            chip.setToggleGroup(one);
            chip.setSelected(t == Theme.current());
            chip.setOnAction(e -> {
                chip.setSelected(true);
                if (t != Theme.current()) {
                    choose(Theme.PREFERENCE, name);
                }
            });
            row.getChildren().add(chip);
        }
        return row;
    }

    private void choose(String setting, String value) {
        if (desk.library().readOnly()) {
            desk.notices().problem(Words.of("settings.reading-only"));
            return;
        }
        desk.preferences().set(setting, value);
        desk.anew();
    }
}
