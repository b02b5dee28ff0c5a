package farglass.matchup.advise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.matchup.simulate.Small;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.plan.Fork;
import farglass.plan.ForkIntents;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

class OwnPlanTest {
    private static final MeetingWriter WRITER = new MeetingWriter(Locale.ENGLISH, Small.LEXICON, "Ansa", "Brisa");
    private static MeetingSolution solved;
    private static IntentReader reader;
    private static Decisions proposed;

    @BeforeAll
    static void solve() {
        solved = Small.demo("brisa-tolendt", "points-gi", SolverSettings.USUAL.coarse(), Constraints.NONE)
                .solve();
        reader = WRITER.reader(solved);
        proposed = Decisions.of(solved);
    }

    private static List<Intent> read(String text) {
        return reader.read(text);
    }

    @Test
    void theComputedDecisionsTypedByHandAreWorthWhatTheyAreWorth() {
        List<Intent> typed = proposed.valued().stream()
                .flatMap(v -> read(WRITER.decisions().sentence(v.decision())).stream())
                .toList();
        OwnPlan own = OwnPlan.of(solved, typed, proposed);
        assertThat(own.proposed() - own.natural()).isCloseTo(proposed.carried(), within(1e-9));
        assertThat(own.win()).isCloseTo(own.proposed(), within(1e-9));
        assertThat(OwnPlan.left(typed, proposed)).isEmpty();
    }

    @Test
    void aPlanWithoutIntentsIsTheNaturalGame() {
        OwnPlan none = OwnPlan.of(solved, read("stay calm"), proposed);
        assertThat(none.win()).isEqualTo(none.natural());
        assertThat(none.valued()).singleElement().satisfies(v -> {
            assertThat(v.worth()).isNull();
            assertThat(WRITER.own().worth(v, 0)).contains("no number");
        });
        assertThat(WRITER.own().compared(none)).contains("changes nothing");
        assertThat(OwnPlan.left(read("stay calm"), proposed)).hasSameSizeAs(proposed.valued());
    }

    @Test
    void toBarWhatWorksCostsAndToBarWhatFailsHelps() {
        OwnPlan own = OwnPlan.of(solved, read("never half guard sweep; never knee cut"), proposed);
        double sweep = own.valued().get(0).worth();
        assertThat(sweep).isNegative();
        // each is worth what the plan without it lacks
        OwnPlan other = OwnPlan.of(solved, read("never knee cut"), proposed);
        assertThat(own.win() - other.win()).isCloseTo(sweep, within(1e-12));
    }

    @Test
    void drawsGiveIntervalsAndCanBeStopped() {
        List<Intent> typed = read("from half guard half guard sweep, never knee cut; stay calm");
        OwnPlan own = OwnPlan.drawn(solved, typed, proposed, 8, 1, x -> {}, () -> false);
        assertThat(own).isNotNull();
        assertThat(own.draws()).isEqualTo(8);
        OwnPlan.Ranges r = own.ranges();
        assertThat(r.win().lo()).isLessThan(r.win().hi());
        // in the same draws the difference is far surer than either
        assertThat(r.overNatural().hi() - r.overNatural().lo())
                .isLessThan(0.5 * (r.win().hi() - r.win().lo()));
        assertThat(own.valued().get(0).holds()).isBetween(0.0, 1.0);
        assertThat(own.valued().get(2).range()).isNull();
        assertThat(WRITER.own().compared(own)).contains("a difference of");
        assertThat(OwnPlan.drawn(solved, typed, proposed, 8, 1, x -> {}, () -> true))
                .isNull();
    }

    @Test
    void forksAreReadWithWhereTheOneBeforeLeads() {
        Fork sweep = Fork.of("f3", true, "half guard sweep");
        Fork answer = new Fork("f2", false, "knee cut \u2192 half guard", "", List.of(), List.of(sweep, sweep));
        Fork opening = new Fork("f1", true, "guard pull \u2192 closed guard", "", List.of(), List.of(answer));
        List<ForkIntents.Read> all = ForkIntents.of(List.of(opening), reader);
        assertThat(all).extracting(ForkIntents.Read::fork).containsExactly("f1", "f3", "f3");
        assertThat(all.get(2).intent().unvalued()).isEqualTo(Intent.Unvalued.SAID_BEFORE);
        assertThat(all.stream()
                        .limit(2)
                        .map(x -> WRITER.own().sentence(x.intent()))
                        .toList())
                .containsExactly("Guard pull, wherever it comes up.", "From half guard: half guard sweep.");
    }
}
