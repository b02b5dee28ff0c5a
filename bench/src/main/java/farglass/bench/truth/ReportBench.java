package farglass.bench.truth;

import farglass.bench.truth.World.Row;
import farglass.match.MatchRecord;
import farglass.profile.Claim;
import farglass.profile.Profile;
import farglass.scout.Assertion;
import farglass.scout.Edge;
import farglass.scout.ScoutingReport;
import farglass.scout.Sentence;
import farglass.stats.Grade;
import farglass.tendency.Evidence;
import farglass.tendency.Exchanges;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.tendency.Sequence;
import farglass.tendency.Sequences;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * Of the sentences of a report, how many are true? The truth of a number is what it comes to over hundreds of matches
 * of everybody; a sentence is true when all it asserts holds there: more or less than the others, or the most of its
 * kind. And are planted sequences among the first five?
 */
public final class ReportBench {
    private static final int[] SIZES = {20, 60};
    private static final int[] ATHLETES = {6, 12};
    private static final int TRUTH_MATCHES = 400;
    private static final int TOP = 3;
    private static final int FIRST = 5;
    /** Exchanges in which a planted sequence must have been shown to be a favourite. */
    private static final int SHOWN = 4;
    /** Shares that differ by less are as large. */
    private static final double AS_LARGE = 0.01;

    private final Map<String, int[]> counts = new TreeMap<>();

    private ReportBench() {}

    /** @param worlds how many of every kind */
    public static void start(int worlds) {
        ReportBench bench = new ReportBench();
        for (int athletes : ATHLETES) {
            for (int w = 0; w < worlds; w++) {
                bench.world(athletes, w);
                for (int length = 2; length <= TOP; length++) {
                    bench.planted(athletes, length, w);
                }
            }
        }
        bench.counts.forEach(
                (what, n) -> System.out.printf(Locale.ROOT, "%-56s %.3f of %d%n", what, n[0] / (double) n[1], n[1]));
    }

    private void count(String what, boolean held) {
        int[] n = counts.computeIfAbsent(what, k -> new int[2]);
        n[0] += held ? 1 : 0;
        n[1]++;
    }

    private void world(int athletes, int w) {
        World world = new World(athletes, new Random(91_000L * athletes + w));
        String who = world.athletes.get(0).id();
        LibraryIndex much = LibraryIndex.of(CoverageBench.matches(world, false, TRUTH_MATCHES, 5 + w), world.lexicon);
        Map<String, Claim> truth = new TreeMap<>();
        Profile.of(much, who, Filter.ALL.halfLife(null), 1)
                .pages()
                .values()
                .forEach(p -> p.claims().forEach(c -> truth.putIfAbsent(c.id(), c)));
        for (int size : SIZES) {
            String run = " | " + athletes + " athletes, " + size + " matches";
            List<MatchRecord> records = mixed(CoverageBench.matches(world, false, size, 99 + w), w);
            ScoutingReport report =
                    ScoutingReport.of(Profile.of(LibraryIndex.of(records, world.lexicon), who, Filter.ALL, 1));
            for (ScoutingReport.Part p : report.parts()) {
                p.sentences().stream()
                        .filter(s -> s.grade() != Grade.THIN && asserts(s))
                        .forEach(s -> count("sentences" + run, holds(s, truth, much, world)));
            }
            report.dangers().stream().limit(TOP).forEach(e -> count("dangers, first three" + run, holds(e, truth)));
            report.openings().stream().limit(TOP).forEach(e -> count("openings, first three" + run, holds(e, truth)));
        }
    }

    private static boolean asserts(Sentence s) {
        return s.assertions().stream().anyMatch(c -> c.claim() != null && c.says() != Assertion.Says.COUNTED);
    }

    private static boolean holds(Sentence s, Map<String, Claim> truth, LibraryIndex much, World world) {
        return s.assertions().stream()
                .filter(c -> c.claim() != null && c.says() != Assertion.Says.COUNTED)
                .allMatch(c -> c.claim().id().startsWith("sequence.")
                        ? sequenceHolds(c.claim(), much, world)
                        : holds(c, truth));
    }

    /** Whether a danger or an opening lies above the others' in truth. */
    private static boolean holds(Edge e, Map<String, Claim> truth) {
        Claim t = truth.get(e.sentence().main().orElseThrow().id());
        return t != null && value(t) >= t.estimate().baseline();
    }

    private static boolean holds(Assertion c, Map<String, Claim> truth) {
        Claim t = truth.get(c.claim().id());
        if (t == null) {
            return false;
        }
        if (c.says() == Assertion.Says.MOST) {
            String stem = t.id().substring(0, t.id().lastIndexOf('.') + 1);
            return truth.values().stream()
                    .filter(o -> o.id().startsWith(stem) && o.template().equals(t.template()))
                    .noneMatch(o -> value(o) > value(t) + AS_LARGE);
        }
        if (t.id().startsWith("side.")) {
            return t.template().equals(c.claim().template());
        }
        double than = t.unit() == Claim.Unit.DIFFERENCE ? 0 : t.estimate().baseline();
        if (c.than() != null) {
            than = truth.containsKey(c.than().id()) ? value(truth.get(c.than().id())) : Double.NaN;
        }
        if (Double.isNaN(than)) {
            return true;
        }
        return c.says() == Assertion.Says.MORE ? value(t) > than : value(t) < than;
    }

    private static double value(Claim c) {
        return c.unit() == Claim.Unit.PER_TEN_MINUTES
                ? c.estimate().mean()
                : c.estimate().raw();
    }

    /** Whether the first athlete goes on so more often than all others together. */
    private static boolean sequenceHolds(Claim claim, LibraryIndex much, World world) {
        List<String> steps = Arrays.stream(
                        claim.id().substring("sequence.".length()).split("\\+"))
                .map(s -> s.replaceFirst("\\.", " "))
                .toList();
        double[] own = new double[2];
        double[] others = new double[2];
        for (World.Athlete a : world.athletes) {
            double[] into = a == world.athletes.get(0) ? own : others;
            for (Exchanges.Exchange e : Exchanges.of(Evidence.of(much, a.id(), Filter.ALL))) {
                List<String> done = tried(e);
                if (done.contains(steps.get(0))) {
                    into[1]++;
                    into[0] += follows(done, steps) ? 1 : 0;
                }
            }
        }
        return own[0] / Math.max(1, own[1]) > others[0] / Math.max(1, others[1]);
    }

    private static List<String> tried(Exchanges.Exchange e) {
        return e.steps().stream()
                .map(Exchanges.Step::symbol)
                .filter(s -> !s.contains(">"))
                .toList();
    }

    /** With at most one step skipped in all. */
    private static boolean follows(List<String> done, List<String> steps) {
        for (int start = 0; start < done.size(); start++) {
            for (int skip = steps.size(); skip > 0; skip--) {
                boolean all = true;
                for (int k = 0; k < steps.size() && all; k++) {
                    int at = start + k + (k >= skip ? 1 : 0);
                    all = at < done.size() && done.get(at).equals(steps.get(k));
                }
                if (all) {
                    return true;
                }
            }
        }
        return false;
    }

    /** The same matches on other days: whom one met early and late is not what is asked. */
    private static List<MatchRecord> mixed(List<MatchRecord> records, long seed) {
        List<LocalDate> days =
                new ArrayList<>(records.stream().map(r -> r.details().date()).toList());
        Collections.shuffle(days, new Random(seed));
        List<MatchRecord> mixed = new ArrayList<>();
        for (int i = 0; i < records.size(); i++) {
            MatchRecord.Details d = records.get(i).details();
            mixed.add(records.get(i)
                    .withDetails(new MatchRecord.Details(
                            days.get(i),
                            d.event(),
                            d.round(),
                            d.division(),
                            d.attire(),
                            d.ruleset(),
                            d.lengthMs(),
                            d.a(),
                            d.b(),
                            d.result())));
        }
        return mixed;
    }

    private void planted(int athletes, int length, int w) {
        long seed = 7_000L * athletes + 170L * length + w;
        World world = new World(athletes, new Random(seed));
        Row row = ChainsBench.plant(world, length, new Random(seed + 1));
        List<String> planted = row.techniques().stream().map(t -> "self " + t).toList();
        for (int size : SIZES) {
            LibraryIndex index = LibraryIndex.of(CoverageBench.matches(world, false, size, seed + 2), world.lexicon);
            Evidence e = Evidence.of(index, world.athletes.get(0).id(), Filter.ALL);
            long shown = Exchanges.of(e).stream()
                    .filter(x -> follows(tried(x), planted.subList(0, 2)))
                    .count();
            if (shown >= SHOWN) {
                List<Sequence> first = Sequences.of(e, 3).stream().limit(FIRST).toList();
                count(
                        "planted rows of " + length + " among the first five | " + athletes + " athletes, " + size
                                + " matches",
                        first.stream().anyMatch(s -> ChainsBench.sharesTwo(s.symbols(), row)));
            }
        }
    }
}
