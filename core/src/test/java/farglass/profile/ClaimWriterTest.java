package farglass.profile;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.stats.SideBias;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.tendency.Level;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Numbers in words: units, counts, and everything that qualifies a number. */
class ClaimWriterTest {
    private static final ClaimWriter WRITER = new ClaimWriter(Locale.ENGLISH);

    private static List<Trial> trials(int matches) {
        List<Trial> list = new ArrayList<>();
        for (int i = 0; i < matches; i++) {
            list.add(new Trial(new TagRef("m" + i, "t1"), 1, MatchTime.ofMs(1000), true, 1, false));
        }
        return list;
    }

    private static Estimate estimate(double x, double n, double mean, double lo, double hi, int matches) {
        return new Estimate(
                new Estimate.Observed(x, n, n == 0 ? Double.NaN : x / n, matches, n),
                mean,
                new Estimate.Interval(lo, hi),
                Grade.FAIR,
                new Estimate.Reference(Double.NaN, ""),
                null,
                List.of());
    }

    private static Claim claim(Claim.Topic topic, Claim.Unit unit, Estimate e, int matches) {
        return Claim.of(
                "technique.knee-cut",
                topic,
                "technique.pass",
                List.of("Tolendt", "knee cut"),
                unit,
                e,
                trials(matches));
    }

    @ParameterizedTest
    @CsvSource({
        "SHARE, 0.416, 42%",
        "TIME_SHARE, 0.005, 1%",
        "PER_TEN_MINUTES, 2.34, 2.3",
        "PER_TEN_MINUTES, 23.4, 23",
        "TIME, 12340, 12.3",
        "DIFFERENCE, 0.127, +13",
        "DIFFERENCE, -0.31, -31",
        "COUNT, 7, 7",
        "TIMES_EXPECTED, 3.44, \u00d73.4",
        "TIMES_EXPECTED, 34.4, \u00d734"
    })
    void aValueIsWrittenInTheFormOfItsUnit(Claim.Unit unit, double value, String written) {
        assertThat(ClaimWriter.value(unit, value)).isEqualTo(written);
        assertThat(ClaimWriter.value(unit, Double.NaN)).isEqualTo("?");
    }

    @Test
    void theIntervalCarriesTheUnitThatTheNumbersDoNot() {
        assertThat(WRITER.interval(
                        claim(Claim.Topic.TECHNIQUE, Claim.Unit.SHARE, estimate(3, 9, 0.33, 0.2, 0.51, 3), 3)))
                .isEqualTo("20%\u201351%");
        assertThat(WRITER.interval(
                        claim(Claim.Topic.RATE, Claim.Unit.PER_TEN_MINUTES, estimate(3, 600_000, 3, 1.2, 5.6, 3), 3)))
                .isEqualTo("1.2\u20135.6 per 10 min");
        assertThat(WRITER.interval(claim(Claim.Topic.OPENING, Claim.Unit.TIME, estimate(3, 3, 4000, 2000, 9000, 3), 3)))
                .isEqualTo("2.0\u20139.0 s");
        assertThat(WRITER.interval(
                        claim(Claim.Topic.MATTER, Claim.Unit.DIFFERENCE, estimate(1, 9, 0.1, -0.2, 0.3, 3), 3)))
                .isEqualTo("-20 to +30 points");
        assertThat(WRITER.interval(
                        claim(Claim.Topic.CHAIN, Claim.Unit.TIMES_EXPECTED, estimate(4, 4, 5, 2.5, 9, 3), 3)))
                .isEqualTo("\u2265 \u00d72.5");
        assertThat(WRITER.interval(claim(Claim.Topic.OWN, Claim.Unit.COUNT, estimate(4, 4, 4, 4, 4, 3), 3)))
                .isEmpty();
    }

    @Test
    void countsSayHowManyOfWhatAndInHowManyMatches() {
        assertThat(WRITER.counts(claim(Claim.Topic.TECHNIQUE, Claim.Unit.SHARE, estimate(3, 9, 0.33, 0.2, 0.5, 4), 4)))
                .isEqualTo("3 of 9 in 4 matches");
        assertThat(WRITER.counts(claim(Claim.Topic.TECHNIQUE, Claim.Unit.SHARE, estimate(1, 1, 0.6, 0.2, 0.9, 1), 1)))
                .isEqualTo("1 of 1 in 1 match");
        assertThat(WRITER.counts(claim(
                        Claim.Topic.PLACE, Claim.Unit.TIME_SHARE, estimate(90_000, 600_000, 0.15, 0.1, 0.2, 4), 4)))
                .isEqualTo("1.5 of 10.0 min in 4 matches");
        assertThat(WRITER.counts(
                        claim(Claim.Topic.RATE, Claim.Unit.PER_TEN_MINUTES, estimate(5, 600_000, 5, 2, 9, 4), 4)))
                .isEqualTo("5 in 10.0 min, 4 matches");
        assertThat(WRITER.counts(claim(Claim.Topic.OWN, Claim.Unit.COUNT, estimate(1, 1, 1, 1, 1, 1), 1)))
                .isEqualTo("seen 1 time in 1 match");
    }

    @Test
    void everythingThatQualifiesTheNumberIsSaid() {
        Claim c = Claim.of(
                        "side.pass",
                        Claim.Topic.SIDE,
                        "side.pass.left",
                        List.of("Tolendt"),
                        Claim.Unit.SHARE,
                        estimate(1, 2, 0.5, 0.1, 0.9, 1).against(0.5, "no side preferred"),
                        trials(1))
                .sided(new SideBias(1, 1, 0.5, 0.1, SideBias.Word.BOTH_SIDES))
                .withoutUnsure(0.25)
                .hiding(3)
                .doubted(List.of(Level.Doubt.LOWER_GRADES));
        assertThat(WRITER.notes(c))
                .contains("from one match only")
                .contains("all success against lower grades")
                .contains("both sides")
                .contains("without unsure tags 25%")
                .contains("3 more where it was not visible");
        assertThat(WRITER.sentence(c)).isEqualTo("Tolendt passes to the left.");
        assertThat(WRITER.grade(Grade.THIN)).isEqualTo("thin");
    }
}
