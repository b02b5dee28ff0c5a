package farglass.desk;

import farglass.desk.shell.Desk;
import farglass.desk.shell.TextSize;
import farglass.desk.shell.Theme;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.text.Language;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Function;
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
                Ui.label(Words.of("settings.language"), "field-name"),
                languages(),
                Ui.label(Words.of("settings.theme"), "field-name"),
                themes(),
                Ui.label(Words.of("settings.text"), "field-name"),
                sizes(),
                Ui.prose(Words.of("settings.anew"), "soft"));
        sheet.getStyleClass().add("floating");
        sheet.setMaxSize(WIDE, Region.USE_PREF_SIZE);
        getChildren().add(sheet);
    }

    private HBox languages() {
        return choices(
                List.of(Language.values()),
                Language.current(),
                l -> "language-" + l.tag(),
                Language::ownName,
                l -> choose(Language.PREFERENCE, l.tag()));
    }

    private HBox themes() {
        return choices(
                List.of(Theme.values()),
                Theme.current(),
                t -> "theme-" + code(t),
                t -> Words.of("theme." + code(t)),
                t -> choose(Theme.PREFERENCE, code(t)));
    }

    private HBox sizes() {
        return choices(
                List.of(TextSize.values()),
                TextSize.named(desk.preferences().get(TextSize.PREFERENCE).orElse("")),
                s -> "text-" + s.percent(),
                s -> Words.of("settings.percent", s.percent()),
                s -> choose(TextSize.PREFERENCE, s.percent()));
    }

    private static String code(Theme t) {
        return t.name().toLowerCase(Locale.ROOT);
    }

    /** One of some, side by side; only another one than the present is acted on. */
    private static <T> HBox choices(
            List<T> all, T present, Function<T, String> id, Function<T, String> name, Consumer<T> chosen) {
        HBox row = new HBox(8);
        ToggleGroup one = new ToggleGroup();
        for (T t : all) {
            ToggleButton chip = new ToggleButton(name.apply(t));
            chip.setId(id.apply(t));
            chip.getStyleClass().add("chip");
            chip.setToggleGroup(one);
            chip.setSelected(t.equals(present));
            chip.setOnAction(e -> {
                chip.setSelected(true);
                if (!t.equals(present)) {
                    chosen.accept(t);
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
