package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.score.ScoreTrack;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class MapProposalTest {
    private static MapProposal read(boolean down, Integer... clocks) {
        List<ClockReading> readings = new ArrayList<>();
        for (int i = 0; i < clocks.length; i++) {
            readings.add(new ClockReading(1000L * i, clocks[i], 1));
        }
        return new MapProposal(List.of(), List.of(), readings, down, null, null, ScoreTrack.NONE);
    }

    @Test
    void aClockThatCountsDownSaysWhatItBeginsWith() {
        assertThat(read(true, null, 360, 359, 358).begins()).hasValue(360_000);
        assertThat(read(true, 251, 250).begins())
                .as("a film that begins in the middle")
                .isEmpty();
        assertThat(read(false, 0, 1, 60).begins()).as("it counts up").isEmpty();
        assertThat(read(true).begins()).isEmpty();
    }
}
