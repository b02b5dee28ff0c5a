package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.match.Side;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.Proportion;
import farglass.stats.SideBias;
import farglass.stats.Trial;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * An athlete's favourite sequences: what he shows one after the other, told always, however little film there is.
 *
 * <p>Descriptive: every closed sequence of two to six tags with at most one skipped that two exchanges hold or more,
 * that begins and ends with an attempt of his. Sequences are put in the order of their count times the logarithm of
 * their departure, the first time not counted, since it is what made one look: how many times as often as usual he
 * goes on from the first step to the last, shrunk toward that. Usual is what his own mix of attempts in those places
 * would make of it, or what the other athletes do, whichever is more ({@link UsualOnward}). A sequence that lies
 * within a better one and is mostly held by the same exchanges is that one told twice, and left out.
 *
 * <p>Inferred: only the badge, which is that of {@link Chains} (family-wise error by permuted libraries). A row without
 * it was seen, and may be chance.
 */
public final class Sequences {
    private static final int SUPPORT = 2;
    /** In much film, what is held by less than one exchange in so many is not looked at. */
    private static final int RARE = 100;

    private static final int CANDIDATES = 300;
    private static final int SHOWN = 24;
    /** Two that share this much of the rarer one's exchanges are one. */
    private static final double SAME = 0.6;
    /** Occurrences that the usual share is taken for, so that two of two are no habit yet. */
    private static final double STRENGTH = 4;
    /** Nothing is expected less often than this. */
    private static final double LEAST = 0.01;

    private static final int SIDED = 3;

    private final Evidence evidence;
    private final List<Exchanges.Exchange> exchanges;
    private final int[][] symbols;
    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<String> names = new ArrayList<>();
    private final UsualOnward mix;
    /** Null when the filter has it off. */
    private final @Nullable Baseline baseline;

    private Sequences(Evidence evidence, List<Exchanges.Exchange> exchanges) {
        this.evidence = evidence;
        this.baseline = evidence.filter().baseline() ? Baseline.of(evidence.index(), evidence.filter()) : null;
        this.exchanges = exchanges.stream()
                .map(e -> new Exchanges.Exchange(e.seen(), tried(e.steps())))
                .filter(e -> !e.steps().isEmpty())
                .toList();
        symbols = new int[this.exchanges.size()][];
        for (int e = 0; e < symbols.length; e++) {
            symbols[e] = this.exchanges.get(e).steps().stream()
                    .mapToInt(s -> number(s.symbol()))
                    .toArray();
        }
        mix = new UsualOnward(this.exchanges, symbols);
    }

    /** Without the places come to: what led there tells of them. */
    static List<Exchanges.Step> tried(List<Exchanges.Step> steps) {
        return steps.stream().filter(s -> !s.code().startsWith(">")).toList();
    }

    private int number(String symbol) {
        return numbers.computeIfAbsent(symbol, k -> {
            names.add(symbol);
            return names.size() - 1;
        });
    }

    /**
     * A pattern with how far its exchanges go along it.
     *
     * @param got exchanges that hold its first k + 1 steps
     * @param others by step from the second, the share of the others who go on, NaN where none gets so far
     * @param usual by step from the second, the chance to go on if memory and person did not matter
     * @param alphabet how many different steps there are: a longer pattern is one of so many times more that chance
     * may have made
     */
    private record Candidate(
            int[] pattern, List<Integer> in, int[] got, double[] others, double[] usual, int alphabet) {
        /** Share of the exchanges with the first step that would usually go on to the last. */
        double expected() {
            return Arrays.stream(usual).reduce(1, (a, b) -> a * b);
        }

        double departure() {
            double usually = Math.max(LEAST, expected());
            return (in.size() + STRENGTH * usually) / (got[0] + STRENGTH) / usually;
        }

        double weight() {
            return (in.size() - 1) * Math.log(departure()) - (pattern.length - 2) * Math.log(alphabet);
        }

        private boolean tells(Candidate other) {
            boolean within = ChainTrie.within(pattern, other.pattern) || ChainTrie.within(other.pattern, pattern);
            if (!within) {
                return false;
            }
            BitSet both = new BitSet();
            in.forEach(both::set);
            long shared = other.in.stream().filter(both::get).count();
            return shared >= SAME * Math.min(in.size(), other.in.size());
        }
    }

    /** At most 24, the most telling first; {@code seed} is that of {@link Chains}. */
    public static List<Sequence> of(Evidence evidence, long seed) {
        List<Exchanges.Exchange> exchanges = Exchanges.of(evidence);
        return exchanges.isEmpty() ? List.of() : new Sequences(evidence, exchanges).found(Chains.of(evidence, seed));
    }

    private List<Sequence> found(List<Chain> chains) {
        int support = Math.max(SUPPORT, (symbols.length + RARE - 1) / RARE);
        List<ChainTrie.Node> nodes = ChainTrie.frequent(symbols, support, Chains.LONGEST).closed().stream()
                .filter(n -> own(n.pattern()))
                .sorted(Comparator.comparingInt(
                                (ChainTrie.Node n) -> n.exchanges().size())
                        .thenComparingInt(n -> n.pattern().length)
                        .reversed()
                        .thenComparing(n -> Arrays.toString(n.pattern())))
                .limit(CANDIDATES)
                .toList();
        List<Candidate> candidates = new ArrayList<>(candidates(nodes));
        candidates.sort(Comparator.comparingDouble(Candidate::weight).reversed());
        List<Candidate> kept = new ArrayList<>();
        for (Candidate c : candidates) {
            if (kept.size() < SHOWN && c.weight() > 0 && kept.stream().noneMatch(c::tells)) {
                kept.add(c);
            }
        }
        return kept.stream()
                .map(c -> sequence(c, chains))
                .sorted(Comparator.comparingDouble(Sequence::weight).reversed())
                .toList();
    }

    /** Begins and ends with what the athlete does. */
    private boolean own(int[] pattern) {
        return own(pattern[0]) && own(pattern[pattern.length - 1]);
    }

    private boolean own(int symbol) {
        return names.get(symbol).startsWith("self ");
    }

    private List<Candidate> candidates(List<ChainTrie.Node> nodes) {
        int[][] patterns = nodes.stream().map(ChainTrie.Node::pattern).toArray(int[][]::new);
        List<Candidate> found = new ArrayList<>();
        for (int p = 0; p < patterns.length; p++) {
            double[] others = new double[patterns[p].length - 1];
            double[] usual = new double[others.length];
            usual(patterns[p], others, usual);
            found.add(new Candidate(
                    patterns[p], nodes.get(p).exchanges(), nodes.get(p).reached(), others, usual, names.size()));
        }
        return found;
    }

    /** What the athlete's own mix of attempts would make of it, or what the others do, whichever is more. */
    private void usual(int[] pattern, double[] others, double[] usual) {
        for (int k = 1; k < pattern.length; k++) {
            double mixed = mix.chance(pattern[k - 1], pattern[k]);
            BetaPrior.Counts theirs = baseline == null
                    ? new BetaPrior.Counts(0, 0)
                    : baseline.follows(names.get(pattern[k - 1]), names.get(pattern[k]), evidence.athlete());
            others[k - 1] = theirs.n() == 0 ? Double.NaN : theirs.x() / theirs.n();
            usual[k - 1] = Math.max(mixed, (theirs.x() + mixed) / (theirs.n() + 1));
        }
    }

    private Sequence sequence(Candidate c, List<Chain> chains) {
        List<Trial> trials = new ArrayList<>();
        List<Exchanges.Step> steps = List.of();
        int points = 0;
        int finished = 0;
        int right = 0;
        int left = 0;
        for (int e = 0; e < symbols.length; e++) {
            Exchanges.Exchange exchange = exchanges.get(e);
            int[] at = ChainTrie.places(symbols[e], c.pattern());
            int begin = at == null ? first(symbols[e], c.pattern()[0]) : at[0];
            if (begin >= 0) {
                trials.add(exchange.seen().trial(exchange.steps().get(begin).tag(), at != null));
            }
            if (at != null) {
                steps = steps.isEmpty()
                        ? Arrays.stream(at)
                                .mapToObj(i -> exchange.steps().get(i))
                                .toList()
                        : steps;
                boolean ended = finished(exchange, at);
                finished += ended ? 1 : 0;
                points += !ended && moved(exchange, at) ? 1 : 0;
                Side side = side(exchange, at);
                right += side == Side.RIGHT ? 1 : 0;
                left += side == Side.LEFT ? 1 : 0;
            }
        }
        double average = Arrays.stream(c.others()).reduce(1, (a, b) -> a * b);
        BetaPrior prior = Double.isNaN(average)
                ? BetaPrior.jeffreys()
                : BetaPrior.fixed(Math.max(LEAST, Math.min(1 - LEAST, average)), STRENGTH, CoreWords.of("prior.steps"));
        var share = Proportion.of(trials, prior, Clustering.DEFAULT_RHO, Arrays.hashCode(c.pattern()));
        List<String> told = steps.stream().map(Exchanges.Step::symbol).toList();
        return new Sequence(
                steps,
                c.in().size(),
                (int) trials.stream()
                        .filter(Trial::worked)
                        .map(t -> t.tag().match())
                        .distinct()
                        .count(),
                share,
                c.departure(),
                onward(c),
                points,
                finished,
                right + left < SIDED ? null : SideBias.of(right, left, right, left, share.grade()),
                chains.stream().anyMatch(x -> holds(told, attempts(x))),
                trials);
    }

    private static int first(int[] exchange, int symbol) {
        for (int i = 0; i < exchange.length; i++) {
            if (exchange[i] == symbol) {
                return i;
            }
        }
        return -1;
    }

    private static List<String> attempts(Chain c) {
        return tried(c.steps()).stream().map(Exchanges.Step::symbol).toList();
    }

    /** Whether all of two steps or more are in it, in order. */
    private static boolean holds(List<String> longer, List<String> shorter) {
        if (shorter.size() < 2) {
            return false;
        }
        int found = 0;
        for (String s : longer) {
            found += found < shorter.size() && s.equals(shorter.get(found)) ? 1 : 0;
        }
        return found == shorter.size();
    }

    private static List<Sequence.Onward> onward(Candidate c) {
        List<Sequence.Onward> onward = new ArrayList<>();
        for (int k = 1; k < c.pattern().length; k++) {
            onward.add(new Sequence.Onward(c.got()[k], c.got()[k - 1], c.others()[k - 1]));
        }
        return onward;
    }

    private static boolean finished(Exchanges.Exchange e, int[] at) {
        return Arrays.stream(at)
                .mapToObj(i -> action(e, i))
                .anyMatch(a -> a != null
                        && a.by() == e.seen().corner()
                        && a.completed()
                        && e.seen().facts().finishes(a));
    }

    private static boolean moved(Exchanges.Exchange e, int[] at) {
        return Arrays.stream(at).skip(1).mapToObj(e.steps()::get).anyMatch(s -> s.own() && s.moves());
    }

    private static @Nullable Side side(Exchanges.Exchange e, int[] at) {
        for (int k = at.length - 1; k >= 0; k--) {
            Tag.Action a = action(e, at[k]);
            if (a != null && a.by() == e.seen().corner() && Evidence.sided(a.side())) {
                return requireNonNull(a.side());
            }
        }
        return null;
    }

    private static Tag.@Nullable Action action(Exchanges.Exchange e, int step) {
        Tag t = e.seen().record().tags().get(e.steps().get(step).tag());
        return t instanceof Tag.Action a ? a : null;
    }
}
