package farglass.rules;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.rules.Score.Step;
import farglass.simulate.DemoLibrary;
import farglass.time.MatchTime;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The board is the running sum of all that was given; the words of a near award say how long it was held. */
class BoardTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static int points(Score s, Corner c, MatchTime t) {
        return s.awards().stream()
                .filter(a -> a.who() == c && a.confirmedAt().compareTo(t) <= 0)
                .mapToInt(Score.Award::value)
                .sum();
    }

    private static long advantages(Score s, Corner c, MatchTime t) {
        return s.advantages().stream()
                .filter(a -> a.who() == c && a.t().compareTo(t) <= 0)
                .count();
    }

    private static long penalties(Score s, Corner c, MatchTime t) {
        return s.penalties().stream()
                .filter(p -> p.who() == c && p.t().compareTo(t) <= 0)
                .count();
    }

    @Test
    void everyStepIsTheSumOfWhatCameBefore() {
        int steps = 0;
        for (long seed = 1; seed <= 3; seed++) {
            for (MatchRecord r : DemoLibrary.matches(LEXICON, seed)) {
                for (Ruleset rules : Rulesets.builtIn().all()) {
                    Score s = Scoring.of(r, rules, LEXICON);
                    TreeSet<MatchTime> times = new TreeSet<>(List.of(MatchTime.ZERO));
                    s.awards().forEach(a -> times.add(a.confirmedAt()));
                    s.advantages().forEach(a -> times.add(a.t()));
                    s.penalties().forEach(p -> times.add(p.t()));
                    assertThat(s.scoreboard()).extracting(Step::t).containsExactlyElementsOf(times);
                    for (Step step : s.scoreboard()) {
                        assertThat(step)
                                .isEqualTo(new Step(
                                        step.t(),
                                        points(s, Corner.A, step.t()),
                                        points(s, Corner.B, step.t()),
                                        (int) advantages(s, Corner.A, step.t()),
                                        (int) advantages(s, Corner.B, step.t()),
                                        (int) penalties(s, Corner.A, step.t()),
                                        (int) penalties(s, Corner.B, step.t())));
                        steps++;
                    }
                }
            }
        }
        assertThat(steps).isGreaterThan(500);
    }

    @ParameterizedTest
    @CsvSource({
        "2949, hold, mount held 2.9 s of 3",
        "2950, hold, mount held 3.0 s of 3",
        "40, end, mount held 0.0 s of 3 when the match ended",
        "1250, stoppage, mount held 1.3 s of 3 when the match was stopped",
        "9000, hold, mount held 3.0 s of 3",
        "9000, late, mount began before points count"
    })
    void aNearAwardSaysHowLongItWasHeld(long heldMs, String missing, String why) {
        Hold h = new Hold(Corner.A, "mount", 1000, 0, false, "mount", 3);
        assertThat(h.near(1000 + heldMs, 3000, Reason.valueOf(missing.toUpperCase(Locale.ROOT)))
                        .words())
                .isEqualTo(why);
    }
}
