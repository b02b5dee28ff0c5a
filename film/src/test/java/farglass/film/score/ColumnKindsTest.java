package farglass.film.score;

import static farglass.film.score.ScoreKind.ADVANTAGES;
import static farglass.film.score.ScoreKind.PENALTIES;
import static farglass.film.score.ScoreKind.POINTS;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.Box;
import farglass.film.score.NumberTrack.Change;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class ColumnKindsTest {
    private static final List<Change> NONE = List.of();

    private static ScoreGraphic.Column column(int height, @Nullable ScoreKind heading) {
        Box box = new Box(10, 10, 20, height);
        return new ScoreGraphic.Column(box, box, heading);
    }

    /** Changes a second apart from a first moment on, through the numbers given. */
    private static List<Change> steps(long fromS, int... numbers) {
        List<Change> steps = new ArrayList<>();
        int before = 0;
        long s = fromS;
        for (int n : numbers) {
            steps.add(new Change(1000 * s - 500, 1000 * s, before, n, 0.9));
            before = n;
            s += 20;
        }
        return steps;
    }

    private static List<@Nullable ScoreKind> kinds(List<ScoreGraphic.Column> columns, List<List<List<Change>>> steps) {
        return ColumnKinds.of(columns, steps);
    }

    @Test
    void oneNumberIsPoints() {
        assertThat(kinds(List.of(column(20, null)), List.of(List.of(steps(10, 2, 5), NONE))))
                .containsExactly(POINTS);
    }

    @Test
    void withoutAnySignTheUsualOrderHolds() {
        List<ScoreGraphic.Column> three = List.of(column(20, null), column(20, null), column(20, null));
        assertThat(kinds(three, List.of(List.of(NONE, NONE), List.of(NONE, NONE), List.of(NONE, NONE))))
                .containsExactly(POINTS, ADVANTAGES, PENALTIES);
    }

    @Test
    void numbersThatJumpArePointsWhereverTheyStand() {
        List<ScoreGraphic.Column> two = List.of(column(20, null), column(20, null));
        assertThat(kinds(two, List.of(List.of(steps(10, 1, 2), steps(15, 1)), List.of(steps(20, 2, 5, 9), NONE))))
                .containsExactly(ADVANTAGES, POINTS);
    }

    @Test
    void wherePointsAreLastPenaltiesAreFirst() {
        List<ScoreGraphic.Column> three = List.of(column(20, null), column(20, null), column(20, null));
        List<List<Change>> points = List.of(steps(20, 2, 5, 9), NONE);
        assertThat(kinds(three, List.of(List.of(steps(10, 1), NONE), List.of(steps(40, 1), NONE), points)))
                .containsExactly(PENALTIES, ADVANTAGES, POINTS);
    }

    @Test
    void headingsSayWhatIsCounted() {
        List<ScoreGraphic.Column> two = List.of(column(20, PENALTIES), column(20, POINTS));
        assertThat(kinds(two, List.of(List.of(NONE, NONE), List.of(NONE, NONE))))
                .containsExactly(PENALTIES, POINTS);
    }

    @Test
    void theLargestIsMeantToBeSeen() {
        List<ScoreGraphic.Column> two = List.of(column(16, null), column(30, null));
        assertThat(kinds(two, List.of(List.of(NONE, NONE), List.of(NONE, NONE))))
                .last()
                .isEqualTo(POINTS);
    }

    @Test
    void whatPenaltiesBringTellsThemFromAdvantages() {
        List<ScoreGraphic.Column> three = List.of(column(20, null), column(20, null), column(20, null));
        // the second column counts penalties: the second of B brings A an advantage, the third two points
        List<Change> points = List.of(new Change(49_500, 50_000, 0, 2, 0.9));
        List<Change> penalties = steps(10, 1, 2, 3);
        List<Change> advantages = List.of(new Change(29_500, 30_000, 0, 1, 0.9));
        assertThat(kinds(three, List.of(List.of(points, NONE), List.of(NONE, penalties), List.of(advantages, NONE))))
                .containsExactly(POINTS, PENALTIES, ADVANTAGES);
    }

    @Test
    void aNumberThatCountsSomethingElseIsLeftOut() {
        List<ScoreGraphic.Column> four =
                List.of(column(20, null), column(20, POINTS), column(20, ADVANTAGES), column(20, PENALTIES));
        assertThat(kinds(
                        four,
                        List.of(
                                List.of(NONE, NONE),
                                List.of(steps(10, 2), NONE),
                                List.of(NONE, NONE),
                                List.of(NONE, NONE))))
                .containsExactly(null, POINTS, ADVANTAGES, PENALTIES);
    }
}
