package farglass.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.simulate.DemoLibrary;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DrillTest {
    private static final LocalDate DAY = LocalDate.of(2031, 4, 1);
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static List<Drill> demo(Set<String> wanted) {
        return Drills.of(
                Evidence.of(DemoLibrary.matches(LEXICON, DemoLibrary.SEED), "brisa-tolendt", Filter.ALL, LEXICON),
                wanted);
    }

    /**
     * The published rules: intervals 1, 6, then times the ease; ease 2.5 + 0.1 for a perfect answer, - 0.14 for a slow
     * one.
     */
    @Test
    void intervalsAndEaseAreThoseOfTheMethod() {
        Memory m = Memory.fresh(DAY).answered(5, DAY);
        assertThat(m.intervalDays()).isEqualTo(1);
        assertThat(m.ease()).isCloseTo(2.6, within(1e-12));
        m = m.answered(5, m.due());
        assertThat(m.intervalDays()).isEqualTo(6);
        assertThat(m.ease()).isCloseTo(2.7, within(1e-12));
        m = m.answered(3, m.due());
        assertThat(m.ease()).isCloseTo(2.56, within(1e-12));
        assertThat(m.intervalDays()).isEqualTo((int) Math.ceil(6 * 2.56));
        assertThat(m.due()).isEqualTo(DAY.plusDays(1 + 6 + 16));
        Memory forgotten = m.answered(1, m.due());
        assertThat(forgotten.repetitions()).isZero();
        assertThat(forgotten.intervalDays()).isEqualTo(1);
        assertThat(forgotten.ease()).as("learned anew, its ease unchanged").isEqualTo(m.ease());
        assertThat(Memory.fresh(DAY).answered(4, DAY).ease()).isEqualTo(2.5, within(1e-12));
    }

    @Test
    void whatIsNewIsDueToday() {
        Memory m = Memory.fresh(DAY);
        assertThat(m.due()).isEqualTo(DAY);
        assertThat(m.repetitions()).isZero();
        Memory missed = m.answered(0, DAY);
        assertThat(missed.due()).isEqualTo(DAY.plusDays(1));
        assertThat(missed.ease()).isEqualTo(2.5);
    }

    @Test
    void easeNeverFallsBelowItsLeast() {
        Memory m = Memory.fresh(DAY);
        for (int i = 0; i < 20; i++) {
            m = m.answered(3, m.due());
        }
        assertThat(m.ease()).isEqualTo(1.3);
        assertThatThrownBy(() -> Memory.fresh(DAY).answered(6, DAY)).hasMessageContaining("6");
    }

    @ParameterizedTest
    @CsvSource({"true, 1.9, 5", "true, 2.0, 4", "true, 3.99, 4", "true, 4.0, 3", "false, 0.5, 1", ", 9, 0"})
    void anAnswerIsGradedByRightnessAndDelay(Boolean right, double seconds, int quality) {
        assertThat(Memory.quality(right, seconds)).isEqualTo(quality);
    }

    @Test
    void theDemoHasDrillsOfBothKindsThePlansFirst() {
        List<Drill> drills = demo(Set.of());
        assertThat(drills).hasSizeGreaterThan(10);
        assertThat(drills).extracting(Drill::kind).contains(Drill.Kind.ANSWER, Drill.Kind.SIDE, Drill.Kind.OPENING);
        assertThat(drills).extracting(Drill::id).doesNotHaveDuplicates();
        assertThat(drills).allMatch(d -> d.choices().size() >= 2 && d.choices().size() <= 4);
        String last = drills.get(drills.size() - 1).trigger();
        assertThat(demo(Set.of(last)).get(0).trigger()).isEqualTo(last);
    }

    private static Drill drill(String id) {
        return new Drill(
                id, Drill.Kind.SIDE, new TagRef("m", id), MatchTime.ZERO, "triangle", "left", List.of("left", "right"));
    }

    @Test
    void whatIsOverdueComesBeforeWhatIsNew() {
        List<Drill> drills = List.of(drill("a"), drill("b"), drill("c"));
        DrillBook book = DrillBook.EMPTY;
        assertThat(book.next(drills, DAY)).contains(drills.get(0));
        book = book.answered(drills.get(0), 5, DAY).answered(drills.get(1), 1, DAY.minusDays(3));
        assertThat(book.next(drills, DAY)).as("b was due two days ago").contains(drills.get(1));
        book = book.answered(drills.get(1), 5, DAY);
        assertThat(book.next(drills, DAY)).as("c is new").contains(drills.get(2));
        assertThat(book.open(drills, DAY)).isEqualTo(1);
        book = book.answered(drills.get(2), 4, DAY);
        assertThat(book.next(drills, DAY)).isEmpty();
        assertThat(book.open(drills, DAY.plusDays(1))).isEqualTo(3);
        assertThat(book.progress().get("triangle")).containsExactly(3, 4);
    }

    @Test
    void aBookIsReadBackAndABrokenLineLosesOnlyItself() {
        DrillBook book = DrillBook.EMPTY
                .answered(drill("side:m#1"), 5, DAY)
                .answered(drill("side:m#2"), 3, DAY)
                .answered(drill("side:m#1"), 5, DAY.plusDays(1));
        assertThat(DrillBook.read(book.text())).isEqualTo(book);
        String broken = book.text().replace("2031-04-08", "someday") + "rubbish\n";
        assertThat(DrillBook.read(broken).lines()).containsOnlyKeys("side:m#2");
        assertThat(DrillBook.read("")).isEqualTo(DrillBook.EMPTY);
    }

    @Test
    void theRightAnswerMustBeAmongTheChoices() {
        assertThatThrownBy(() -> new Drill(
                        "x",
                        Drill.Kind.SIDE,
                        new TagRef("m", "1"),
                        MatchTime.ZERO,
                        "t",
                        "up",
                        List.of("left", "right")))
                .hasMessageContaining("up");
    }
}
