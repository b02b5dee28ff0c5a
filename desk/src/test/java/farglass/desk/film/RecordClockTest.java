package farglass.desk.film;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RecordClockTest {
    private final MatchRecord six = DemoLibrary.waiting(Lexicon.builtIn());
    private final Map<String, String> kept = new HashMap<>();
    private final RecordClock clock = new RecordClock(() -> kept.get("clock"), text -> kept.put("clock", text));

    @Test
    void itCountsAsTheFilmDoesAndDownWhereNobodyKnows() {
        assertThat(clock.text(six, MatchTime.ofMs(10_250))).isEqualTo("5:49.7");
        assertThat(clock.text(six, MatchTime.ofMs(363_000))).as("after the end").isEqualTo("+0:03.0");
        clock.film(false);
        assertThat(clock.text(six, MatchTime.ofMs(10_250))).isEqualTo("0:10.2");
        clock.film(null);
        assertThat(clock.down()).isTrue();
    }

    @Test
    void theSwitchHoldsForAllMatches() {
        clock.turn();
        assertThat(clock.down()).isFalse();
        clock.film(true);
        assertThat(clock.down()).as("the user has said otherwise").isFalse();
        clock.turn();
        clock.film(false);
        assertThat(clock.down()).isTrue();
    }
}
