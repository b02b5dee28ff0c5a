package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.score.NumberTrack.Change;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReadNumberTest {
    private static final long BEFORE = 20_000;
    private static final long AFTER = 26_000;

    @ParameterizedTest
    @CsvSource({"ADVANTAGES, 1, 3, 2", "PENALTIES, 0, 2, 1", "POINTS, 2, 7, 4", "POINTS, 0, 6, 2", "POINTS, 4, 11, 7"})
    void moreThanOneCallGivesWasTwoBehindAHiddenGraphic(ScoreKind kind, int before, int after, int middle) {
        List<Change> told = ReadNumber.apart(kind, new Change(BEFORE, AFTER, before, after, 0.8));
        assertThat(told).extracting(Change::after).containsExactly(middle, after);
        assertThat(told).extracting(Change::before).containsExactly(before, middle);
        assertThat(told).allMatch(c -> c.fromMs() == BEFORE && c.ms() == AFTER && c.confidence() <= 0.8);
    }

    @ParameterizedTest
    @CsvSource({"POINTS, 0, 4", "POINTS, 0, 8", "POINTS, 5, 3", "ADVANTAGES, 0, 1", "ADVANTAGES, 0, 3"})
    void whatOneCallCanGiveOrNobodyCanTellStaysOne(ScoreKind kind, int before, int after) {
        Change c = new Change(BEFORE, AFTER, before, after, 0.8);
        assertThat(ReadNumber.apart(kind, c)).containsExactly(c);
    }

    @Test
    void whatWasSeenIsTakenAsItIs() {
        Change seen = new Change(BEFORE, BEFORE + 520, 1, 3, 0.8);
        assertThat(ReadNumber.apart(ScoreKind.ADVANTAGES, seen)).containsExactly(seen);
        Change first = new Change(0, AFTER, 0, 2, 0.8);
        assertThat(ReadNumber.apart(ScoreKind.ADVANTAGES, first))
                .as("stood there when the film began")
                .containsExactly(first);
        Change unknown = new Change(BEFORE, AFTER, 0, 2, 0.8);
        assertThat(ReadNumber.apart(null, unknown)).containsExactly(unknown);
    }
}
