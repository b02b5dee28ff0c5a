package farglass.bench.truth;

import farglass.bench.truth.World.Athlete;
import farglass.bench.truth.World.Move;
import farglass.bench.truth.World.Row;
import farglass.bench.truth.World.Spot;
import farglass.match.MatchRecord;
import farglass.tendency.Chain;
import farglass.tendency.Chains;
import farglass.tendency.Evidence;
import farglass.tendency.Exchanges;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;

/** How often a sequence is called a habit where there is none, and how often a planted one is found. */
public final class ChainsBench {
    private static final int MATCHES = 120;
    /** Exchanges in which a planted row must have begun to be looked for. */
    private static final int OFTEN = 12;

    private ChainsBench() {}

    /** @param worlds how many of every kind */
    public static void start(int worlds) {
        for (int athletes : new int[] {2, 12}) {
            for (int length : new int[] {0, 2, 3}) {
                int[] sums = IntStream.range(0, worlds)
                        .mapToObj(w -> library(athletes, length, 500L * athletes + 17L * length + w))
                        .reduce(new int[5], ChainsBench::sum);
                System.out.printf(
                        Locale.ROOT,
                        "%2d athletes, planted rows of %d: %d of %d libraries with a badge, found %d, badges %d, of them true %d%n",
                        athletes,
                        length,
                        sums[0],
                        sums[4],
                        sums[1],
                        sums[2],
                        sums[3]);
            }
        }
    }

    /**
     * Whether there was a badge, whether a planted row was found, badges, those that share two tags with it, and 1; all
     * 0 when the row came up too seldom for anybody to see.
     */
    private static int[] library(int athletes, int length, long seed) {
        World world = new World(athletes, new Random(seed));
        Row row = length == 0 ? null : plant(world, length, new Random(seed + 1));
        List<MatchRecord> records = CoverageBench.matches(world, false, MATCHES, seed + 2);
        LibraryIndex index = LibraryIndex.of(records, world.lexicon);
        List<Chain> chains = Chains.of(Evidence.of(index, world.athletes.get(0).id(), Filter.ALL), 3);
        if (row != null && done(records, world, row) < OFTEN) {
            return new int[5];
        }
        int real = 0;
        for (Chain c : chains) {
            real += row != null && sharesTwo(c.symbols(), row) ? 1 : 0;
        }
        return new int[] {chains.isEmpty() ? 0 : 1, real > 0 ? 1 : 0, chains.size(), real, 1};
    }

    private static int[] sum(int[] a, int[] b) {
        return IntStream.range(0, a.length).map(i -> a[i] + b[i]).toArray();
    }

    /** In how many exchanges the first two of a planted row follow each other. */
    private static int done(List<MatchRecord> records, World world, Row row) {
        Evidence e = Evidence.of(
                LibraryIndex.of(records, world.lexicon), world.athletes.get(0).id(), Filter.ALL);
        List<String> two =
                row.techniques().subList(0, 2).stream().map(t -> "self " + t).toList();
        return (int) Exchanges.of(e).stream()
                .filter(x -> Collections.indexOfSubList(
                                x.steps().stream().map(Exchanges.Step::symbol).toList(), two)
                        >= 0)
                .count();
    }

    static boolean sharesTwo(List<String> symbols, Row row) {
        List<String> planted = row.techniques().stream().map(t -> "self " + t).toList();
        int at = 0;
        int shared = 0;
        for (String s : symbols) {
            int found = planted.subList(at, planted.size()).indexOf(s);
            if (found >= 0) {
                shared++;
                at += found + 1;
            }
        }
        return shared >= 2;
    }

    /** In the place with most to do; half of the first athlete's tries of one thing are followed by the others. */
    static Row plant(World world, int length, Random rng) {
        Athlete a = world.athletes.get(0);
        Map<String, Integer> tries = new HashMap<>();
        for (MatchRecord r : CoverageBench.matches(world, true, 30, rng.nextLong())) {
            Evidence e = Evidence.of(LibraryIndex.of(List.of(r), world.lexicon), a.id(), Filter.ALL);
            e.ownAttempts(x -> true)
                    .forEach(act ->
                            tries.merge(act.span() == null ? "" : act.span().place() + act.role(), 1, Integer::sum));
        }
        List<Spot> spots = a.moves().keySet().stream()
                .filter(s -> a.moves().get(s).stream()
                                .map(m -> m.technique().code())
                                .distinct()
                                .count()
                        >= length)
                .sorted(Comparator.comparingInt((Spot s) -> -tries.getOrDefault(s.place() + role(s), 0)))
                .limit(3)
                .toList();
        Spot spot = spots.get(rng.nextInt(spots.size()));
        List<String> codes = new ArrayList<>(a.moves().get(spot).stream()
                .sorted((x, y) -> Double.compare(y.rate(), x.rate()))
                .map(Move::technique)
                .map(t -> t.code())
                .distinct()
                .limit(length + 1L)
                .toList());
        Collections.shuffle(codes, rng);
        Row row = new Row(spot, codes.subList(0, length), 0.6);
        a.rows().add(row);
        return row;
    }

    private static String role(Spot s) {
        return switch (s.standing()) {
            case TOP, HOLDER -> "holder";
            case GUARD -> "guard";
            case UNDER -> "under";
            case NEUTRAL -> "neutral";
        };
    }
}
