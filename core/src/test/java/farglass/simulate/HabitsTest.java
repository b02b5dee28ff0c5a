package farglass.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class HabitsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    @Test
    void everyHabitIsATechniqueOfTheLexicon() {
        for (Technique t : LEXICON.techniques()) {
            Stream.concat(Habits.own(t.code()).stream(), Habits.answers(t.code()).stream())
                    .forEach(next -> assertThat(LEXICON.technique(next))
                            .as(t.code() + " then " + next)
                            .isPresent());
        }
    }

    @Test
    void aStylesOwnHabitsAreFollowedMoreOftenThanChanceWouldHaveIt() {
        int sweeps = 0;
        int followed = 0;
        int attempts = 0;
        int triangles = 0;
        for (long seed = 1; seed <= 6; seed++) {
            for (MatchRecord r : DemoLibrary.matches(LEXICON, seed)) {
                String before = null;
                for (Tag t : r.tags()) {
                    if (t instanceof Tag.Action a && r.athlete(a.by()).id().equals("brisa-tolendt")) {
                        attempts++;
                        triangles += a.technique().equals("triangle") ? 1 : 0;
                        if ("lasso-sweep".equals(before)) {
                            sweeps++;
                            followed += a.technique().equals("triangle") ? 1 : 0;
                        }
                        before = a.technique();
                    }
                }
            }
        }
        assertThat(sweeps).isGreaterThan(30);
        assertThat((double) followed / sweeps).isGreaterThan(1.8 * triangles / attempts);
    }

    @Test
    void nobodyIsStoppedBeforeTheTwoHaveMet() {
        List<MatchRecord> all = DemoLibrary.matches(LEXICON, 4);
        assertThat(all.stream().flatMap(r -> r.tags().stream()).filter(Tag.Stop.class::isInstance))
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.t().ms()).isGreaterThanOrEqualTo(10_000));
    }
}
