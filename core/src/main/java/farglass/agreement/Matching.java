package farglass.agreement;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;

/**
 * Which tags of two records are the same: one to one, as many as possible, then with as many equal fields as possible,
 * then as near in time as possible (the Hungarian method, Kuhn 1955).
 *
 * @param pairs in the order of the first record
 * @param onlyFirst indices of tags that only the first has
 * @param onlySecond indices of tags that only the second has
 * @param fields by field, how many pairs agree and how many differ
 */
public record Matching(List<Pair> pairs, List<Integer> onlyFirst, List<Integer> onlySecond, Map<String, Field> fields) {
    private static final double ONE_MORE = 1e9;
    private static final double ONE_FIELD = 1e5;

    /**
     * @param first index in the first record
     * @param second index in the second record
     * @param differing fields that differ, in a fixed order
     */
    public record Pair(int first, int second, long apartMs, List<String> differing) {}

    /** How many pairs agree in a field, and how many do not. */
    public record Field(int agree, int differ) {}

    /** A field that two taggers may differ in. */
    private record Compared<T extends Tag>(String field, Function<T, Object> value) {}

    private static final List<Compared<Tag.Action>> ACTION = List.of(
            new Compared<>("technique", Tag.Action::technique),
            new Compared<>("sides", Tag.Action::sides),
            new Compared<>("outcome", Tag.Action::outcome),
            new Compared<>("reached", Tag.Action::reached),
            new Compared<>("to", Tag.Action::to),
            new Compared<>("answer", Tag.Action::answer));
    private static final List<Compared<Tag.Position>> POSITION = List.of(
            new Compared<>("position", Tag.Position::position),
            new Compared<>("holder", Tag.Position::holder),
            new Compared<>("guard", Tag.Position::guard),
            new Compared<>("side", Tag.Position::side),
            new Compared<>("cause", Tag.Position::cause));

    /** Attempts: the same athlete, the same family. */
    static Matching ofAttempts(MatchRecord first, MatchRecord second, long toleranceMs, Lexicon lexicon) {
        return of(
                first,
                second,
                toleranceMs,
                Tag.Action.class,
                a -> a.by() + " " + (a.family() == null ? lexicon.familyOf(a.technique()) : a.family()),
                ACTION);
    }

    /** Places: any two near in time may be meant to be the same. */
    static Matching ofPlaces(MatchRecord first, MatchRecord second, long toleranceMs) {
        return of(first, second, toleranceMs, Tag.Position.class, p -> "", POSITION);
    }

    private static <T extends Tag> Matching of(
            MatchRecord first,
            MatchRecord second,
            long toleranceMs,
            Class<T> type,
            Function<T, String> kind,
            List<Compared<T>> compared) {
        List<Integer> mine = indices(first, type::isInstance);
        List<Integer> theirs = indices(second, type::isInstance);
        BiFunction<T, T, List<String>> differing = (x, y) -> compared.stream()
                .filter(f -> !Objects.equals(f.value().apply(x), f.value().apply(y)))
                .map(Compared::field)
                .toList();
        List<Candidate> candidates = new ArrayList<>();
        for (int i : mine) {
            T x = type.cast(first.tags().get(i));
            for (int j : theirs) {
                T y = type.cast(second.tags().get(j));
                long apart = Math.abs(x.t().since(y.t()));
                if (apart <= toleranceMs && kind.apply(x).equals(kind.apply(y))) {
                    candidates.add(new Candidate(i, j, apart, differing.apply(x, y)));
                }
            }
        }
        List<Pair> pairs = new ArrayList<>();
        for (Candidate c : chosen(candidates)) {
            pairs.add(new Pair(c.first(), c.second(), c.apartMs(), c.differing()));
        }
        pairs.sort(java.util.Comparator.comparingInt(Pair::first));
        Map<String, Field> fields = new LinkedHashMap<>();
        for (Compared<T> c : compared) {
            String field = c.field();
            int differ = (int)
                    pairs.stream().filter(p -> p.differing().contains(field)).count();
            fields.put(field, new Field(pairs.size() - differ, differ));
        }
        Set<Integer> pairedFirst = new HashSet<>();
        Set<Integer> pairedSecond = new HashSet<>();
        pairs.forEach(p -> {
            pairedFirst.add(p.first());
            pairedSecond.add(p.second());
        });
        return new Matching(
                pairs,
                mine.stream().filter(i -> !pairedFirst.contains(i)).toList(),
                theirs.stream().filter(j -> !pairedSecond.contains(j)).toList(),
                fields);
    }

    private static List<Integer> indices(MatchRecord r, Predicate<Tag> wanted) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < r.tags().size(); i++) {
            if (wanted.test(r.tags().get(i))) {
                found.add(i);
            }
        }
        return found;
    }

    private record Candidate(int first, int second, long apartMs, List<String> differing) {}

    /** The best choice among pairs; solved apart for every cluster of tags that could be exchanged for each other. */
    private static List<Candidate> chosen(List<Candidate> candidates) {
        List<Candidate> chosen = new ArrayList<>();
        for (List<Candidate> cluster : clusters(candidates)) {
            chosen.addAll(solved(cluster));
        }
        return chosen;
    }

    private static List<List<Candidate>> clusters(List<Candidate> candidates) {
        List<List<Candidate>> clusters = new ArrayList<>();
        List<Candidate> open = new ArrayList<>(candidates);
        while (!open.isEmpty()) {
            List<Candidate> cluster = new ArrayList<>(List.of(open.remove(0)));
            for (int k = 0; k < cluster.size(); k++) {
                Candidate c = cluster.get(k);
                open.removeIf(o -> (o.first() == c.first() || o.second() == c.second()) && cluster.add(o));
            }
            clusters.add(cluster);
        }
        return clusters;
    }

    private static List<Candidate> solved(List<Candidate> cluster) {
        List<Integer> rows = cluster.stream().map(Candidate::first).distinct().toList();
        List<Integer> columns =
                cluster.stream().map(Candidate::second).distinct().toList();
        int n = Math.max(rows.size(), columns.size());
        SimpleWeightedGraph<String, DefaultWeightedEdge> graph = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        Set<String> left = new java.util.LinkedHashSet<>();
        Set<String> right = new java.util.LinkedHashSet<>();
        for (int i = 0; i < n; i++) {
            left.add("a" + (i < rows.size() ? rows.get(i) : "-" + i));
            right.add("b" + (i < columns.size() ? columns.get(i) : "-" + i));
        }
        left.forEach(graph::addVertex);
        right.forEach(graph::addVertex);
        for (String l : left) {
            for (String r : right) {
                graph.setEdgeWeight(graph.addEdge(l, r), ONE_MORE);
            }
        }
        for (Candidate c : cluster) {
            DefaultWeightedEdge e = graph.getEdge("a" + c.first(), "b" + c.second());
            graph.setEdgeWeight(e, ONE_FIELD * c.differing().size() + c.apartMs());
        }
        Set<DefaultWeightedEdge> best = new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(graph, left, right)
                .getMatching()
                .getEdges();
        return cluster.stream()
                .filter(c -> best.contains(graph.getEdge("a" + c.first(), "b" + c.second())))
                .toList();
    }
}
