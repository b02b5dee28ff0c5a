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
            all.add(new Reading(500L * i, v, v, -1, c == '.' ? 0 : 0.95));
        }
        return all;
    }

    private static List<String> changes(String shown) {
        return NumberTrack.of(readings(shown)).changes().stream()
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
    void twoOnesThatAreReadAsOneAfterNineAreEleven() {
        assertThat(changes("0004448888881111111111"))
                .containsExactly("0>4@1000-1500", "4>8@2500-3000", "8>11@5500-6000");
        assertThat(changes("9999999191999999999")).containsExactly("0>9@0-0");
    }

    @Test
    void aChangeBehindAReplayHasAnInterval() {
        assertThat(changes("000......3333")).containsExactly("0>3@1000-4500");
        assertThat(NumberTrack.of(readings("000......3333")).changes().get(0).confidence())
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
            readings.add(new Reading(500L * i, 1, 11, -1, 0.95));
        }
        assertThat(NumberTrack.of(readings).changes())
                .as("seven points become eleven, not one")
                .extracting(NumberTrack.Change::after)
                .containsExactly(7, 11);
    }

    /** The place of one digit shows the one of 11 and of 13; what stands beside it tells them apart. */
    @Test
    void aSecondDigitBesideThePlaceOfOneIsToldByItsChanges() {
        List<Reading> readings = new ArrayList<>(readings("88888888"));
        for (int i = 8; i < 28; i++) {
            readings.add(new Reading(500L * i, 1, 1, i < 18 ? 11 : 13, 0.95));
        }
        assertThat(NumberTrack.of(readings).changes())
                .extracting(NumberTrack.Change::after)
                .containsExactly(8, 11, 13);
        // the edge of a cell, which is easily read as a one, makes no number of two digits
        List<Reading> edge = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            edge.add(new Reading(500L * i, i < 10 ? 0 : 2, i < 10 ? 0 : 2, i < 10 ? -1 : 21, 0.95));
        }
        assertThat(NumberTrack.of(edge).changes())
                .extracting(NumberTrack.Change::after)
                .containsExactly(2);
    }

    @Test
    void whatNoTwoCallsGiveIsAMisreading() {
        List<Reading> readings = readings("0000aaaa0000");
        assertThat(NumberTrack.of(readings, 1).changes()).isEmpty();
        assertThat(NumberTrack.of(readings("00001111"), 1).changes())
                .extracting(NumberTrack.Change::after)
                .containsExactly(1);
    }

    @Test
    void whatIsHardlyEverReadAsTheSameHasLittleSupport() {
        assertThat(NumberTrack.of(readings("000222222")).support()).isGreaterThan(0.9);
        assertThat(NumberTrack.of(readings("1..7....3..4...9..")).support()).isLessThan(0.25);
    }

    /** Only what counts more than one or two at once can be a seven. */
    @Test
    void advantagesThatJumpToSevenAreASlantingOne() {
        ChangeMoment any = new ChangeMoment(List.of(), 0, 0);
        ReadNumber number = ReadNumber.of(readings("0000000077777777777777777777222222222222"), any);
        assertThat(number.changes(ScoreKind.ADVANTAGES))
                .extracting(NumberTrack.Change::after)
                .containsExactly(1, 2);
        assertThat(number.changes(ScoreKind.POINTS))
                .extracting(NumberTrack.Change::after)
                .containsExactly(7, 2);
    }

    @Test
    void nothingReadIsNoScore() {
        assertThat(changes("......")).isEmpty();
        assertThat(changes("")).isEmpty();
    }
}
