package farglass.agreement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Records;
import farglass.match.Side;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The matching against every possible one, on small records. */
class MatchingPropertyTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final String[] PASSES = {"knee-cut", "toreando", "leg-drag"};
    private static final long TOLERANCE = 2000;

    private static MatchRecord random(UniformRandomProvider rng) {
        List<Tag> tags = new ArrayList<>(List.of(Records.start(), Records.guard(0, "SPD", Corner.A)));
        for (int i = 1 + rng.nextInt(5); i > 0; i--) {
            tags.add(Records.tries(1 + rng.nextInt(60) / 10.0, Corner.B, PASSES[rng.nextInt(PASSES.length)])
                    .sided(rng.nextBoolean() ? Side.LEFT : Side.RIGHT));
        }
        tags.add(Records.end(20));
        return Records.of(tags.toArray(Tag[]::new));
    }

    /** Number of pairs, then equal fields, then nearness, as one number to be made large. */
    private static double worth(MatchRecord a, MatchRecord b, List<int[]> pairs) {
        double sum = 0;
        for (int[] p : pairs) {
            Tag.Action x = (Tag.Action) a.tags().get(p[0]);
            Tag.Action y = (Tag.Action) b.tags().get(p[1]);
            int differ =
                    (x.technique().equals(y.technique()) ? 0 : 1) + (x.sides().equals(y.sides()) ? 0 : 1);
            sum += 1e9 - 1e5 * differ - Math.abs(x.t().since(y.t()));
        }
        return sum;
    }

    private static double best(MatchRecord a, MatchRecord b, int from, Set<Integer> used, List<int[]> pairs) {
        if (from >= a.tags().size()) {
            return worth(a, b, pairs);
        }
        double best = best(a, b, from + 1, used, pairs);
        if (a.tags().get(from) instanceof Tag.Action x) {
            for (int j = 0; j < b.tags().size(); j++) {
                boolean near = b.tags().get(j) instanceof Tag.Action y && Math.abs(x.t().since(y.t())) <= TOLERANCE;
                if (near && used.add(j)) {
                    pairs.add(new int[] {from, j});
                    best = Math.max(best, best(a, b, from + 1, used, pairs));
                    pairs.remove(pairs.size() - 1);
                    used.remove(j);
                }
            }
        }
        return best;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void noOtherMatchingIsBetter(long seed) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        for (int i = 0; i < 40; i++) {
            MatchRecord a = random(rng);
            MatchRecord b = random(rng);
            Matching m = Matching.ofAttempts(a, b, TOLERANCE, LEXICON);
            List<int[]> pairs = m.pairs().stream()
                    .map(p -> new int[] {p.first(), p.second()})
                    .toList();
            assertThat(worth(a, b, pairs))
                    .as("seed %d, case %d", seed, i)
                    .isCloseTo(best(a, b, 0, new HashSet<>(), new ArrayList<>()), within(1e-3));
            Matching back = Matching.ofAttempts(b, a, TOLERANCE, LEXICON);
            assertThat(back.pairs()).hasSameSizeAs(m.pairs());
            assertThat(back.onlyFirst()).isEqualTo(m.onlySecond());
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14})
    void kappaIsTheSameBothWaysAndNeverAboveOne(long seed) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        List<String> a = new ArrayList<>();
        List<String> b = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            a.add("p" + rng.nextInt(4));
            b.add(rng.nextInt(3) > 0 ? a.get(i) : "p" + rng.nextInt(4));
        }
        Kappa one = Kappa.of(a, b, 30, 1);
        Kappa other = Kappa.of(b, a, 30, 1);
        assertThat(one.kappa()).isCloseTo(other.kappa(), within(1e-12)).isBetween(-1.0, 1.0);
        assertThat(one.se()).isCloseTo(other.se(), within(1e-12)).isPositive();
        assertThat(Kappa.of(a, b, 30, 1)).isEqualTo(one);
    }
}
