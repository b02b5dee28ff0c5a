package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Rectangle2D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WindowPlaceTest {
    private static final List<Rectangle2D> SCREENS =
            List.of(new Rectangle2D(0, 0, 1920, 1080), new Rectangle2D(1920, 0, 1280, 800));

    @Test
    void whatIsKeptIsReadAgain() {
        WindowPlace p = new WindowPlace(20.5, 40, 1300, 820, true);
        assertThat(WindowPlace.read(p.text())).contains(p);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "1 2 3 4", "a b c d e", "NaN 0 10 10 false", "0 0 -5 10 false", "1 2 3 4 true 6"})
    void anythingElseIsNoPlace(String text) {
        assertThat(WindowPlace.read(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "100,100,true",
        "2000,10,true",
        "3150,10,false",
        "-1250,10,false",
        "-1100,10,true",
        "50,1075,false",
        "50,-20,false",
        "2500,790,false"
    })
    void itMustBeOnAScreen(double x, double y, boolean there) {
        assertThat(new WindowPlace(x, y, 1280, 800, false).on(SCREENS)).isEqualTo(there);
    }
}
