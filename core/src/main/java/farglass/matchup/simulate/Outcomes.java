package farglass.matchup.simulate;

import java.util.Map;
import java.util.TreeMap;

/**
 * What many simulated matches came to.
 *
 * @param n matches
 * @param endings how often each ending came: {@code us:submission}, {@code them:points}, {@code draw} and so on
 * @param scores how often each final score in points came, as {@code ours-theirs}
 * @param visited share of matches in which a place was reached, by its key
 * @param minutes mean minutes in a place, by its key
 */
public record Outcomes(
        long n,
        Map<String, Long> endings,
        Map<String, Long> scores,
        Map<String, Double> visited,
        Map<String, Double> minutes) {
    public Outcomes {
        endings = Map.copyOf(endings);
        scores = Map.copyOf(scores);
        visited = Map.copyOf(visited);
        minutes = Map.copyOf(minutes);
    }

    /** Share won; a draw counts one half. */
    public double win() {
        double won = 0;
        for (Map.Entry<String, Long> e : endings.entrySet()) {
            won += e.getKey().startsWith("us:") ? e.getValue() : e.getKey().equals("draw") ? e.getValue() / 2.0 : 0;
        }
        return won / n;
    }

    /** Standard error of {@link #win}. */
    public double standardError() {
        double mean = win();
        double square = 0;
        for (Map.Entry<String, Long> e : endings.entrySet()) {
            double v = e.getKey().startsWith("us:") ? 1 : e.getKey().equals("draw") ? 0.5 : 0;
            square += e.getValue() * (v - mean) * (v - mean);
        }
        return n < 2 ? 0 : Math.sqrt(square / (n - 1.0) / n);
    }

    /** All runs together. */
    public static Outcomes sum(Iterable<Outcomes> parts) {
        long n = 0;
        Map<String, Long> endings = new TreeMap<>();
        Map<String, Long> scores = new TreeMap<>();
        Map<String, Double> visited = new TreeMap<>();
        Map<String, Double> minutes = new TreeMap<>();
        for (Outcomes o : parts) {
            n += o.n();
            o.endings().forEach((k, v) -> endings.merge(k, v, Long::sum));
            o.scores().forEach((k, v) -> scores.merge(k, v, Long::sum));
            o.visited().forEach((k, v) -> visited.merge(k, v * o.n(), Double::sum));
            o.minutes().forEach((k, v) -> minutes.merge(k, v * o.n(), Double::sum));
        }
        double all = Math.max(1, n);
        visited.replaceAll((k, v) -> v / all);
        minutes.replaceAll((k, v) -> v / all);
        return new Outcomes(n, endings, scores, visited, minutes);
    }
}
