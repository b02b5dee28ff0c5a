package farglass.stats;

import java.util.Map;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;

/**
 * Values and how often each occurs. Counts of many athletes repeat themselves: a sum over all of them takes one term a
 * value.
 *
 * @param values ascending, each once
 * @param times how often, as many as values
 */
record Repeats(double[] values, int[] times) {
    static Repeats of(DoubleStream all) {
        Map<Double, Integer> counted = new TreeMap<>();
        all.forEach(v -> counted.merge(v, 1, Integer::sum));
        return new Repeats(
                counted.keySet().stream().mapToDouble(v -> v).toArray(),
                counted.values().stream().mapToInt(n -> n).toArray());
    }

    /** Sum of a function over all values, each as often as it occurs. */
    double sum(DoubleUnaryOperator of) {
        double sum = 0;
        for (int i = 0; i < values.length; i++) {
            sum += times[i] * of.applyAsDouble(values[i]);
        }
        return sum;
    }
}
