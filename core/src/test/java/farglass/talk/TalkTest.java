package farglass.talk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.time.FilmTime;
import java.util.List;
import org.junit.jupiter.api.Test;

class TalkTest {
    private static final Drawing.Mark RING = new Drawing.Mark(Drawing.Kind.RING, Corner.A, 0.1, 0.1, 0.4, 0.4, null);

    private static FilmTime f(long ms) {
        return FilmTime.ofMs(ms);
    }

    @Test
    void takesOnlyWhatIsNewAndBeginsAtTheBeginning() {
        TalkRecorder taking = new TalkRecorder();
        taking.shows(35, f(1000), List.of());
        taking.shows(80, f(1000), List.of());
        taking.shows(120, f(1040), List.of());
        taking.shows(160, f(1040), List.of(RING));
        taking.shows(100, f(1000), List.of());
        Talk talk = taking.done("t", "m", "f.mp4", "", 900);
        assertThat(talk.shown()).extracting(Talk.Shown::atMs).containsExactly(0L, 120L, 160L, 160L);
        assertThat(talk.at(0).film()).isEqualTo(f(1000));
        assertThat(talk.at(119).film()).isEqualTo(f(1000));
        assertThat(talk.at(130).marks()).isEmpty();
        assertThat(talk.at(899).film()).isEqualTo(f(1000));
    }

    @Test
    void cannotBeWithoutABeginningOrRunBackwards() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Talk("t", "m", "f", "", 5, List.of()));
        Talk.Shown late = new Talk.Shown(10, f(0), List.of());
        assertThatIllegalArgumentException().isThrownBy(() -> new Talk("t", "m", "f", "", 5, List.of(late)));
        Talk.Shown first = new Talk.Shown(0, f(0), List.of());
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Talk("t", "m", "f", "", 5, List.of(first, late, first)));
        assertThatIllegalArgumentException().isThrownBy(() -> new Talk("t", "m", "f", "", 0, List.of(first)));
    }
}
