package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.film.QuickCopy;
import farglass.desk.shell.TextSize;
import farglass.store.Library;
import farglass.text.Language;
import farglass.work.session.Preferences;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.control.Spinner;
import javafx.scene.control.TextField;
import org.junit.jupiter.api.Test;

class SettingsTest extends DeskDriver {
    @Test
    void whatIsSetIsKept() throws Exception {
        fire("#rail-settings");
        onFx(() -> {
            TextField name = find("#settings-name");
            name.setText("Ilse");
            name.fireEvent(new javafx.event.ActionEvent());
            Spinner<Integer> reaction = find("#settings-reaction");
            reaction.getValueFactory().setValue(420);
            return null;
        });
        fire("#copies-5");
        fire("#copies-10");
        settle();
        assertThat(onFx(() -> desk.preferences().get(Preferences.NAME))).contains("Ilse");
        assertThat(onFx(() -> desk.preferences().reactionMs())).isEqualTo(420);
        assertThat(onFx(() -> QuickCopy.limit(desk))).isEqualTo(10);
        fire("#copies-2");
        settle();
        assertThat(onFx(() -> QuickCopy.limit(desk)))
                .as("the one it was at first")
                .isEqualTo(QuickCopy.USUAL_GB);
        restart();
        assertThat(onFx(() -> desk.preferences().get(Preferences.NAME))).contains("Ilse");
    }

    @Test
    void whatShapesTheWindowOpensItAnew() throws Exception {
        AtomicInteger anew = new AtomicInteger();
        onFx(() -> {
            desk.onAnew(anew::incrementAndGet);
            return null;
        });
        fire("#rail-settings");
        fire("#language-en");
        assertThat(anew).as("it is English already").hasValue(0);
        fire("#language-pt");
        fire("#text-150");
        assertThat(anew).hasValue(2);
        assertThat(onFx(() -> desk.preferences().get(Language.PREFERENCE))).contains("pt");
        assertThat(onFx(() -> desk.preferences().get(TextSize.PREFERENCE))).contains("150");
    }

    @Test
    void keysAndTheLibraryAreReachedFromThere() throws Exception {
        fire("#rail-settings");
        fire("#settings-keys");
        assertThat(onFx(() -> scene.lookup("#key-sheet"))).isNotNull();
        assertThat(onFx(() -> scene.lookup("#settings-sheet"))).isNull();
    }

    @Test
    void aCopyOfTheLibraryIsWhole() throws Exception {
        Path copy = folder.resolve("copy.farglass");
        desk.library().saveCopy(copy);
        try (Library there = Library.open(copy, CLOCK)) {
            assertThat(there.matches()).isEqualTo(desk.library().matches());
        }
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> desk.library().saveCopy(copy))
                .hasMessageContaining("is there already")
                .hasMessageContaining("Nothing was written");
    }
}
