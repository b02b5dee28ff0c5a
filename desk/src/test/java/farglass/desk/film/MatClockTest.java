package farglass.desk.film;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.time.MatchTime;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

class MatClockTest {
    private final AtomicLong nanos = new AtomicLong(77);
    private final MatClock clock = new MatClock(nanos::get, now -> {});

    private void pass(long ms) {
        nanos.addAndGet(ms * 1_000_000);
    }

    @Test
    void itRunsStandsAndGoesOnFromWhereItStood() {
        pass(5000);
        assertThat(clock.now()).isEqualTo(MatchTime.ZERO);
        clock.toggle();
        pass(61_250);
        assertThat(clock.now().ms()).isEqualTo(61_250);
        clock.toggle();
        pass(9999);
        assertThat(clock.now().ms()).isEqualTo(61_250);
        clock.toggle();
        pass(750);
        assertThat(clock.now().ms()).isEqualTo(62_000);
    }

    @Test
    void itIsMovedWhileItRunsAndNeverBeforeTheStart() {
        clock.toggle();
        pass(3000);
        clock.move(5000);
        pass(1000);
        assertThat(clock.now().ms()).isEqualTo(9000);
        clock.move(-60_000);
        assertThat(clock.now().ms()).isZero();
        clock.set(MatchTime.ofMs(120_000));
        pass(500);
        assertThat(clock.now().ms()).isEqualTo(120_500);
        clock.stop();
        assertThat(clock.running()).isFalse();
    }
}
