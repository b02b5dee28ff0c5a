package farglass.film.map;

import farglass.film.GrayPicture;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The digits of one clock as this film draws them. A running clock shows all ten in its last place, and time says which
 * it is; what a network for all typefaces misreads, such as the seven of a board in the hall, is then told by its shape
 * (normalised cross-correlation: Lewis 1995).
 */
final class DigitShapes {
    /** Fewer pictures of a digit say too little about its shape. */
    private static final int LEAST = 2;
    /** Shapes are used where they tell so many of the digits that are known, and so large a share of them. */
    private static final int TOLD = 16;

    private static final double TRUE = 0.97;
    /** A digit is told by a correlation of at least this, larger than that of any other by so much. */
    private static final double ALIKE = 0.8;

    private static final double CLEAR = 0.06;
    /** Both digits of the seconds are at least this much alike their shapes. */
    private static final double SURE = 0.91;
    /** Minutes that are this much alike are the same. */
    private static final double SAME = 0.95;
    /** Pixels across that a digit may stand beside its place. */
    private static final int BESIDE = 3;
    /** The same up and down. */
    private static final int DOWN = 1;

    private static final int DIGITS = 10;
    private static final int TENS_OF_SECONDS = 6;
    /** Digits of the seconds. */
    private static final int SECONDS = 2;

    /** Where the digits stand, by how many there are, pixels. */
    private final Map<Integer, double[]> places = new HashMap<>();
    /**
     * By place in the seconds, then by digit; null for those that were not seen there. On a board at an angle they are
     * not quite the same.
     */
    private final double[][][] shapes = new double[SECONDS][DIGITS][];

    private final int wide;

    /**
     * A display whose seconds are known.
     *
     * @param digits 3 or 4: minutes, then seconds in two digits
     * @param at middle of each digit across, pixels
     */
    record Sample(GrayPicture picture, String digits, List<Double> at) {}

    private DigitShapes(List<Sample> samples) {
        Map<Integer, List<Sample>> byLength = new HashMap<>();
        samples.forEach(s -> byLength.computeIfAbsent(s.digits().length(), k -> new ArrayList<>())
                .add(s));
        byLength.forEach((n, all) -> places.put(n, middles(n, all)));
        wide = (int) Math.round(places.values().stream()
                .mapToDouble(p -> p[p.length - 1] - p[p.length - 2])
                .average()
                .orElse(0));
    }

    /** The median place of each digit. */
    private static double[] middles(int n, List<Sample> samples) {
        double[] middles = new double[n];
        for (int k = 0; k < n; k++) {
            int digit = k;
            double[] sorted = samples.stream()
                    .mapToDouble(s -> s.at().get(digit))
                    .sorted()
                    .toArray();
            middles[k] = sorted[sorted.length / 2];
        }
        return middles;
    }

    /** The shapes that known displays show; empty when they are too few or do not tell the known digits themselves. */
    static Optional<DigitShapes> of(List<Sample> samples) {
        if (samples.size() < TOLD / 2) {
            return Optional.empty();
        }
        DigitShapes shapes = new DigitShapes(samples);
        if (shapes.wide < LEAST * BESIDE) {
            return Optional.empty();
        }
        shapes.learn(samples);
        return shapes.tells(samples) ? Optional.of(shapes) : Optional.empty();
    }

    /** Only seconds are taken: minutes do not change for long, and may be misread all the time. */
    private void learn(List<Sample> samples) {
        for (int place = 0; place < SECONDS; place++) {
            learn(samples, place, false);
            learn(samples, place, true);
        }
    }

    /** @param again whether the shapes are known and each digit is set to stand as they do */
    private void learn(List<Sample> samples, int place, boolean again) {
        double[][] sums = new double[DIGITS][wide * samples.get(0).picture().height()];
        int[] seen = new int[DIGITS];
        for (Sample s : samples) {
            int k = s.digits().length() - SECONDS + place;
            int d = s.digits().charAt(k) - '0';
            double middle = places.get(s.digits().length())[k];
            double[] known = shapes[place][d];
            double[] shape =
                    again && known != null ? nearest(near(s.picture(), middle), known) : cut(s.picture(), middle, 0);
            for (int i = 0; i < shape.length; i++) {
                sums[d][i] += shape[i];
            }
            seen[d]++;
        }
        for (int d = 0; d < DIGITS; d++) {
            shapes[place][d] = seen[d] < LEAST ? null : normal(sums[d]);
        }
    }

    /** What looks most like a shape near a place. */
    private double[] nearest(List<double[]> cuts, double[] shape) {
        double[] best = cuts.get(0);
        double most = 0;
        for (double[] cut : cuts) {
            double alike = product(cut, shape);
            if (alike > most) {
                most = alike;
                best = cut;
            }
        }
        return best;
    }

    /** The pixels round a place and near it: on a board at an angle digits stand a little higher or lower. */
    private List<double[]> near(GrayPicture picture, double middle) {
        List<double[]> cuts = new ArrayList<>();
        for (int down = -DOWN; down <= DOWN; down++) {
            for (int beside = -BESIDE; beside <= BESIDE; beside++) {
                cuts.add(cut(picture, middle + beside, down));
            }
        }
        return cuts;
    }

    private boolean tells(List<Sample> samples) {
        int told = 0;
        int right = 0;
        for (Sample s : samples) {
            double[] at = places.get(s.digits().length());
            for (int k = at.length - 2; k < at.length; k++) {
                Best b = digit(s.picture(), at[k]);
                told += b.clear() ? 1 : 0;
                right += b.clear() && b.digit() == s.digits().charAt(k) - '0' ? 1 : 0;
            }
        }
        return told >= TOLD && right >= TRUE * told;
    }

    /**
     * What a display says by its shapes.
     *
     * @param seconds 0 to 59
     * @param digits how many digits the clock has
     * @param minutes -1 where they are not told
     * @param minutesPixels the place of the minutes, of mean 0 and length 1
     */
    record Told(int seconds, int digits, int minutes, double[] minutesPixels) {
        /** Whether both show the same minutes, whatever these are. */
        boolean sameMinutes(Told o) {
            return digits == o.digits && product(minutesPixels, o.minutesPixels) >= SAME;
        }
    }

    /** What a display says; empty when its seconds are not told clearly. */
    Optional<Told> read(GrayPicture picture) {
        Told best = null;
        double most = 0;
        for (double[] at : places.values()) {
            int first = at.length - SECONDS;
            Best tens = digit(picture, at[first]);
            Best ones = digit(picture, at[first + 1]);
            double sure = Math.min(tens.alike(), ones.alike());
            boolean told = tens.clear() && ones.clear() && tens.digit() < TENS_OF_SECONDS;
            if (told && sure >= SURE && sure > most) {
                most = sure;
                int minutes = 0;
                double[] pixels = new double[first * wide * picture.height()];
                for (int m = 0; m < first; m++) {
                    Best b = digit(picture, at[m]);
                    minutes = !b.clear() || minutes < 0 ? -1 : DIGITS * minutes + b.digit();
                    System.arraycopy(
                            cut(picture, at[m], 0), 0, pixels, m * wide * picture.height(), wide * picture.height());
                }
                best = new Told(DIGITS * tens.digit() + ones.digit(), at.length, minutes, normal(pixels));
            }
        }
        return Optional.ofNullable(best);
    }

    /**
     * The digit whose shape a place is most alike.
     *
     * @param alike correlation with it, 0..1
     * @param clear whether it is told clearly
     */
    private record Best(int digit, double alike, boolean clear) {}

    private Best digit(GrayPicture picture, double middle) {
        int best = 0;
        double most = 0;
        double next = 0;
        List<double[]> cuts = near(picture, middle);
        for (int d = 0; d < DIGITS; d++) {
            double alike = alike(cuts, d);
            if (alike > most) {
                next = most;
                most = alike;
                best = d;
            } else {
                next = Math.max(next, alike);
            }
        }
        return new Best(best, most, most >= ALIKE && most - next >= CLEAR);
    }

    private double alike(List<double[]> cuts, int digit) {
        double most = 0;
        for (double[][] place : shapes) {
            double[] shape = place[digit];
            for (double[] cut : shape == null ? List.<double[]>of() : cuts) {
                most = Math.max(most, product(cut, shape));
            }
        }
        return most;
    }

    /** The pixels round a place, of mean 0 and length 1. */
    private double[] cut(GrayPicture picture, double middle, int down) {
        double[] cut = new double[wide * picture.height()];
        int left = (int) Math.round(middle - wide / 2.0);
        for (int y = 0; y < picture.height(); y++) {
            int row = Math.max(0, Math.min(picture.height() - 1, y + down));
            for (int x = 0; x < wide; x++) {
                int at = Math.max(0, Math.min(picture.width() - 1, left + x));
                cut[y * wide + x] = picture.at(at, row);
            }
        }
        return normal(cut);
    }

    private static double[] normal(double[] pixels) {
        double mean = Arrays.stream(pixels).average().orElse(0);
        double length = Math.sqrt(
                Arrays.stream(pixels).map(p -> (p - mean) * (p - mean)).sum());
        return Arrays.stream(pixels)
                .map(p -> length == 0 ? 0 : (p - mean) / length)
                .toArray();
    }

    private static double product(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < Math.min(a.length, b.length); i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }
}
