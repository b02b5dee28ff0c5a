package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.shell.TextSize;
import farglass.text.Language;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListCell;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** In a window of 1280 by 800 no word is cut short, in any language and size. */
class LargeTextTest extends DeskDriver {
    @AfterEach
    void inEnglish() {
        Language.ENGLISH.use();
    }

    /** Rows of lists show names and moments, which may be of any length: they end in dots. */
    private static void cut(Node node, Set<String> into) {
        if (!node.isVisible() || node instanceof ListCell) {
            return;
        }
        if (node instanceof Labeled l && l.getText() != null) {
            l.lookupAll(".text").stream()
                    .filter(Text.class::isInstance)
                    .map(t -> ((Text) t).getText())
                    .filter(shown -> shown.endsWith("...") && !l.getText().endsWith("..."))
                    .forEach(shown -> into.add(l.getText() + " -> " + shown));
        }
        if (node instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(c -> cut(c, into));
        }
    }

    @ParameterizedTest
    @CsvSource({"en, 100", "pt, 100", "en, 150", "pt, 150", "en, 175"})
    void noWordIsCutShort(String language, String percent) throws Exception {
        Language.named(language).use();
        size = TextSize.named(percent);
        restart();
        Set<String> cut = new TreeSet<>();
        for (KeyCode station : STATION_KEYS) {
            press(KeyCode.CONTROL, station);
            settle();
            onFx(() -> {
                scene.getRoot().layout();
                cut(scene.getRoot(), cut);
                return null;
            });
        }
        assertThat(cut).isEmpty();
    }
}
