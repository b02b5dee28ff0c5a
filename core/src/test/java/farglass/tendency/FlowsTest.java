package farglass.tendency;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.named;
import static farglass.match.Records.start;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.chart.ChartPlan;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Role;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class FlowsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static MatchRecord match(int n) {
        return named(
                "m" + n,
                LocalDate.of(2030, 1, 1).plusDays(n),
                "us",
                "x" + n,
                start(),
                at(0, "STD"),
                does(30, Corner.A, "guard-pull", "CLG"),
                guard(30, "CLG", Corner.A),
                does(60, Corner.A, "scissor-sweep", "MNT"),
                held(60, "MNT", Corner.A),
                end(300));
    }

    @Test
    void flowsAreCountedWhateverCausedThem() {
        Flows f = Flows.of(Evidence.of(List.of(match(0), match(1)), "us", Filter.ALL.halfLife(null), LEXICON));
        assertThat(f.flows())
                .extracting(x -> x.from() + "-" + x.to() + " " + x.trials().size())
                .containsExactlyInAnyOrder("STD-CLG 2", "CLG-MNT 2");
        assertThat(f.flows()).allSatisfy(x -> {
            // twice in ten minutes of film
            assertThat(x.perTenMinutes()).isCloseTo(2, within(1e-9));
        });
        assertThat(f.stops()).extracting(Flows.Stop::position).contains("STD", "CLG", "MNT");
        assertThat(f.stops().stream().mapToDouble(s -> s.share().raw()).sum()).isCloseTo(1, within(1e-9));
    }

    @Test
    void withoutMatchesThereIsNothingToDraw() {
        Flows f = Flows.of(Evidence.of(List.of(match(0)), "nobody", Filter.ALL, LEXICON));
        assertThat(f.flows()).isEmpty();
        assertThat(f.stops()).isEmpty();
    }

    @Test
    void noTwoPlacesOfTheChartCoverOneAnotherAndBetterStandsHigher() {
        ChartPlan plan = new ChartPlan(LEXICON);
        List<Position> pins = LEXICON.positions().stream()
                .filter(p -> p.holder() && !p.guard() && p.value() > 0.2)
                .toList();
        for (Position p : pins) {
            double[] holder = plan.at(p.code(), Role.HOLDER);
            double[] under = plan.at(p.code(), Role.UNDER);
            assertThat(holder[1]).as(p.code()).isLessThan(0.5);
            assertThat(under[1]).as(p.code()).isGreaterThan(0.5);
            for (Position other : pins) {
                double[] spot = plan.at(other.code(), Role.HOLDER);
                assertThat(other == p || Math.abs(spot[0] - holder[0]) > 0.05 || Math.abs(spot[1] - holder[1]) > 0.02)
                        .as(p.code() + " " + other.code())
                        .isTrue();
            }
        }
        assertThat(plan.at("no-such", Role.HOLDER)).containsExactly(0.5, 0.5);
    }
}
