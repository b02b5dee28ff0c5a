package farglass.film.score;

import farglass.film.Box;
import farglass.film.ConnectedPixels;
import farglass.film.GrayPicture;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * Sets the place of a number by what stands there. The network that finds text often gives tall digits less room than
 * they have, above all seven segments and boards that are seen at an angle, and digits that are cut are read as others.
 */
final class NumberPlace {
    /** How far round a number is looked, in its heights from its middle. */
    static final double ACROSS = 1.2;

    static final double DOWN = 0.9;
    /** Height of digits in the box of a line that is read well. */
    private static final double INK = 0.72;
    /** Room of a digit inside {@link ScoreCrops} that must stay free, in heights of the line. */
    private static final double TOP = 0.12;

    private static final double SIDE = 0.4;
    /** Parts of a digit, as segments are, stand no further apart; in heights of the line. */
    private static final double GAP = 0.12;
    /** Beside a digit so much is free, in heights of the line. */
    private static final double AIR = 0.12;

    /** Digits are this high and wide, in heights of the line. */
    private static final double LEAST_HIGH = 0.5;

    private static final double MOST_HIGH = 1.3;
    private static final double LEAST_WIDE = 0.25;
    private static final double MOST_WIDE = 0.8;
    /** Brightness of digits differs from that of their ground by more. */
    private static final int CONTRAST = 24;
    /** Fewer pixels are noise. */
    private static final int SPECK = 4;
    /** Pictures that must agree. */
    private static final int ENOUGH = 3;

    private NumberPlace() {}

    /** What is looked at round the box of a number. */
    static Box around(Box b, int width, int height) {
        double h = b.height();
        double x = b.x() + b.width() / 2.0 - ACROSS * h;
        double y = b.y() + h / 2 - DOWN * h;
        return new Box(
                        (int) Math.max(0, Math.round(x)),
                        (int) Math.max(0, Math.round(y)),
                        (int) Math.round(2 * ACROSS * h),
                        (int) Math.round(2 * DOWN * h))
                .within(width, height);
    }

    /**
     * The box of a number, moved and made larger where its digits would be cut.
     *
     * @param area where the pictures were taken
     */
    static Box set(Box b, Box area, List<GrayPicture> pictures) {
        List<Box> inks = new ArrayList<>();
        for (GrayPicture p : pictures) {
            Box ink = ink(p, b, area);
            if (ink != null) {
                inks.add(ink);
            }
        }
        if (inks.size() < ENOUGH) {
            return b;
        }
        double h = b.height();
        double top = median(inks, Box::y);
        double bottom = median(inks, i -> i.y() + i.height());
        boolean high = top < b.y() + TOP * h || bottom > b.y() + (1 - TOP) * h;
        List<Box> whole =
                inks.stream().filter(i -> i.width() > LEAST_WIDE * i.height()).toList();
        double middle = b.x() + b.width() / 2.0;
        double across = whole.size() < ENOUGH ? middle : median(whole, i -> i.x() + i.width() / 2.0);
        double half = whole.isEmpty() ? 0 : median(whole, Box::width) / 2;
        boolean aside = Math.abs(across - middle) + half > SIDE * h;
        if (!high && !aside) {
            return b;
        }
        double tall = high ? Math.max(h, (bottom - top) / INK) : h;
        double y = high ? (top + bottom - tall) / 2 : b.y();
        double wide = whole.size() < ENOUGH ? b.width() : 2 * (half + AIR * tall);
        return new Box(
                (int) Math.max(0, Math.round((aside || high ? across : middle) - wide / 2)),
                (int) Math.max(0, Math.round(y)),
                (int) Math.round(wide),
                (int) Math.round(tall));
    }

    private static double median(List<Box> boxes, ToDoubleFunction<Box> of) {
        double[] all = boxes.stream().mapToDouble(of).sorted().toArray();
        return (all[(all.length - 1) / 2] + all[all.length / 2]) / 2;
    }

    /**
     * Round the digit that stands in the middle of a picture, in pixels of the whole picture; null for none. Whether it
     * is bright or dark does not matter: what a digit encloses, and is no part of it, is smaller than it.
     */
    private static @Nullable Box ink(GrayPicture p, Box b, Box area) {
        int h = b.height();
        int cx = b.x() + b.width() / 2 - area.x();
        int cy = b.y() + h / 2 - area.y();
        int level = level(p, cx, cy, h);
        Box digit = null;
        for (boolean bright : level < 0 ? new boolean[0] : new boolean[] {false, true}) {
            boolean[] ink = new boolean[p.width() * p.height()];
            for (int i = 0; i < ink.length; i++) {
                ink[i] = (p.pixels()[i] & 0xff) > level == bright;
            }
            List<Box> parts = ConnectedPixels.of(ink, p.width(), true).stream()
                    .map(ConnectedPixels::box)
                    .filter(x -> inside(x, p, h))
                    .toList();
            Box found = digit(parts, cx, cy, h);
            if (found != null && (digit == null || found.height() > digit.height())) {
                digit = found;
            }
        }
        return digit == null
                ? null
                : new Box(area.x() + digit.x(), area.y() + digit.y(), digit.width(), digit.height());
    }

    /** Whether a part ends within an area, is no noise and no higher than a digit. */
    private static boolean inside(Box x, GrayPicture p, int h) {
        return x.x() > 0
                && x.y() > 0
                && x.x() + x.width() < p.width()
                && x.y() + x.height() < p.height()
                && x.height() <= MOST_HIGH * h
                && x.width() * x.height() >= SPECK;
    }

    /** The part of an area that is nearest its middle, with those beside it. */
    private static @Nullable Box digit(List<Box> parts, int cx, int cy, int h) {
        Box digit = parts.stream()
                .filter(x -> Math.abs(x.x() + x.width() / 2.0 - cx) < SIDE * h
                        && Math.abs(x.y() + x.height() / 2.0 - cy) < SIDE * h)
                .max(Comparator.comparingInt(Box::height))
                .orElse(null);
        if (digit == null) {
            return null;
        }
        Box grown = null;
        while (!digit.equals(grown)) {
            grown = digit;
            for (Box x : parts) {
                digit = near(digit, x, GAP * h) ? both(digit, x) : digit;
            }
        }
        boolean one =
                digit.height() > LEAST_HIGH * h && digit.height() < MOST_HIGH * h && digit.width() < MOST_WIDE * h;
        return one ? digit : null;
    }

    /** Brightness between that of digits and of their ground; -1 when there is no contrast. */
    private static int level(GrayPicture p, int cx, int cy, int h) {
        int[] counts = new int[256];
        int n = 0;
        for (int y = Math.max(0, cy - h / 2); y < Math.min(p.height(), cy + h / 2); y++) {
            for (int x = Math.max(0, cx - (int) (SIDE * h)); x < Math.min(p.width(), cx + (int) (SIDE * h)); x++) {
                counts[p.at(x, y)]++;
                n++;
            }
        }
        int dark = quantile(counts, n / 20);
        int bright = quantile(counts, n - n / 20 - 1);
        return bright - dark < CONTRAST ? -1 : (dark + bright) / 2;
    }

    private static int quantile(int[] counts, int rank) {
        int v = 0;
        for (int n = counts[0]; n <= rank && v < 255; n += counts[v]) {
            v++;
        }
        return v;
    }

    private static boolean near(Box a, Box b, double gap) {
        return a.x() - gap < b.x() + b.width()
                && b.x() - gap < a.x() + a.width()
                && a.y() - gap < b.y() + b.height()
                && b.y() - gap < a.y() + a.height();
    }

    private static Box both(Box a, Box b) {
        int x = Math.min(a.x(), b.x());
        int y = Math.min(a.y(), b.y());
        return new Box(
                x,
                y,
                Math.max(a.x() + a.width(), b.x() + b.width()) - x,
                Math.max(a.y() + a.height(), b.y() + b.height()) - y);
    }
}
