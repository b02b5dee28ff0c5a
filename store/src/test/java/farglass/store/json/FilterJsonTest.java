package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.match.RecordKind;
import farglass.match.Role;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.stats.Grade;
import farglass.tendency.Filter;
import farglass.tendency.Moment;
import farglass.tendency.Opponents;
import java.time.LocalDate;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FilterJsonTest {
    private static Plan pinned(Filter filter) {
        return Plan.empty("p", "Plan", "us", "them")
                .pin(new PinnedClaim("them", "c", "So.", "1 of 2", 0.5, 0.1, 0.9, Grade.FAIR, "50%", filter));
    }

    @Test
    void aClaimKeepsInWhichMatchesItWasCounted() throws Exception {
        Filter narrow = Filter.ALL
                .attire("no-gi")
                .ruleset("submission-only")
                .dates(LocalDate.of(2029, 1, 1), LocalDate.of(2031, 1, 1))
                .halfLife(null)
                .asOf(LocalDate.of(2031, 5, 3))
                .kinds(Set.of(RecordKind.MATCH, RecordKind.ROUND))
                .matches(Set.of("m1", "m2"))
                .opponents(new Opponents(Set.of("x"), "left", "black", 60.0, 70.0))
                .moment(new Moment(Role.GUARD, Moment.Standing.BEHIND, Moment.Part.LAST_TWO_MINUTES));
        for (Filter f : new Filter[] {narrow, Filter.ALL, Filter.ALL.attire("gi")}) {
            Plan back = PlanJson.read(PlanJson.write(pinned(f)));
            assertThat(back.pinned().get(0).filter()).isEqualTo(f);
            assertThat(back).isEqualTo(pinned(f));
        }
    }

    @Test
    void aPlanOfBeforeCountsAllMatches() throws Exception {
        String old = PlanJson.write(pinned(Filter.ALL));
        assertThat(old).doesNotContain("\"filter\"");
        assertThat(PlanJson.read(old).pinned().get(0).filter()).isEqualTo(Filter.ALL);
    }

    @Test
    void whatIsNoFilterIsSaidWithItsPlace() {
        String bad = PlanJson.write(pinned(Filter.ALL.dates(LocalDate.of(2029, 1, 1), null)))
                .replace("2029-01-01", "yesterday");
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> PlanJson.read(bad))
                .withMessageContaining("/pinned/0/filter/from");
    }
}
