package farglass.debrief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.debrief.DecisionKind.Fought;
import farglass.debrief.DecisionKind.Verdict;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Decision;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import farglass.simulate.DemoLibrary;
import java.util.List;
import org.junit.jupiter.api.Test;

class DecisionKindTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);
    private static final ModelState HALF = ModelState.ofKey("HG-");

    private static DecisionCheck pressed(
            String technique, List<Integer> occasions, List<Integer> done, int worked, double expected) {
        Decision d = Decision.always(HALF, Option.press(technique));
        return new DecisionCheck(d, technique, false, 1, occasions, done, worked, 2 * expected, expected);
    }

    private static DecisionCheck held(List<Integer> occasions) {
        Decision d = Decision.always(HALF, Option.HOLD);
        return new DecisionCheck(d, "keep it", false, 2.5, occasions, List.of(), 0, Double.NaN, Double.NaN);
    }

    private static String technique(String family) {
        return LEXICON.techniques().stream()
                .filter(t -> t.family().equals(family))
                .findFirst()
                .orElseThrow()
                .code();
    }

    @Test
    void everyKindIsCountedOverAllMatches() {
        String pass = technique("pass");
        List<Fought> season = List.of(
                new Fought(DEMO.get(0), List.of(pressed(pass, List.of(0), List.of(1, 2), 1, 0.5), held(List.of(3)))),
                new Fought(DEMO.get(1), List.of(pressed(pass, List.of(0), List.of(), 0, 0.75))),
                new Fought(DEMO.get(2), List.of(pressed(pass, List.of(), List.of(), 0, 0))));
        List<DecisionKind> kinds = DecisionKind.of(season, LEXICON);
        assertThat(kinds).extracting(DecisionKind::family).containsExactly("pass", "");
        DecisionKind passes = kinds.get(0);
        assertThat(List.of(passes.decisions(), passes.came(), passes.done(), passes.tries(), passes.worked()))
                .containsExactly(3, 2, 1, 2, 1);
        assertThat(passes.expected()).isCloseTo(1.25, within(1e-12));
        assertThat(passes.tags())
                .hasSize(2)
                .allMatch(t -> t.match().equals(DEMO.get(0).id()));
        assertThat(kinds.get(1).minutes()).isEqualTo(2.5);
        assertThat(kinds.get(1).tags()).hasSize(1);
        assertThat(kinds.get(1).verdict()).isEqualTo(Verdict.OPEN);
        assertThat(kinds.get(1).ratio()).isNaN();
    }

    @Test
    void aPromiseIsBrokenOnlyBeyondChance() {
        String sweep = technique("sweep");
        assertThat(kind(sweep, 0, 2).verdict()).isEqualTo(Verdict.KEPT);
        assertThat(kind(sweep, 0, 4).verdict()).isEqualTo(Verdict.LESS);
        assertThat(kind(sweep, 9, 4).verdict()).isEqualTo(Verdict.MORE);
        assertThat(kind(sweep, 0, 0.4).verdict()).isEqualTo(Verdict.OPEN);
        // Garwood's table: 10 counted, 95 % one-sided limits 5.43 and 16.96
        assertThat(kind(sweep, 10, 10).lower()).isCloseTo(0.5425, within(1e-3));
        assertThat(kind(sweep, 10, 10).upper()).isCloseTo(1.6962, within(1e-3));
    }

    private static DecisionKind kind(String technique, int worked, double expected) {
        return DecisionKind.of(
                        List.of(new Fought(
                                DEMO.get(0), List.of(pressed(technique, List.of(0), List.of(1), worked, expected)))),
                        LEXICON)
                .get(0);
    }
}
