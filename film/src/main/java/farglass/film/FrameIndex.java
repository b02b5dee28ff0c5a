package farglass.film;

import java.util.Arrays;

/**
 * Which packet of a film shows which frame, and when. Frames are numbered in the order in which they are shown; their
 * numbers never come from rate times index, so that variable frame rates are ordinary.
 */
final class FrameIndex {
    /** Packet of each frame, as its place in the file. */
    private final int[] packet;
    /** Frame of each packet; -1 for one that shows none. */
    private final int[] frame;
    /** Presentation time of each frame, in ticks of the stream. */
    private final long[] ticks;

    private final boolean[] key;
    private final double msPerTick;

    /**
     * Frames in the order of their presentation times.
     *
     * @param pts presentation times in stream ticks, by packet in the order of the file
     * @param key whether the packet is a key frame
     * @param msPerTick milliseconds per stream tick, positive
     */
    FrameIndex(long[] pts, boolean[] key, double msPerTick) {
        this(byTime(pts), pts, key, msPerTick);
    }

    /**
     * Frames in an order that is known otherwise.
     *
     * @param shown packets in the order in which they are shown; packets that are not among them show nothing
     * @param times by packet; those of the packets shown are given to the frames in rising order
     */
    FrameIndex(int[] shown, long[] times, boolean[] key, double msPerTick) {
        this.packet = shown;
        this.frame = new int[times.length];
        this.ticks = new long[shown.length];
        this.key = new boolean[shown.length];
        this.msPerTick = msPerTick;
        Arrays.fill(frame, -1);
        for (int n = 0; n < shown.length; n++) {
            frame[shown[n]] = n;
            ticks[n] = times[shown[n]];
            this.key[n] = key[shown[n]];
        }
        Arrays.sort(ticks);
    }

    /** The packets in the order of their presentation times; of equal ones the earlier in the file first. */
    static int[] byTime(long[] pts) {
        Integer[] order = new Integer[pts.length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, (a, b) -> Long.compare(pts[a], pts[b]));
        return Arrays.stream(order).mapToInt(i -> i).toArray();
    }

    int size() {
        return packet.length;
    }

    /** The packet, by its place in the file, that a frame is decoded from. */
    int packet(int n) {
        return packet[n];
    }

    /** The frame that a packet shows, -1 for none. */
    int frame(int packetPlace) {
        return packetPlace >= 0 && packetPlace < frame.length ? frame[packetPlace] : -1;
    }

    /** Film time at which a frame appears, in ms from the first frame. */
    long ms(int n) {
        return Math.round((ticks[n] - ticks[0]) * msPerTick);
    }

    /** The frame on screen at a film time: the last that has appeared by then. */
    int at(long ms) {
        int lo = 0;
        int hi = ticks.length - 1;
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

    /** The last key frame at or before {@code n}; 0 when none is marked. */
    int keyBefore(int n) {
        int i = n;
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
        int n = ticks.length;
        long last = n > 1 ? ms(n - 1) - ms(n - 2) : 40;
        return ms(n - 1) + last;
    }

    boolean variable() {
        long shortest = Long.MAX_VALUE;
        long longest = 0;
        for (int i = 1; i < ticks.length; i++) {
            long d = ticks[i] - ticks[i - 1];
            shortest = Math.min(shortest, d);
            longest = Math.max(longest, d);
        }
        return ticks.length > 2 && longest * msPerTick > shortest * msPerTick * 1.1 + 2;
    }
}
