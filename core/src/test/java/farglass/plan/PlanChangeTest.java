package farglass.plan;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.camp.Camp;
import farglass.stats.Grade;
import farglass.stats.TagRef;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** A change of a plan touches what it names and nothing else. */
class PlanChangeTest {
    private static final PinnedClaim CLAIM =
            new PinnedClaim("her", "side.pass", "She passes left.", "9 of 10", 0.8, 0.6, 0.9, Grade.FAIR);
    private static final Plan FULL = Plan.empty("p", "Plan", "us", "her")
            .pin(CLAIM)
            .open("collar drag")
            .follow("f1", "pulls")
            .remarks("calm")
            .judge(Judgement.none("her", "side.pass").doubt("one film"))
            .claim("her", "Looks at the clock", List.of(new TagRef("m", "1")))
            .promise("f1", "no guard pull")
            .save("first");

    private static Arguments change(String part, UnaryOperator<Plan> change) {
        return Arguments.of(part, change);
    }

    static Stream<Arguments> changes() {
        PinnedClaim other = new PinnedClaim("her", "other", "Other.", "1 of 2", 0.5, 0.1, 0.9, Grade.THIN);
        return Stream.of(
                change("pinned", p -> p.pin(other)),
                change("pinned", p -> p.unpin(CLAIM)),
                change("openings", p -> p.open("double leg")),
                change("openings", p -> p.follow("f2", "step back")),
                change("openings", p -> p.change("f1", f -> f.text("x", "y"))),
                change("openings", p -> p.drop("f2")),
                change("openings", p -> p.adopt(Fork.of("f9", true, "taken over"))),
                change("remarks", p -> p.remarks("loud")),
                change("judgements", p -> p.judge(Judgement.none("her", "side.pass"))),
                change("own", p -> p.claim("her", "Blinks", List.of())),
                change("own", p -> p.withdraw("own.1")),
                change("approach", p -> p.approach(Approach.USUAL.emphasis(1))),
                change("title", p -> p.title("Other")),
                change("clauses", p -> p.promise("", "at least 2 takedowns")),
                change("clauses", p -> p.release("c1")),
                change("saved", p -> p.save("second")),
                change("saved", p -> p.forget("first")),
                change("camp", p -> p.camp(Camp.USUAL.discount(0.9))),
                change("brief", p -> p.brief(p.brief().nameless(true))));
    }

    private static List<String> differing(Plan a, Plan b) throws Exception {
        List<String> parts = new ArrayList<>();
        for (RecordComponent c : Plan.class.getRecordComponents()) {
            Object before = c.getAccessor().invoke(a);
            Object after = c.getAccessor().invoke(b);
            if (!before.equals(after)) {
                parts.add(c.getName());
            }
        }
        return parts;
    }

    @ParameterizedTest
    @MethodSource("changes")
    void onlyWhatIsNamedChanges(String part, UnaryOperator<Plan> change) throws Exception {
        assertThat(differing(FULL, change.apply(FULL))).containsExactly(part);
    }

    @Test
    void aPlanFromAnEarlierOneKeepsWhoAndWhenItIsFor() throws Exception {
        Plan now = Plan.empty("q", "Rematch", "us", "her").camp(Camp.USUAL.discount(0.5));
        Plan next = now.from(FULL);
        assertThat(differing(now, next))
                .containsExactlyInAnyOrder("pinned", "openings", "remarks", "judgements", "own", "clauses", "saved");
        assertThat(next.camp()).as("nothing has been trained for it yet").isEqualTo(now.camp());
    }

    @Test
    void withoutAnAthleteNothingSpeaksOfHer() throws Exception {
        Plan resting = FULL.change("f1", f -> f.resting(CLAIM)).save("resting");
        Plan without = resting.without("her");
        assertThat(differing(resting, without))
                .containsExactlyInAnyOrder("pinned", "openings", "judgements", "own", "saved");
        assertThat(without.openings().get(0).claims()).isEmpty();
        assertThat(without.saved().get(1).openings().get(0).claims()).isEmpty();
        assertThat(resting.without("somebody")).isEqualTo(resting);
    }
}
