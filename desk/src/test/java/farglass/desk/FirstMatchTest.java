package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** A stranger has tagged a first match and goes to the profile. */
class FirstMatchTest extends DeskDriver {
    private final MatchRecord first =
            DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED).get(0);

    @Override
    void fill(Library library) throws Exception {
        library.addAll(List.of(first));
    }

    @Test
    void oneOfTheTwoIsLookedAtAtOnce() throws Exception {
        press(KeyCode.CONTROL, KeyCode.DIGIT4);
        settle();
        assertThat(onFx(() -> desk.profiled().get()))
                .isEqualTo(first.athlete(Corner.B).id());
    }
}
