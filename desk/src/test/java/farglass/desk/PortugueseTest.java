package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.text.Language;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.ResourceBundle;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The window in Brazilian Portuguese: what is shown, what is typed, and what stays understood. */
class PortugueseTest extends DeskDriver {
    @Override
    @BeforeEach
    void start() throws Exception {
        Language.PORTUGUESE.use();
        super.start();
    }

    @AfterEach
    void inEnglish() {
        Language.ENGLISH.use();
    }

    private static void texts(Node node, List<String> into) {
        if (node instanceof Labeled l && l.getText() != null) {
            into.add(l.getText());
        }
        if (node instanceof TextInputControl t && t.getPromptText() != null) {
            into.add(t.getPromptText());
        }
        if (node.getAccessibleText() != null) {
            into.add(node.getAccessibleText());
        }
        if (node instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(c -> texts(c, into));
        }
    }

    /** English words of the window that are others in Portuguese. */
    private static Set<String> english() {
        ResourceBundle english = ResourceBundle.getBundle("farglass.desk.Words", Language.ENGLISH.spoken());
        ResourceBundle here = ResourceBundle.getBundle("farglass.desk.Words", Language.PORTUGUESE.spoken());
        Set<String> words = new HashSet<>();
        for (String key : english.keySet()) {
            String word = english.getString(key);
            if (!word.contains("{") && !word.equals(here.getString(key)) && word.length() > 3) {
                words.add(word);
            }
        }
        return words;
    }

    @Test
    void noStationShowsAnEnglishWord() throws Exception {
        Set<String> english = english();
        assertThat(english).hasSizeGreaterThan(800);
        Set<String> left = new HashSet<>();
        int seen = 0;
        for (KeyCode station : STATION_KEYS) {
            press(KeyCode.CONTROL, station);
            settle();
            List<String> texts = onFx(() -> {
                List<String> all = new ArrayList<>();
                texts(scene.getRoot(), all);
                return all;
            });
            seen += texts.size();
            texts.stream().filter(english::contains).forEach(left::add);
        }
        assertThat(seen).isGreaterThan(300);
        assertThat(left).isEmpty();
    }

    @Test
    void aTagIsTypedInPortugueseAndInEnglish() throws Exception {
        String match = onFx(() -> desk.matches().get(0).id());
        onFx(() -> {
            desk.openMatch(match);
            return null;
        });
        press(KeyCode.CONTROL, KeyCode.DIGIT2);
        settle();
        assertThat(desk.lexicon().techniqueName("knee-cut")).isEqualTo("passagem de joelho cruzado");
        assertThat(farglass.work.publish.TagText.of(
                                desk.openRecord().get(),
                                desk.openRecord().get().tags().get(0),
                                desk.lexicon())
                        .what())
                .isEqualTo("início");
    }
}
