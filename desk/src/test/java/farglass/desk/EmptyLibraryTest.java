package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.store.Library;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The first start, with nothing there yet. */
class EmptyLibraryTest extends DeskDriver {
    @Override
    void fill(Library library) {
        // nothing
    }

    private List<String> words(Node root) {
        return root.lookupAll(".label").stream()
                .map(n -> ((Labeled) n).getText())
                .toList();
    }

    @Test
    void noStationShowsANumberFromNothingAndTheProfileSaysWhatToDo() throws Exception {
        for (int i = 0; i < 8; i++) {
            int station = i;
            List<String> said = onFx(() -> {
                shell.go(station);
                return words(shell.view());
            });
            assertThat(said).as("station " + i).noneMatch(w -> w != null && w.contains("NaN"));
        }
        onFx(() -> {
            shell.go(3);
            return null;
        });
        await(
                "profile",
                () -> words(find("#station-profile")).stream()
                        .anyMatch(w -> w.startsWith("No match is in the library yet.")));
    }

    @Test
    void theFirstStepsTickThemselvesAreKeptAndCanBeClosed() throws Exception {
        List<String> open = onFx(() -> words(find("#first-steps")));
        assertThat(open).contains("○ Match ahead", "○ Read the report").noneMatch(w -> w.startsWith("✓"));
        press(KeyCode.CONTROL, KeyCode.DIGIT4);
        press(KeyCode.CONTROL, KeyCode.DIGIT1);
        assertThat(onFx(() -> words(find("#first-steps")))).contains("✓ Read the report", "○ Tag");
        restart();
        assertThat(onFx(() -> words(find("#first-steps")))).contains("✓ Read the report", "○ Tag");
        fire("#first-steps-close");
        assertThat(find("#first-steps").isVisible()).isFalse();
        restart();
        assertThat(onFx(() -> scene.lookup("#first-steps").isVisible())).isFalse();
    }
}
