package farglass.film.map;

import farglass.film.GrayPicture;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Where a film changes from one shot to the next. Pictures are compared by the direction and strength of their edges in
 * log brightness, which darkening, a spotlight or a flash hardly change and a new scene does; a pan is followed by
 * trying small shifts. Dissolves are found where pictures in between are mixtures of what came before and what comes
 * after. Compare Lienhart, Storage and Retrieval for Image and Video Databases VII, 1999.
 */
final class ShotFinder {
    /** Edges of two pictures of one scene agree more than this, those of two scenes less. */
    private static final double SAME = 0.4;
    /** A cut stands out from how much neighbouring pictures differ. */
    private static final double STANDS_OUT = 0.62;
    /** Pictures before and after that a cut is held against. */
    private static final int NEARBY = 6;
    /** A flash is over, and the scene back, within this time. */
    private static final long FLASH_MS = 340;

    private static final int SHIFT_X = 6;
    private static final int SHIFT_Y = 4;
    /** Share of the edges of the plainer picture that must meet edges of the other. */
    private static final double SHARED = 0.2;
    /** So few edges agree by chance at one of the shifts. */
    private static final double CHANCE = 40;

    /** Weaker edges are noise, and stronger ones count no more, so that a lettering bar does not outweigh a scene. */
    private static final float WEAK = 0.05f;

    private static final float STRONG = 0.5f;
    /** Darkness above which brightness is compared. */
    private static final double BLACK = 14;
    /** Standard deviation of brightness up to which nothing can be seen in a picture. */
    private static final double EMPTY = 4;
    /** A dissolve lasts this long, ms. */
    private static final long[] DISSOLVES = {500, 1000, 1600};

    /** Pictures from the beginning of a dissolve to its end, at least. */
    private static final int LEAST_BETWEEN = 5;

    private static final double BLEND_REST = 0.35;

    private final List<GrayPicture> pictures;
    private final long[] ms;
    private final float[][] edges;
    private final double[] contrast;
    private final int width;
    private final int height;

    private ShotFinder(List<GrayPicture> pictures, long[] ms) {
        this.pictures = pictures;
        this.ms = ms;
        this.width = pictures.get(0).width();
        this.height = pictures.get(0).height();
        this.edges = new float[pictures.size()][];
        this.contrast = new double[edges.length];
        for (int i = 0; i < edges.length; i++) {
            edges[i] = edges(pictures.get(i));
            contrast[i] = contrast(pictures.get(i).pixels());
        }
    }

    /**
     * Pictures that begin a new shot, in order; the first picture is not one. A dissolve begins the new shot in its
     * middle.
     *
     * @param pictures of one small size, smoothed
     * @param ms when each appears
     */
    static List<Integer> of(List<GrayPicture> pictures, long[] ms) {
        return pictures.size() < 2 ? List.of() : new ShotFinder(pictures, ms).find();
    }

    private List<Integer> find() {
        double[] same = new double[edges.length];
        for (int i = 1; i < same.length; i++) {
            same[i] = alike(i - 1, i);
        }
        List<Integer> shots = new ArrayList<>();
        int seen = seen(0) ? 0 : -1;
        for (int i = 1; i < edges.length; i++) {
            if (!seen(i)) {
                continue;
            }
            boolean dark = seen >= 0 && seen < i - 1;
            if (dark ? !back(seen, i) : seen == i - 1 && cut(same, i)) {
                shots.add(i);
            }
            seen = i;
        }
        for (long length : DISSOLVES) {
            dissolves(length, shots);
        }
        shots.sort(null);
        return shots;
    }

    private static double contrast(byte[] pixels) {
        double sum = 0;
        double squares = 0;
        for (byte b : pixels) {
            int v = b & 0xff;
            sum += v;
            squares += v * v;
        }
        double mean = sum / pixels.length;
        return Math.sqrt(Math.max(0, squares / pixels.length - mean * mean));
    }

    /** Whether a picture shows anything. */
    private boolean seen(int i) {
        return contrast[i] > EMPTY;
    }

    private boolean cut(double[] same, int i) {
        if (same[i] >= SAME) {
            return false;
        }
        double[] near = new double[2 * NEARBY];
        int n = 0;
        for (int k = Math.max(1, i - NEARBY); k <= Math.min(same.length - 1, i + NEARBY); k++) {
            if (k != i) {
                near[n++] = same[k];
            }
        }
        Arrays.sort(near, 0, n);
        if (n > 0 && same[i] > STANDS_OUT * near[n / 2]) {
            return false;
        }
        // what was there before is back at once: something flashed, or passed before the camera
        if (back(i - 1, i + 1)) {
            return false;
        }
        for (int earlier = i - 2; earlier >= 0 && ms[i] - ms[earlier] < FLASH_MS; earlier--) {
            if (alike(earlier, i) > SAME) {
                return false;
            }
        }
        return true;
    }

    /** Whether the scene of an earlier picture is seen again in one of some pictures from another on. */
    private boolean back(int before, int from) {
        for (int i = from; i < edges.length && ms[i] - ms[from] < FLASH_MS; i++) {
            if (seen(i) && alike(before, i) > SAME) {
                return true;
            }
        }
        return false;
    }

    private void dissolves(long length, List<Integer> shots) {
        for (int from = 0; from < edges.length; from++) {
            int to = from;
            while (to < edges.length - 1 && ms[to] - ms[from] < length) {
                to++;
            }
            int middle = (from + to) / 2;
            int a = from;
            int b = to;
            if (to - from < LEAST_BETWEEN || shots.stream().anyMatch(s -> s >= a - NEARBY && s <= b + NEARBY)) {
                continue;
            }
            if (seen(from) && seen(to) && blends(from, to) && alike(from, to) < SAME) {
                shots.add(middle);
                from = to;
            }
        }
    }

    /** Whether pictures between two are mixtures of them, more and more of the second. */
    private boolean blends(int from, int to) {
        double before = 0;
        for (int quarter = 1; quarter <= 3; quarter++) {
            double w = share(from, to, from + quarter * (to - from) / 4);
            if (Double.isNaN(w) || w <= before + 0.05 || w > 0.97) {
                return false;
            }
            before = w;
        }
        return before > 0.55;
    }

    /** Share of the second picture in a mixture; NaN when the picture between is none. */
    private double share(int from, int to, int between) {
        byte[] a = pictures.get(from).pixels();
        byte[] b = pictures.get(to).pixels();
        byte[] m = pictures.get(between).pixels();
        double dd = 0;
        double dm = 0;
        for (int i = 0; i < a.length; i++) {
            double d = (b[i] & 0xff) - (a[i] & 0xff);
            dd += d * d;
            dm += d * ((m[i] & 0xff) - (a[i] & 0xff));
        }
        double w = dd <= 0 ? 0 : dm / dd;
        double rest = 0;
        for (int i = 0; i < a.length; i++) {
            double fit = (a[i] & 0xff) + w * ((b[i] & 0xff) - (a[i] & 0xff)) - (m[i] & 0xff);
            rest += fit * fit;
        }
        return dd > 0 && Math.sqrt(rest / dd) < BLEND_REST ? w : Double.NaN;
    }

    /** How well the edges of two pictures agree, -1 to 1, at the best of some small shifts. */
    private double alike(int a, int b) {
        double still = agreement(edges[a], edges[b], 0, 0);
        if (still >= SAME + 0.2) {
            return still;
        }
        double best = still;
        for (int dy = -SHIFT_Y; dy <= SHIFT_Y; dy++) {
            for (int dx = -SHIFT_X; dx <= SHIFT_X; dx++) {
                best = Math.max(best, agreement(edges[a], edges[b], dx, dy));
            }
        }
        return best;
    }

    /**
     * Agreement of edges where both pictures have some: what a spotlight or a fade has swallowed says nothing. Where
     * they share few, they are not alike.
     */
    private double agreement(float[] a, float[] b, int dx, int dy) {
        double dot = 0;
        double first = 0;
        double second = 0;
        int shared = 0;
        int inA = 0;
        int inB = 0;
        for (int y = Math.max(0, -dy); y < Math.min(height, height - dy); y++) {
            for (int x = Math.max(0, -dx); x < Math.min(width, width - dx); x++) {
                int i = 2 * (y * width + x);
                int j = 2 * ((y + dy) * width + x + dx);
                double normA = a[i] * a[i] + a[i + 1] * a[i + 1];
                double normB = b[j] * b[j] + b[j + 1] * b[j + 1];
                inA += normA > 0 ? 1 : 0;
                inB += normB > 0 ? 1 : 0;
                if (normA > 0 && normB > 0) {
                    shared++;
                    dot += a[i] * b[j] + a[i + 1] * b[j + 1];
                    first += normA;
                    second += normB;
                }
            }
        }
        boolean few = shared < SHARED * Math.min(inA, inB) || shared == 0;
        return few ? 0 : dot / Math.sqrt(first * second) * shared / (shared + CHANCE);
    }

    /** Differences of log brightness across and down, two for each pixel. */
    private float[] edges(GrayPicture p) {
        float[] log = new float[width * height];
        for (int i = 0; i < log.length; i++) {
            log[i] = (float) Math.log((p.pixels()[i] & 0xff) + BLACK);
        }
        float[] e = new float[2 * log.length];
        for (int y = 1; y < height - 1; y++) {
            for (int x = 1; x < width - 1; x++) {
                int i = y * width + x;
                e[2 * i] = bounded(log[i + 1] - log[i - 1]);
                e[2 * i + 1] = bounded(log[i + width] - log[i - width]);
            }
        }
        return e;
    }

    private static float bounded(float edge) {
        float size = Math.abs(edge);
        return size < WEAK ? 0 : Math.copySign(Math.min(size, STRONG), edge);
    }
}
