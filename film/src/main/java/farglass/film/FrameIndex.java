package farglass.film;

import java.util.Arrays;

/**
 * Presentation times of all frames of a film, in order. Frame numbers come from here and never from rate times index, so
 * that variable frame rates are ordinary.
 */
final class FrameIndex {
    private final long[] pts;
    private final boolean[] key;
    private final double msPerTick;

    /**
     * @param pts presentation times in stream ticks, any order (packets come in decoding order)
     * @param key whether the packet is a key frame
     * @param msPerTick milliseconds per stream tick, positive
     */
    FrameIndex(long[] pts, boolean[] key, double msPerTick) {
        Integer[] order = new Integer[pts.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, (a, b) -> Long.compare(pts[a], pts[b]));
        this.pts = new long[pts.length];
        this.key = new boolean[pts.length];
        for (int i = 0; i < order.length; i++) {
            this.pts[i] = pts[order[i]];
            this.key[i] = key[order[i]];
        }
        this.msPerTick = msPerTick;
    }

    int size() {
        return pts.length;
    }

    long pts(int frame) {
        return pts[frame];
    }

    /** Film time at which a frame appears, in ms from the first frame. */
    long ms(int frame) {
        return Math.round((pts[frame] - pts[0]) * msPerTick);
    }

    /** The frame on screen at a film time: the last that has appeared by then. */
    int at(long ms) {
        int lo = 0;
        int hi = pts.length - 1;
        while (lo < hi) {
            int mid = (lo + hi + 1) >>> 1;
            if (ms(mid) <= ms) {
                lo = mid;
            } else {
                hi = mid - 1;
            }
        }
        return lo;
    }

    /** The frame with exactly these ticks, or -1. */
    int find(long ticks) {
        int i = Arrays.binarySearch(pts, ticks);
        return i >= 0 ? i : -1;
    }

    /** The last key frame at or before {@code frame}; 0 when none is marked. */
    int keyBefore(int frame) {
        int i = frame;
        while (i > 0 && !key[i]) {
            i--;
        }
        return i;
    }

    int keyFrames() {
        int n = 0;
        for (boolean k : key) {
            n += k ? 1 : 0;
        }
        return n;
    }

    /** End of the last frame, which is taken to last as long as the one before it. */
    long durationMs() {
        int n = pts.length;
        long last = n > 1 ? ms(n - 1) - ms(n - 2) : 40;
        return ms(n - 1) + last;
    }

    boolean variable() {
        long shortest = Long.MAX_VALUE;
        long longest = 0;
        for (int i = 1; i < pts.length; i++) {
            long d = pts[i] - pts[i - 1];
            shortest = Math.min(shortest, d);
            longest = Math.max(longest, d);
        }
        return pts.length > 2 && longest * msPerTick > shortest * msPerTick * 1.1 + 2;
    }
}
