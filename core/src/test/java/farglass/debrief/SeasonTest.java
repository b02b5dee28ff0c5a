package farglass.debrief;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.Result;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.plan.Approach;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.rules.Rulesets;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SeasonTest {
    private static final LocalDate DAY = LocalDate.of(2031, 5, 3);
    private static final LocalDate TODAY = LocalDate.of(2031, 6, 1);

    private static MatchRecord match(String id, LocalDate day, String a, String b, Corner winner) {
        var details = new MatchRecord.Details(
                day,
                null,
                null,
                null,
                null,
                "points-gi",
                480_000,
                new MatchAthlete(a, a, null, null, Map.of()),
                new MatchAthlete(b, b, null, null, Map.of()),
                new Result(winner, winner == null ? Method.DRAW : Method.POINTS, null, null));
        return MatchRecord.of(id, details, List.of(), List.of(new Tag.End(MatchTime.ofMs(480_000), TagInfo.NONE)));
    }

    private static Assignment assignment(String id, LocalDate day, String... them) {
        return new Assignment(id, "us", List.of(them), "Event", day, "points-gi", "gi", 8);
    }

    private static Plan plan(String id, double win) {
        return Plan.empty(id, "Plan", "us", "x")
                .approach(Approach.USUAL.freeze(List.of(new Approach.Forecast("win", "Us wins", win))));
    }

    private static Season season(List<Assignment> assignments, List<Plan> plans, List<MatchRecord> records) {
        return Season.of(assignments, plans, records, Rulesets.builtIn(), Lexicon.builtIn(), TODAY);
    }

    @Test
    void everyAssignmentHasItsState() {
        Season s = season(
                List.of(
                        assignment("past", DAY, "x", "y"),
                        assignment("next", TODAY.plusDays(9), "x", "y"),
                        assignment("some", null, "z")),
                List.of(plan("past.x", 0.7), plan("next.x", 0.6)),
                List.of(match("m", DAY, "x", "us", Corner.B), match("n", DAY, "x", "y", Corner.A)));
        assertThat(s.rows())
                .extracting(Season.Row::state)
                .containsExactly(
                        Season.State.OPEN, // some z
                        Season.State.PLANNED, // next x
                        Season.State.OPEN, // next y
                        Season.State.FOUGHT, // past x
                        Season.State.WAITING); // past y
        Season.Row fought = s.rows().get(3);
        assertThat(fought.match().id()).isEqualTo("m");
        assertThat(fought.won()).as("we stood in corner B").isTrue();
        assertThat(fought.scored()).hasSize(1);
        assertThat(s.calibration().brier()).isEqualTo(0.3 * 0.3, org.assertj.core.data.Offset.offset(1e-12));
    }

    @Test
    void calibrationGoesOverAllPlans() {
        List<Assignment> assignments = List.of(assignment("a", DAY, "x"), assignment("b", DAY.plusDays(1), "x"));
        Season s = season(
                assignments,
                List.of(plan("a.x", 0.7), plan("b.x", 0.7)),
                List.of(match("m", DAY, "us", "x", Corner.A), match("n", DAY.plusDays(1), "us", "x", Corner.B)));
        assertThat(s.calibration().n()).isEqualTo(2);
        assertThat(s.calibration().bins()).hasSize(1);
        assertThat(s.calibration().bins().get(0).happened()).isEqualTo(0.5);
        assertThat(season(assignments, List.of(), List.of()).calibration().n()).isZero();
    }

    @Test
    void aDrawIsNeitherWonNorLost() {
        Season s = season(List.of(assignment("a", DAY, "x")), List.of(), List.of(match("m", DAY, "us", "x", null)));
        assertThat(s.rows().get(0).won()).isNull();
        assertThat(s.rows().get(0).state()).isEqualTo(Season.State.FOUGHT);
        assertThat(s.rows().get(0).scored()).isEmpty();
    }
}
