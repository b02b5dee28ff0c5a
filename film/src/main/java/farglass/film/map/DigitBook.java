package farglass.film.map;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Which shape is which digit.
 *
 * <p>A running clock names its own digits. Shapes are clustered; the last digit changes once a second and always from a
 * shape to the same next one, so that the ten shapes form a ring. Of the ways to begin that ring only the right one
 * makes the tens change when the last digit goes from 0 to 9 (counting down) or from 9 to 0. No typeface needs to be
 * known. A film too short for a whole ring is read with the shapes of the faces that ship with the application, or with
 * digits that the user has named.
 */
final class DigitBook {
    private static final double[] THRESHOLDS = {0.05, 0.07, 0.09, 0.11, 0.13, 0.16};
    private static final long STABLE_MS = 150;
    private static final long RUNNING_LEAST_MS = 500;
    private static final long RUNNING_MOST_MS = 1500;
    private static final int RING = 10;
    /** A shape farther than this from every known digit is none. */
    private static final double FOREIGN = 0.2;

    private final List<float[]> shapes;
    private final int[] digits;
    private final boolean down;

    private DigitBook(List<float[]> shapes, int[] digits, boolean down) {
        this.shapes = shapes;
        this.digits = digits;
        this.down = down;
    }

    /** What the clock showed for a while. */
    record Shown(long fromMs, long toMs, List<Glyph> glyphs) {}

    /** What a display says: seconds on the clock, and how sure that is, 0..1. */
    record Value(int seconds, double confidence) {}

    /** Whether the clock these digits were learned from counts down. */
    boolean down() {
        return down;
    }

    /**
     * @param down whether the clock counts down; null to find out
     * @return empty when the clock never runs through all ten digits
     */
    static Optional<DigitBook> learned(List<Shown> shown, Boolean down) {
        DigitBook best = null;
        double bestSupport = 0;
        for (double threshold : THRESHOLDS) {
            Ring ring = Ring.of(shown, threshold, down);
            if (ring != null && ring.support > bestSupport) {
                bestSupport = ring.support;
                best = new DigitBook(ring.shapes, ring.digits, ring.down);
            }
        }
        return Optional.ofNullable(best);
    }

    /** Shapes whose digits are known from elsewhere. */
    static DigitBook of(List<Glyph> glyphs, List<Integer> digits, boolean down) {
        return new DigitBook(
                glyphs.stream().map(Glyph::ink).toList(),
                digits.stream().mapToInt(Integer::intValue).toArray(),
                down);
    }

    /** Reads {@code m:ss} or {@code mm:ss}; empty when it is no clock. */
    Optional<Value> read(List<Glyph> glyphs) {
        if (glyphs.size() < 3 || glyphs.size() > 4) {
            return Optional.empty();
        }
        int[] read = new int[glyphs.size()];
        double confidence = 1;
        for (int i = 0; i < read.length; i++) {
            double first = Double.MAX_VALUE;
            double other = Double.MAX_VALUE;
            for (int s = 0; s < shapes.size(); s++) {
                if (digits[s] < 0) {
                    continue;
                }
                double d = Glyph.distance(shapes.get(s), glyphs.get(i).ink());
                if (d < first) {
                    other = digits[s] == read[i] ? other : first;
                    first = d;
                    read[i] = digits[s];
                } else if (digits[s] != read[i]) {
                    other = Math.min(other, d);
                }
            }
            if (first > FOREIGN) {
                return Optional.empty();
            }
            confidence = Math.min(confidence, other == Double.MAX_VALUE ? 1 : 1 - first / other);
        }
        int n = read.length;
        if (read[n - 2] > 5) {
            return Optional.empty();
        }
        int minutes = n == 3 ? read[0] : 10 * read[0] + read[1];
        return Optional.of(new Value(60 * minutes + 10 * read[n - 2] + read[n - 1], confidence));
    }

    /** The clustering of one threshold and the ring found in it. */
    private static final class Ring {
        private final List<float[]> shapes = new ArrayList<>();
        private final List<Integer> sizes = new ArrayList<>();
        private final List<Stay> stays = new ArrayList<>();
        private int[] digits;
        private boolean down;
        private double support;

        /** The same shapes for a while. */
        private record Stay(long fromMs, long toMs, int[] names) {
            int last() {
                return names[names.length - 1];
            }

            boolean running() {
                return toMs - fromMs >= RUNNING_LEAST_MS && toMs - fromMs <= RUNNING_MOST_MS;
            }
        }

        static Ring of(List<Shown> shown, double threshold, Boolean down) {
            Ring ring = new Ring();
            ring.cluster(shown, threshold);
            return ring.close(down) ? ring : null;
        }

        private void cluster(List<Shown> shown, double threshold) {
            for (Shown s : shown) {
                if (s.glyphs().size() < 3 || s.glyphs().size() > 4) {
                    continue;
                }
                int[] names =
                        s.glyphs().stream().mapToInt(g -> name(g, threshold)).toArray();
                Stay last = stays.isEmpty() ? null : stays.get(stays.size() - 1);
                if (last != null && Arrays.equals(last.names(), names)) {
                    stays.set(stays.size() - 1, new Stay(last.fromMs(), s.toMs(), names));
                } else {
                    stays.add(new Stay(s.fromMs(), s.toMs(), names));
                }
            }
            stays.removeIf(s -> s.toMs() - s.fromMs() < STABLE_MS);
        }

        private int name(Glyph g, double threshold) {
            int best = -1;
            double least = threshold;
            for (int i = 0; i < shapes.size(); i++) {
                double d = Glyph.distance(shapes.get(i), g.ink());
                if (d < least) {
                    least = d;
                    best = i;
                }
            }
            if (best < 0) {
                shapes.add(g.ink().clone());
                sizes.add(1);
                return shapes.size() - 1;
            }
            int n = sizes.get(best) + 1;
            sizes.set(best, n);
            float[] mean = shapes.get(best);
            for (int k = 0; k < mean.length; k++) {
                mean[k] += (g.ink()[k] - mean[k]) / n;
            }
            return best;
        }

        /** Finds the ring of last digits and turns it to its place. */
        private boolean close(Boolean wanted) {
            int n = shapes.size();
            int[][] follows = new int[n][n];
            int all = 0;
            for (int i = 1; i < stays.size(); i++) {
                Stay a = stays.get(i - 1);
                Stay b = stays.get(i);
                if (a.running() && b.fromMs() - a.toMs() < RUNNING_LEAST_MS && a.last() != b.last()) {
                    follows[a.last()][b.last()]++;
                    all++;
                }
            }
            int[] ring = ring(follows);
            if (ring == null) {
                return false;
            }
            int kept = 0;
            for (int i = 0; i < RING; i++) {
                kept += follows[ring[i]][ring[(i + 1) % RING]];
            }
            support = (double) kept / all;
            return turn(ring, wanted);
        }

        private static int[] ring(int[][] follows) {
            int start = 0;
            int most = 0;
            for (int i = 0; i < follows.length; i++) {
                int sum = Arrays.stream(follows[i]).sum();
                if (sum > most) {
                    most = sum;
                    start = i;
                }
            }
            int[] ring = new int[RING];
            int at = start;
            for (int i = 0; i < RING; i++) {
                ring[i] = at;
                for (int k = 0; k < i; k++) {
                    if (ring[k] == at) {
                        return null;
                    }
                }
                int next = 0;
                for (int k = 1; k < follows.length; k++) {
                    next = follows[at][k] > follows[at][next] ? k : next;
                }
                if (most == 0 || follows[at][next] == 0) {
                    return null;
                }
                at = next;
            }
            return at == start ? ring : null;
        }

        /**
         * Of the ten ways to begin the ring and the two ways to go round, the one that makes most readings follow on.
         */
        private boolean turn(int[] ring, Boolean wanted) {
            int best = 0;
            for (boolean falling : new boolean[] {true, false}) {
                for (int turn = 0; turn < RING && (wanted == null || wanted == falling); turn++) {
                    int[] naming = new int[shapes.size()];
                    Arrays.fill(naming, -1);
                    for (int i = 0; i < RING; i++) {
                        naming[ring[i]] = falling ? Math.floorMod(turn - i, RING) : (turn + i) % RING;
                    }
                    nameRest(naming);
                    int score = score(naming, falling ? -1 : 1);
                    if (score > best) {
                        best = score;
                        digits = naming;
                        down = falling;
                    }
                }
            }
            return best > 0;
        }

        /** Shapes outside the ring are what coding noise made of one of its shapes, or none. */
        private void nameRest(int[] naming) {
            int[] ring = naming.clone();
            for (int s = 0; s < ring.length; s++) {
                double least = FOREIGN / 2;
                for (int r = 0; r < ring.length && ring[s] < 0; r++) {
                    double d = Glyph.distance(shapes.get(s), shapes.get(r));
                    if (ring[r] >= 0 && d < least) {
                        least = d;
                        naming[s] = ring[r];
                    }
                }
            }
        }

        private int score(int[] naming, int step) {
            int score = 0;
            int before = -1;
            for (Stay s : stays) {
                int value = value(s, naming);
                if (value >= 0 && before >= 0) {
                    score += value - before == step ? 2 : value == before ? 0 : -1;
                }
                before = value;
            }
            return score;
        }

        /** Seconds on the clock under a naming; -1 when it is none. */
        private static int value(Stay s, int[] naming) {
            int value = 0;
            for (int i = 0; i < s.names().length; i++) {
                int digit = naming[s.names()[i]];
                int fromRight = s.names().length - 1 - i;
                if (digit < 0 || (fromRight == 1 && digit > 5)) {
                    return -1;
                }
                value += digit * (fromRight == 0 ? 1 : fromRight == 1 ? 10 : fromRight == 2 ? 60 : 600);
            }
            return value;
        }
    }
}
