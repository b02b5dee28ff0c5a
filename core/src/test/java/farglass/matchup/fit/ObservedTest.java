package farglass.matchup.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.matchup.simulate.Small;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is counted, on a match written by hand. */
class ObservedTest {
    private static final MatchAthlete ANN = new MatchAthlete("ann", "Ann", null, null, Map.of());
    private static final MatchAthlete BEA = new MatchAthlete("bea", "Bea", null, null, Map.of());
    private static final ModelState GUARD_OF_BEA = ModelState.of("LAS", 1);

    private static MatchTime s(double seconds) {
        return MatchTime.ofMs(Math.round(1000 * seconds));
    }

    private static MatchRecord match(String id, LocalDate date, String attire) {
        List<Tag> tags = new ArrayList<>(List.of(
                new Tag.Start(s(0), TagInfo.NONE),
                Tag.Position.of(s(0), "STD", null, null),
                Tag.Action.of(s(20), Corner.B, "guard-pull").result(Outcome.COMPLETED, 4, "LAS", s(21)),
                Tag.Position.of(s(21), "LAS", Corner.A, Corner.B),
                Tag.Action.of(s(40), Corner.A, "knee-cut").result(Outcome.NEAR, 3, null, s(42)),
                Tag.Action.of(s(50), Corner.A, "knee-cut").result(Outcome.STUFFED, 1, null, s(51)),
                Tag.Action.of(s(55), Corner.A, "knee-cut"),
                Tag.Action.of(s(60), Corner.A, "knee-cut").result(Outcome.COMPLETED, 4, "SDC", s(61)),
                Tag.Position.of(s(61), "SDC", Corner.A, null),
                Tag.Position.of(s(63), "HFG", Corner.A, Corner.B),
                new Tag.Stop(s(81), "out-of-bounds", TagInfo.NONE),
                new Tag.Resume(s(81), "STD", null, null, TagInfo.NONE),
                Tag.Action.of(s(90), Corner.B, "snap-down").result(Outcome.ABANDONED, 2, null, s(91)),
                new Tag.End(s(121), TagInfo.NONE)));
        for (int i = 0; i < tags.size(); i++) {
            tags.set(i, tags.get(i).with(TagInfo.withId("t" + i)));
        }
        return MatchRecord.of(
                id,
                new MatchRecord.Details(date, "e", null, null, attire, "points-gi", 300_000, ANN, BEA, null),
                List.of(),
                tags);
    }

    private static Observed observed(Filter filter, MatchRecord... records) {
        return Observed.of(
                LibraryIndex.of(List.of(records), Small.LEXICON), filter, null, new StateSpace(Small.LEXICON));
    }

    private final Observed one = observed(Filter.ALL, match("m", LocalDate.of(2031, 1, 1), "gi"));

    @Test
    void minutesAreThoseOfEachAthletesOwnSide() {
        Observed.Book ann = one.whole("ann");
        assertThat(ann.minutes.get(GUARD_OF_BEA)).isCloseTo(40 / 60.0, within(1e-9));
        assertThat(ann.minutes.get(ModelState.START)).isCloseTo(61 / 60.0, within(1e-9));
        assertThat(one.whole("bea").minutes.get(GUARD_OF_BEA.mirrored())).isCloseTo(40 / 60.0, within(1e-9));
        assertThat(one.matches).containsEntry("ann", 1).containsEntry("bea", 1);
        assertThat(one.books.keySet())
                .containsExactlyInAnyOrder(new Observed.Pair("ann", "bea"), new Observed.Pair("bea", "ann"));
    }

    @Test
    void attemptsCountWithTheirOutcomeAndHowFarTheFailedOnesGot() {
        Observed.Tries cut = one.whole("ann").tries.get(GUARD_OF_BEA).get("knee-cut");
        assertThat(cut.all).isEqualTo(4);
        assertThat(cut.decided).as("one has no outcome").isEqualTo(3);
        assertThat(cut.worked).isEqualTo(1);
        assertThat(cut.failedAt).containsExactly(0, 1, 0, 1, 0);
        assertThat(cut.tags).hasSize(4);
        assertThat(one.whole("bea").tries.get(ModelState.START)).containsOnlyKeys("guard-pull", "snap-down");
    }

    @Test
    void whereASuccessLedAndWhetherItWasHeld() {
        assertThat(one.reached.get("ann").get("knee-cut")).containsOnlyKeys(Small.TOP);
        assertThat(one.reached.get("bea").get("guard-pull")).containsOnlyKeys(ModelState.of("LAS", -1));
        assertThat(one.held.get("guard-pull")).containsExactly(1, 1);
        // side control for two seconds, then a half guard in which Ann is still above
        assertThat(one.held.get("pass")).containsExactly(1, 1);
    }

    @Test
    void restartsAndUnexplainedChangesAreDrift() {
        assertThat(one.drift.get(Small.TOP)).containsOnlyKeys(ModelState.of("HFG", 1));
        assertThat(one.drift.get(ModelState.of("HFG", 1))).containsEntry(ModelState.START, 1.0);
        assertThat(one.drift).doesNotContainKey(GUARD_OF_BEA);
    }

    @Test
    void oldMatchesWeighLessAndTheFilterHolds() {
        MatchRecord now = match("new", LocalDate.of(2031, 1, 1), "gi");
        MatchRecord old = match("old", LocalDate.of(2028, 1, 1), "no-gi");
        double tries = observed(Filter.ALL, now, old)
                .whole("ann")
                .tries
                .get(GUARD_OF_BEA)
                .get("knee-cut")
                .all;
        assertThat(tries).as("three years is the half-life").isCloseTo(6, within(0.01));
        assertThat(observed(Filter.ALL.halfLife(null), now, old)
                        .whole("ann")
                        .tries
                        .get(GUARD_OF_BEA)
                        .get("knee-cut")
                        .all)
                .isEqualTo(8);
        assertThat(observed(Filter.ALL.attire("gi"), now, old).matches).containsEntry("ann", 1);
    }

    @Test
    void whatIsUsualSumsToOneAndLeansOnTheFamily() {
        PooledRates usual = new PooledRates(one, new StateSpace(Small.LEXICON));
        usual.weigh((pair, family) -> 1);
        Map<String, Double> shares = usual.shares(ModelState.START, "takedown");
        assertThat(shares).containsOnlyKeys("snap-down");
        assertThat(shares.values().stream().mapToDouble(x -> x).sum()).isCloseTo(1, within(1e-9));
        assertThat(usual.tries(GUARD_OF_BEA, "pass")).isEqualTo(4);
        assertThat(usual.minutes(GUARD_OF_BEA, "pass")).isCloseTo(40 / 60.0, within(1e-9));
        double own = 4 / (40 / 60.0);
        assertThat(usual.rate(GUARD_OF_BEA, "pass")).isCloseTo(own, within(1e-6));
        assertThat(usual.rate(ModelState.of("DLR", 1), "pass"))
                .as("a guard never seen borrows from the open guards")
                .isCloseTo(own, within(1e-6));
        double[] chance = usual.chance("knee-cut");
        assertThat(chance[0] / (chance[0] + chance[1])).isBetween(0.3, 0.4);
        usual.weigh((pair, family) -> 2);
        assertThat(usual.minutes(GUARD_OF_BEA, "pass")).isCloseTo(80 / 60.0, within(1e-9));
    }
}
