package farglass.profile;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.stats.BetaPrior;
import farglass.stats.Estimate;
import farglass.stats.SideBias;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Made-up athletes whose truth is known are found again, and the intervals hold what they promise. */
class RecoveryTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Filter EVEN = new Filter(null, null, null, null, null, null, true);
    private static final int SEEDS = 30;
    private static final int ATHLETES = 6;

    /** How many intervals held the truth, of how many. */
    private record Held(int proportions, int rates, int points, int athletes, int pointsAsked) {
        Held plus(Held o) {
            return new Held(
                    proportions + o.proportions,
                    rates + o.rates,
                    points + o.points,
                    athletes + o.athletes,
                    pointsAsked + o.pointsAsked);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {20, 60})
    void ninetyPercentIntervalsHoldTheTruthNineTimesInTen(int matches) {
        Held held = IntStream.rangeClosed(1, SEEDS)
                .parallel()
                .mapToObj(seed -> library(seed, matches))
                .reduce(new Held(0, 0, 0, 0, 0), Held::plus);
        assertThat(held.athletes()).isEqualTo(SEEDS * ATHLETES);
        assertThat(100.0 * held.proportions() / held.athletes())
                .as("proportions")
                .isBetween(85.0, 95.0);
        assertThat(100.0 * held.rates() / held.athletes()).as("rates").isBetween(85.0, 95.0);
        assertThat(held.pointsAsked()).isGreaterThan(SEEDS * ATHLETES * 3);
        assertThat(100.0 * held.points() / held.pointsAsked())
                .as("points of curves")
                .isBetween(85.0, 95.0);
    }

    private static Held library(int seed, int matches) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        List<MadeAthlete> athletes = new ArrayList<>();
        List<MatchRecord> records = new ArrayList<>();
        for (int i = 0; i < ATHLETES; i++) {
            double a = AhrensDieterMarsagliaTsangGammaSampler.of(rng, 4, 1).sample();
            double b = AhrensDieterMarsagliaTsangGammaSampler.of(rng, 6, 1).sample();
            double rate =
                    AhrensDieterMarsagliaTsangGammaSampler.of(rng, 8, 1.0 / 8).sample();
            MadeAthlete made = new MadeAthlete("athlete" + i, a / (a + b), rate, 0.5);
            athletes.add(made);
            for (int m = 0; m < matches; m++) {
                records.add(made.match(m, rng));
            }
        }
        LibraryIndex index = LibraryIndex.of(records, LEXICON);
        Held held = new Held(0, 0, 0, 0, 0);
        for (MadeAthlete made : athletes) {
            ClaimPage page = Profile.page(index, made.id(), EVEN, seed, Question.PASSING);
            int points = 0;
            int asked = 0;
            for (Claim c : page.claims()) {
                Double truth = switch (c.id()) {
                    case "top.held" -> Math.exp(-60 / MadeAthlete.MEAN_STAY_S);
                    case "top.passed" -> MadeAthlete.within(MadeAthlete.PASSED, 30);
                    case "top.swept" -> MadeAthlete.within(MadeAthlete.SWEPT, 30);
                    case "top.stood" -> MadeAthlete.within(1 - MadeAthlete.PASSED - MadeAthlete.SWEPT, 30);
                    default -> null;
                };
                if (truth != null) {
                    asked++;
                    points += holds(c.estimate(), truth);
                }
            }
            held = held.plus(new Held(
                    holds(find(page, "technique.knee-cut"), made.success()),
                    holds(find(page, "rate.knee-cut"), made.perMinute() * 10),
                    points,
                    1,
                    asked));
        }
        return held;
    }

    private static Estimate find(ClaimPage page, String id) {
        return page.claims().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow()
                .estimate();
    }

    private static int holds(Estimate e, double truth) {
        return e.lo() <= truth && truth <= e.hi() ? 1 : 0;
    }

    @Test
    void aPlantedSideIsCalledAndNoneIsMadeUp() {
        assertThat(called(0.75)).as("of 200 with a side").isGreaterThanOrEqualTo(180);
        assertThat(called(0.5)).as("of 200 without one").isLessThanOrEqualTo(20);
        assertThat(called(0.25)).as("of 200 with the other side").isGreaterThanOrEqualTo(180);
    }

    /** In how many of 200 athletes with 40 knee cuts a side is called. */
    private static long called(double right) {
        return IntStream.range(0, 200)
                .filter(seed -> {
                    UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
                    List<MatchRecord> records = new ArrayList<>();
                    MadeAthlete made = new MadeAthlete("us", 0.4, 0.6, right);
                    int cuts = 0;
                    for (int m = 0; cuts < 40; m++) {
                        MatchRecord r = made.match(m, rng);
                        int here = (int) r.tags().stream()
                                .filter(farglass.match.Tag.Action.class::isInstance)
                                .count();
                        if (here > 0 && cuts + here <= 40) {
                            records.add(r);
                            cuts += here;
                        }
                    }
                    ClaimPage page =
                            Profile.page(LibraryIndex.of(records, LEXICON), "us", EVEN, seed, Question.PASSING);
                    Claim side = page.claims().stream()
                            .filter(c -> c.id().equals("side.pass"))
                            .findFirst()
                            .orElseThrow();
                    assertThat(side.estimate().n()).isEqualTo(40);
                    SideBias.Word word = side.side().word();
                    return word == SideBias.Word.RIGHT_SIDED || word == SideBias.Word.LEFT_SIDED;
                })
                .count();
    }

    @Test
    void withoutOtherAthletesThePriorSaysSo() {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(1);
        MadeAthlete made = new MadeAthlete("us", 0.4, 1, 0.5);
        LibraryIndex index = LibraryIndex.of(List.of(made.match(1, rng), made.match(2, rng)), LEXICON);
        Estimate e = find(Profile.page(index, "us", EVEN, 1, Question.PASSING), "technique.knee-cut");
        assertThat(e.prior()).isEqualTo("no baseline");
        assertThat(BetaPrior.jeffreys().source()).isEqualTo("no baseline");
    }
}
