package farglass.film.map;

import farglass.film.GrayPicture;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;

/**
 * One character cut out of the clock, brought to a fixed height without changing its proportions.
 *
 * @param ink {@value #WIDTH} by {@value #HEIGHT} values, 0 background to 1 ink
 */
record Glyph(float[] ink) {
    static final int WIDTH = 16;
    static final int HEIGHT = 18;
    /** Least difference of brightness between letters and ground. */
    private static final int CONTRAST = 40;
    /** Marks lower than this share of the tallest one are colons, points and specks. */
    private static final double DIGIT_HEIGHT = 0.7;
    /** A mark this much wider than the typical one is two digits that touch. */
    private static final double TOUCHING = 1.6;

    /** No digit is this wide a share of the box. */
    private static final double RIM = 0.6;

    private record Mark(int x0, int y0, int x1, int y1) {
        int width() {
            return x1 - x0 + 1;
        }

        int height() {
            return y1 - y0 + 1;
        }
    }

    /** Mean absolute difference of ink, 0..1. */
    double distance(Glyph other) {
        return distance(ink, other.ink);
    }

    static double distance(float[] a, float[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += Math.abs(a[i] - b[i]);
        }
        return sum / a.length;
    }

    /** The digits of a clock display, left to right; empty when there is nothing like a clock. */
    static List<Glyph> of(GrayPicture picture) {
        int threshold = otsu(picture);
        double[] means = means(picture, threshold);
        if (means[1] - means[0] < CONTRAST) {
            return List.of();
        }
        boolean bright = share(picture, threshold) < 0.5;
        List<Mark> digits = digits(marks(picture, threshold, bright), picture.width());
        List<Glyph> glyphs = new ArrayList<>();
        for (Mark m : digits) {
            glyphs.add(cut(picture, m, means, bright));
        }
        return glyphs;
    }

    /** Threshold that parts the brightnesses best (Otsu 1979). */
    private static int otsu(GrayPicture p) {
        int[] count = new int[256];
        for (byte b : p.pixels()) {
            count[b & 0xff]++;
        }
        double all = 0;
        for (int i = 0; i < 256; i++) {
            all += i * (double) count[i];
        }
        double below = 0;
        long n = 0;
        double best = -1;
        int threshold = 128;
        for (int i = 0; i < 255; i++) {
            n += count[i];
            below += i * (double) count[i];
            long rest = p.pixels().length - n;
            if (n == 0 || rest == 0) {
                continue;
            }
            double gap = below / n - (all - below) / rest;
            double between = (double) n * rest * gap * gap;
            if (between > best) {
                best = between;
                threshold = i;
            }
        }
        return threshold;
    }

    private static double[] means(GrayPicture p, int threshold) {
        double[] sum = new double[2];
        int[] n = new int[2];
        for (byte b : p.pixels()) {
            int side = (b & 0xff) > threshold ? 1 : 0;
            sum[side] += b & 0xff;
            n[side]++;
        }
        return new double[] {n[0] == 0 ? 0 : sum[0] / n[0], n[1] == 0 ? 0 : sum[1] / n[1]};
    }

    private static double share(GrayPicture p, int threshold) {
        int n = 0;
        for (byte b : p.pixels()) {
            n += (b & 0xff) > threshold ? 1 : 0;
        }
        return (double) n / p.pixels().length;
    }

    private static List<Mark> marks(GrayPicture p, int threshold, boolean bright) {
        boolean[] seen = new boolean[p.pixels().length];
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < seen.length; i++) {
            if (!seen[i] && inked(p, i, threshold, bright)) {
                marks.add(flood(p, i, threshold, bright, seen));
            }
        }
        return marks;
    }

    private static boolean inked(GrayPicture p, int i, int threshold, boolean bright) {
        return (p.pixels()[i] & 0xff) > threshold == bright;
    }

    private static Mark flood(GrayPicture p, int start, int threshold, boolean bright, boolean[] seen) {
        int w = p.width();
        int x0 = w;
        int y0 = p.height();
        int x1 = 0;
        int y1 = 0;
        Deque<Integer> open = new ArrayDeque<>();
        open.push(start);
        seen[start] = true;
        while (!open.isEmpty()) {
            int i = open.pop();
            int x = i % w;
            int y = i / w;
            x0 = Math.min(x0, x);
            x1 = Math.max(x1, x);
            y0 = Math.min(y0, y);
            y1 = Math.max(y1, y);
            for (int dy = -1; dy <= 1; dy++) {
                for (int dx = -1; dx <= 1; dx++) {
                    int nx = x + dx;
                    int ny = y + dy;
                    int j = ny * w + nx;
                    boolean inside = nx >= 0 && nx < w && ny >= 0 && ny < p.height();
                    if (inside && !seen[j] && inked(p, j, threshold, bright)) {
                        seen[j] = true;
                        open.push(j);
                    }
                }
            }
        }
        return new Mark(x0, y0, x1, y1);
    }

    /** Marks as tall as digits, touching ones parted, left to right. */
    private static List<Mark> digits(List<Mark> all, int boxWidth) {
        // the rim of the score bar, where the box was drawn wider than the bar
        List<Mark> marks = all.stream().filter(m -> m.width() < RIM * boxWidth).toList();
        int tallest = marks.stream().mapToInt(Mark::height).max().orElse(0);
        List<Mark> tall = new ArrayList<>(marks.stream()
                .filter(m -> m.height() >= DIGIT_HEIGHT * tallest && m.height() >= 6)
                .toList());
        tall.sort(Comparator.comparingInt(Mark::x0));
        List<Mark> parted = new ArrayList<>();
        for (Mark m : tall) {
            // a digit is about 0.55 as wide as it is tall in condensed faces and 0.7 in wide ones
            int pieces = (int) Math.max(1, Math.round(m.width() / (TOUCHING * 0.4 * m.height())));
            if (m.width() <= m.height() * 0.95) {
                pieces = 1;
            }
            for (int k = 0; k < pieces; k++) {
                int from = m.x0() + m.width() * k / pieces;
                int to = m.x0() + m.width() * (k + 1) / pieces - 1;
                parted.add(new Mark(from, m.y0(), to, m.y1()));
            }
        }
        return parted;
    }

    private static Glyph cut(GrayPicture p, Mark m, double[] means, boolean bright) {
        float[] ink = new float[WIDTH * HEIGHT];
        double scale = (double) m.height() / HEIGHT;
        double left = (m.x0() + m.x1()) / 2.0 - scale * (WIDTH - 1) / 2.0;
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                double sx = left + x * scale;
                double sy = m.y0() + (y + 0.5) * scale - 0.5;
                // what lies beside the mark belongs to its neighbours
                double v = sx < m.x0() - 0.5 || sx > m.x1() + 0.5 ? (bright ? means[0] : means[1]) : sample(p, sx, sy);
                double share = (v - means[0]) / (means[1] - means[0]);
                ink[y * WIDTH + x] = (float) Math.max(0, Math.min(1, bright ? share : 1 - share));
            }
        }
        return new Glyph(ink);
    }

    private static double sample(GrayPicture p, double x, double y) {
        int x0 = clip((int) Math.floor(x), p.width());
        int y0 = clip((int) Math.floor(y), p.height());
        int x1 = clip(x0 + 1, p.width());
        int y1 = clip(y0 + 1, p.height());
        double fx = Math.max(0, Math.min(1, x - x0));
        double fy = Math.max(0, Math.min(1, y - y0));
        return (p.at(x0, y0) * (1 - fx) + p.at(x1, y0) * fx) * (1 - fy)
                + (p.at(x0, y1) * (1 - fx) + p.at(x1, y1) * fx) * fy;
    }

    private static int clip(int v, int size) {
        return Math.max(0, Math.min(size - 1, v));
    }
}
