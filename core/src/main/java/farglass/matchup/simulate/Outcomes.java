package farglass.matchup.simulate;

import farglass.matchup.model.Ending;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;

/**
 * What many simulated matches came to.
 *
 * @param n matches
 * @param endings how often each ending came
 * @param scores how often each final score in points came
 * @param visited share of matches in which a place was reached, by its key
 * @param minutes mean minutes in a place, by its key
 */
public record Outcomes(
        long n,
        Map<Ending, Long> endings,
        Map<FinalScore, Long> scores,
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
        for (Map.Entry<Ending, Long> e : endings.entrySet()) {
            won += e.getValue() * e.getKey().value();
        }
        return won / n;
    }

    /** Standard error of {@link #win}. */
    public double standardError() {
        double mean = win();
        double square = 0;
        for (Map.Entry<Ending, Long> e : endings.entrySet()) {
            double off = e.getKey().value() - mean;
            square += e.getValue() * off * off;
        }
        return n < 2 ? 0 : Math.sqrt(square / (n - 1.0) / n);
    }

    /** All runs together. */
    public static Outcomes sum(Iterable<Outcomes> parts) {
        long n = 0;
        Map<Ending, Long> endings = new EnumMap<>(Ending.class);
        Map<FinalScore, Long> scores = new TreeMap<>();
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
