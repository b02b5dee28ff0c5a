package farglass.stats;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntToDoubleFunction;
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
        double[] each = all.toArray();
        int[] once = new int[each.length];
        Arrays.fill(once, 1);
        return of(i -> each[i], once);
    }

    /**
     * @param value by its number
     * @param times how often each occurs; none where 0
     */
    static Repeats of(IntToDoubleFunction value, int[] times) {
        Map<Double, Integer> counted = new HashMap<>();
        for (int i = 0; i < times.length; i++) {
            if (times[i] > 0) {
                counted.merge(value.applyAsDouble(i), times[i], Integer::sum);
            }
        }
        double[] values = counted.keySet().stream().mapToDouble(v -> v).toArray();
        Arrays.sort(values);
        return new Repeats(
                values,
                Arrays.stream(values).mapToInt(v -> counted.getOrDefault(v, 0)).toArray());
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
