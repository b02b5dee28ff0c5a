package farglass.film.score;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.score.NumberTrack.Reading;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class NumberTrackTest {
    /** Readings half a second apart; a dot is none, a letter two digits: a is 10, b is 11. */
    private static List<Reading> readings(String shown) {
        List<Reading> all = new ArrayList<>();
        for (int i = 0; i < shown.length(); i++) {
            char c = shown.charAt(i);
            int v = c == '.' ? -1 : Character.digit(c, 36);
            all.add(new Reading(500L * i, v, v, c == '.' ? 0 : 0.95));
        }
        return all;
    }

    private static List<String> changes(String shown) {
        return NumberTrack.changes(readings(shown)).stream()
                .map(c -> c.before() + ">" + c.after() + "@" + c.fromMs() + "-" + c.ms())
                .toList();
    }

    @Test
    void eachStepIsFoundBetweenTheReadingsThatShowIt() {
        assertThat(changes("0000222225555")).containsExactly("0>2@1500-2000", "2>5@4000-4500");
    }

    @Test
    void aSlipIsNoChange() {
        assertThat(changes("0000080000")).isEmpty();
        assertThat(changes("22292222")).containsExactly("0>2@0-0");
        assertThat(changes("000.0..00")).isEmpty();
    }

    @Test
    void aSevenThatIsReadAsAOneForAWhileStaysASeven() {
        assertThat(changes("4444777777771111111111")).containsExactly("0>4@0-0", "4>7@1500-2000");
        assertThat(changes("00001111111111")).containsExactly("0>1@1500-2000");
    }

    @Test
    void aChangeBehindAReplayHasAnInterval() {
        assertThat(changes("000......3333")).containsExactly("0>3@1000-4500");
        assertThat(NumberTrack.changes(readings("000......3333")).get(0).confidence())
                .isGreaterThan(0.9);
    }

    @Test
    void aScoreIsTakenBackOnlyWhenItStaysSo() {
        assertThat(changes("22222222200000000000")).containsExactly("0>2@0-0", "2>0@4000-4500");
        assertThat(changes("222222222022222222")).containsExactly("0>2@0-0");
    }

    @Test
    void ofTwoWaysToReadItThatIsTakenWhichFitsTheCourse() {
        List<Reading> readings = new ArrayList<>(readings("77777777"));
        for (int i = 8; i < 20; i++) {
            readings.add(new Reading(500L * i, 1, 11, 0.95));
        }
        assertThat(NumberTrack.changes(readings))
                .as("seven points become eleven, not one")
                .extracting(NumberTrack.Change::after)
                .containsExactly(7, 11);
    }

    @Test
    void nothingReadIsNoScore() {
        assertThat(changes("......")).isEmpty();
        assertThat(changes("")).isEmpty();
    }
}
