package farglass.tendency;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ObjLongConsumer;

/** What was counted of one athlete for one question: numbers whose order has a meaning, or a number a word. */
public final class CountRow implements Comparable<CountRow> {
    /** Ascending; empty where the order of numbers says what they are. */
    private final List<String> words;

    private final long[] numbers;

    CountRow(List<String> words, long[] numbers) {
        this.words = words;
        this.numbers = numbers;
    }

    static CountRow of(long... numbers) {
        return new CountRow(List.of(), numbers);
    }

    static CountRow of(Map<String, ? extends Number> counts) {
        Map<String, Number> sorted = new TreeMap<>(counts);
        return new CountRow(
                List.copyOf(sorted.keySet()),
                sorted.values().stream().mapToLong(Number::longValue).toArray());
    }

    List<String> words() {
        return words;
    }

    int size() {
        return numbers.length;
    }

    long at(int i) {
        return numbers[i];
    }

    /** The number of a word; 0 for one that is not there. */
    long of(String word) {
        int i = Collections.binarySearch(words, word);
        return i < 0 ? 0 : numbers[i];
    }

    /** Sum of all numbers. */
    long total() {
        long sum = 0;
        for (long n : numbers) {
            sum += n;
        }
        return sum;
    }

    void each(ObjLongConsumer<String> what) {
        for (int i = 0; i < numbers.length; i++) {
            what.accept(words.get(i), numbers[i]);
        }
    }

    @Override
    public int compareTo(CountRow o) {
        int order = Arrays.compare(numbers, o.numbers);
        return order != 0 ? order : String.join("\n", words).compareTo(String.join("\n", o.words));
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof CountRow r && Arrays.equals(numbers, r.numbers) && words.equals(r.words);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(numbers) + words.hashCode();
    }
}
