package farglass.tendency;

import static farglass.match.Records.named;
import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;

class ChainsTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final Filter PLAIN = new Filter(null, null, null, null, null, null, false);
    private static final List<String> CODES = List.of(
            "knee-cut",
            "toreando",
            "leg-drag",
            "x-pass",
            "triangle",
            "armbar",
            "lasso-sweep",
            "scissor-sweep",
            "hip-escape",
            "kimura");
    private static final List<List<String>> PLANTED = List.of(
            List.of("self lasso-sweep", "other posture-out", "self triangle", "self omoplata"),
            List.of("other toreando", "self frame-retention", "other x-pass"));

    /** Matches of two exchanges each, both athletes drawing at random, with chains put in now and then. */
    static Evidence library(int matches, double planted, long seed) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(seed);
        List<MatchRecord> records = new ArrayList<>();
        for (int m = 0; m < matches; m++) {
            List<Tag> tags = new ArrayList<>(List.of(new Tag.Start(MatchTime.ZERO, TagInfo.NONE)));
            long t = 0;
            for (int e = 0; e < 2; e++) {
                tags.add(Tag.Position.of(MatchTime.ofMs(t), "STD", null, null));
                tags.add(Tag.Position.of(MatchTime.ofMs(t + 500), "LAS", Corner.B, Corner.A));
                t += 1000;
                for (String symbol : exchange(planted, rng)) {
                    Corner by = symbol.startsWith("self") ? Corner.A : Corner.B;
                    String code = symbol.substring(symbol.indexOf(' ') + 1);
                    tags.add(Tag.Action.of(MatchTime.ofMs(t), by, code).result(Outcome.STUFFED, 1, null, null));
                    t += 3000;
                }
            }
            tags.add(new Tag.End(MatchTime.ofMs(t), TagInfo.NONE));
            records.add(named("m" + m, LocalDate.of(2030, 1, 1), "us", "x", tags.toArray(new Tag[0])));
        }
        return Evidence.of(records, "us", PLAIN, LEXICON);
    }

    private static List<String> exchange(double planted, UniformRandomProvider rng) {
        List<String> symbols = new ArrayList<>();
        int length = 6 + rng.nextInt(7);
        while (symbols.size() < length) {
            symbols.add((rng.nextBoolean() ? "self " : "other ") + CODES.get(rng.nextInt(CODES.size())));
        }
        for (List<String> chain : PLANTED) {
            if (rng.nextDouble() < planted) {
                symbols.addAll(rng.nextInt(symbols.size() + 1), chain);
            }
        }
        return symbols;
    }

    @Test
    void plantedChainsAreAmongTheFirstFiveWithoutTheirShadows() {
        int runs = 12;
        long found = IntStream.range(0, runs)
                .parallel()
                .filter(seed -> {
                    List<Chain> chains = Chains.of(library(120, 0.15, seed), seed);
                    List<List<String>> first =
                            chains.stream().limit(5).map(Chain::symbols).toList();
                    for (int i = 0; i < chains.size(); i++) {
                        for (int j = 0; j < i; j++) {
                            assertThat(shadow(chains.get(i), chains.get(j)))
                                    .as(chains.get(i).symbols() + " beside "
                                            + chains.get(j).symbols())
                                    .isFalse();
                        }
                    }
                    return first.containsAll(PLANTED);
                })
                .count();
        assertThat(found).as("of " + runs + " libraries").isGreaterThanOrEqualTo(11);
    }

    /** The same tags in order, two or more, in largely the same exchanges. */
    private static boolean shadow(Chain a, Chain b) {
        Set<Object> in = new HashSet<>();
        a.trials().forEach(t -> in.add(t.tag().match()));
        long both =
                b.trials().stream().filter(t -> in.contains(t.tag().match())).count();
        int[] first = a.symbols().stream().mapToInt(String::hashCode).toArray();
        int[] second = b.symbols().stream().mapToInt(String::hashCode).toArray();
        return shareTwo(first, second) && both > 0.8 * Math.min(a.exchanges(), b.exchanges());
    }

    @Test
    void falseChainsKeepToTheStatedRate() {
        int runs = 120;
        long with = IntStream.range(100, 100 + runs)
                .parallel()
                .filter(seed -> !Chains.of(library(60, 0, seed), seed).isEmpty())
                .count();
        assertThat(with)
                .as("libraries without any chain in which one was found, of " + runs)
                .isBetween(1L, 15L);
        int listed = 0;
        int wrong = 0;
        for (int seed = 0; seed < 6; seed++) {
            for (Chain c : Chains.of(library(120, 0.15, seed), seed)) {
                listed++;
                wrong += PLANTED.stream().anyMatch(p -> overlap(p, c.symbols())) ? 0 : 1;
            }
        }
        assertThat(listed).isGreaterThanOrEqualTo(12);
        assertThat((double) wrong / listed).isLessThanOrEqualTo(0.10);
    }

    private static boolean overlap(List<String> planted, List<String> found) {
        return shareTwo(
                planted.stream().mapToInt(String::hashCode).toArray(),
                found.stream().mapToInt(String::hashCode).toArray());
    }

    @Test
    void aPatternIsCountedOncePerExchangeWithOneSkipInAll() {
        int[][] exchanges = {{1, 2, 3}, {1, 9, 2, 3}, {1, 9, 2, 9, 3}, {1, 1, 2, 2, 3}, {3, 2, 1}};
        ChainTrie trie = ChainTrie.frequent(exchanges, 2, 6);
        List<ChainTrie.Node> closed = trie.closed();
        ChainTrie.Node all = closed.stream()
                .filter(n -> Arrays.equals(n.pattern(), new int[] {1, 2, 3}))
                .findFirst()
                .orElseThrow();
        assertThat(all.exchanges())
                .as("two skips are one too many, and 1 1 2 2 3 skips only the second 2")
                .containsExactly(0, 1, 3);
        assertThat(closed.stream().filter(n -> Arrays.equals(n.pattern(), new int[] {1, 2})))
                .as("held by the third exchange too, so it is not covered by the longer one")
                .singleElement()
                .satisfies(n -> assertThat(n.exchanges()).containsExactly(0, 1, 2, 3));
        assertThat(ChainTrie.places(new int[] {1, 1, 9, 2, 3}, new int[] {1, 2, 3}))
                .containsExactly(1, 3, 4);
        assertThat(ChainTrie.places(new int[] {1, 9, 2, 9, 3}, new int[] {1, 2, 3}))
                .isNull();
        ChainCounter.Run run = new ChainCounter(trie, closed).new Run();
        run.count(new int[] {1, 2, 3, 1, 2, 3});
        assertThat(run.counts()[closed.indexOf(all)]).isEqualTo(1);
        run.count(new int[] {1, 2});
        assertThat(run.counts()[closed.indexOf(all)]).as("too short").isEqualTo(1);
    }

    /** The counter's packed table against a plain search for every pattern. */
    @Test
    void everyPatternIsCountedInMadeUpExchangesAsASearchFindsIt() {
        Random random = new Random(5);
        int[][] exchanges = random.ints(40, 3, 25)
                .mapToObj(n -> random.ints(n, 0, 7).toArray())
                .toArray(int[][]::new);
        ChainTrie trie = ChainTrie.frequent(exchanges, 4, Chains.LONGEST);
        List<ChainTrie.Node> closed = trie.closed();
        assertThat(closed).hasSizeGreaterThan(100);
        ChainCounter.Run run = new ChainCounter(trie, closed).new Run();
        double[] found = new double[closed.size()];
        for (int library = 0; library < 150; library++) {
            int[] made = random.ints(3 + random.nextInt(18), 0, 7).toArray();
            run.count(made);
            for (int n = 0; n < found.length; n++) {
                found[n] += ChainTrie.places(made, closed.get(n).pattern()) == null ? 0 : 1;
            }
        }
        assertThat(run.counts()).isEqualTo(found);
    }

    @Test
    void whatTwoRowsShareIsToldByTheirOrder() {
        assertThat(ChainTrie.within(new int[] {1, 3}, new int[] {1, 2, 3})).isTrue();
        assertThat(ChainTrie.within(new int[] {3, 1}, new int[] {1, 2, 3})).isFalse();
        assertThat(ChainTrie.within(new int[] {1, 1}, new int[] {1, 2, 3})).isFalse();
    }

    /** Whether both hold some two symbols in the same order. */
    private static boolean shareTwo(int[] a, int[] b) {
        for (int i = 0; i < a.length; i++) {
            for (int j = i + 1; j < a.length; j++) {
                if (ChainTrie.within(new int[] {a[i], a[j]}, b)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** In every match the lasso sweep fails once and is done once: the path of places forces that order. */
    @Test
    void whatThePlacesForceIsNoHabit() {
        List<MatchRecord> records = new ArrayList<>();
        for (int m = 0; m < 40; m++) {
            List<Tag> tags = List.of(
                    new Tag.Start(MatchTime.ZERO, TagInfo.NONE),
                    Tag.Position.of(MatchTime.ofMs(500), "LAS", Corner.B, Corner.A),
                    Tag.Action.of(MatchTime.ofMs(2000), Corner.B, "knee-cut").result(Outcome.STUFFED, 1, null, null),
                    Tag.Action.of(MatchTime.ofMs(4000), Corner.A, "lasso-sweep")
                            .result(Outcome.COMPLETED, 4, "MNT", null),
                    Tag.Position.of(MatchTime.ofMs(4000), "MNT", Corner.A, null),
                    Tag.Action.of(MatchTime.ofMs(6000), Corner.A, "armbar").result(Outcome.NEAR, 3, null, null),
                    new Tag.End(MatchTime.ofMs(20_000), TagInfo.NONE));
            records.add(named("m" + m, LocalDate.of(2030, 1, 1), "us", "x" + m % 7, tags.toArray(new Tag[0])));
        }
        assertThat(Chains.of(Evidence.of(records, "us", PLAIN, LEXICON), 1)).isEmpty();
    }

    @Test
    void tooLittleFilmGivesNoChainAndTheSameSeedTheSameChains() {
        assertThat(Chains.of(library(1, 1, 1), 1)).isEmpty();
        assertThat(Chains.of(Evidence.of(List.of(), "us", PLAIN, LEXICON), 1)).isEmpty();
        Evidence e = library(40, 0.4, 3);
        List<Chain> once = Chains.of(e, 7);
        assertThat(once).isNotEmpty().isEqualTo(Chains.of(library(40, 0.4, 3), 7));
        assertThat(once).extracting(Chain::grade).isSorted();
        assertThat(once).allSatisfy(c -> {
            assertThat(c.trials()).hasSize(c.exchanges());
            assertThat(c.liftLo()).isLessThan(c.lift());
            assertThat(c.q()).isLessThanOrEqualTo(0.10);
            assertThat(c.matches()).isGreaterThanOrEqualTo(3);
        });
        assertThat(Chains.trials(Exchanges.of(e), once.get(0).symbols()).stream()
                        .filter(t -> t.worked())
                        .count())
                .isEqualTo(once.get(0).exchanges());
    }
}
