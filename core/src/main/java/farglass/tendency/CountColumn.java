package farglass.tendency;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What was counted of all athletes for one question: rows, each with the number of athletes who have it; of a sum one
 * row. Counts of many athletes repeat themselves, so that a column grows slower than the library. Immutable.
 */
public final class CountColumn {
    public static final CountColumn EMPTY = new CountColumn(Map.of());

    private final Map<CountRow, Integer> times;

    private CountColumn(Map<CountRow, Integer> times) {
        this.times = times;
    }

    /** A row and how many athletes have it. */
    interface Each {
        void row(CountRow row, int times);
    }

    /** Distinct rows. */
    int size() {
        return times.size();
    }

    public boolean isEmpty() {
        return times.isEmpty();
    }

    /** All rows, in no order. */
    void each(Each what) {
        each(null, what);
    }

    /** All rows but that of one athlete, in no order. */
    void each(@Nullable CountRow without, Each what) {
        times.forEach((row, n) -> {
            int left = Objects.equals(row, without) ? n - 1 : n;
            if (left > 0) {
                what.row(row, left);
            }
        });
    }

    /** All rows but that of one athlete, always in the same order, for sums that depend on it. */
    void inOrder(@Nullable CountRow without, Each what) {
        List<CountRow> rows = new ArrayList<>(times.keySet());
        rows.sort(null);
        for (CountRow row : rows) {
            int left = times.getOrDefault(row, 0) - (Objects.equals(row, without) ? 1 : 0);
            if (left > 0) {
                what.row(row, left);
            }
        }
    }

    /** The one row of a sum; null when nothing was counted. */
    @Nullable
    CountRow sum() {
        return times.isEmpty() ? null : times.keySet().iterator().next();
    }

    /** The same column being put together, or changed. */
    public static final class Builder {
        private final boolean summed;
        private final Map<CountRow, Integer> times = new HashMap<>();
        private final Map<String, Long> sum = new TreeMap<>();

        public Builder(ColumnKey.Kind kind) {
            this.summed = kind.summed();
        }

        /** All of a column. */
        public Builder add(CountColumn column) {
            column.each(this::put);
            return this;
        }

        /** A row of one athlete more; null for nothing. */
        public Builder add(@Nullable CountRow row) {
            if (row != null) {
                put(row, 1);
            }
            return this;
        }

        /**
         * A row of one athlete less; null for nothing.
         *
         * @throws IllegalArgumentException when it is not there
         */
        public Builder remove(@Nullable CountRow row) {
            if (row != null) {
                put(row, -1);
            }
            return this;
        }

        private void put(CountRow row, int n) {
            if (summed) {
                row.each((word, v) -> positive(sum.merge(word, n * v, Long::sum)));
            } else {
                if (positive(times.merge(row, n, Integer::sum)) == 0) {
                    times.remove(row);
                }
            }
        }

        private static long positive(long n) {
            if (n < 0) {
                throw new IllegalArgumentException("counts that are to be taken out of a column are not in it");
            }
            return n;
        }

        /** Rows with their numbers, as read; of a column that is not changed any more. */
        void put(List<CountRow> rows, int[] athletes) {
            for (int i = 0; i < athletes.length; i++) {
                put(rows.get(i), athletes[i]);
            }
        }

        public CountColumn build() {
            if (summed) {
                sum.values().removeIf(v -> v == 0);
                return sum.isEmpty() ? EMPTY : new CountColumn(Map.of(CountRow.of(sum), 1));
            }
            return times.isEmpty() ? EMPTY : new CountColumn(times);
        }
    }
}
