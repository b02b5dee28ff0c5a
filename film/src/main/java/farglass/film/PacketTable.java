package farglass.film;

import java.util.Arrays;

/**
 * What the packets of a film's picture say of themselves, in the order of the file. A packet that is met again after a
 * jump is known by its presentation time or by its place in the file, whichever is no other packet's.
 */
final class PacketTable {
    /** What stands where a container gives no time. */
    static final long NONE = Long.MIN_VALUE;
    /** A longer step of the decoding times within a file, in ms, is another recording's clock and no pause. */
    private static final double LONGEST_STEP_MS = 60_000;

    private long[] pts = new long[4096];
    private long[] dts = new long[4096];
    private long[] pos = new long[4096];
    private boolean[] key = new boolean[4096];
    private boolean[] shown = new boolean[4096];
    private int n;

    private long[] names;
    private int[] places;
    private boolean byTime;

    /** @param isShown whether the packet gives a picture at all */
    void add(long presented, long decoded, long position, boolean isKey, boolean isShown) {
        if (n == pts.length) {
            pts = Arrays.copyOf(pts, n * 2);
            dts = Arrays.copyOf(dts, n * 2);
            pos = Arrays.copyOf(pos, n * 2);
            key = Arrays.copyOf(key, n * 2);
            shown = Arrays.copyOf(shown, n * 2);
        }
        pts[n] = presented;
        dts[n] = decoded;
        pos[n] = position;
        key[n] = isKey;
        shown[n++] = isShown;
    }

    /** All packets have been added. */
    void done() {
        byTime = true;
        names = Arrays.copyOf(pts, n);
        if (!distinct(names)) {
            byTime = false;
            names = Arrays.copyOf(pos, n);
            if (!distinct(names)) {
                names = null;
            }
        }
        if (names != null) {
            long[] source = byTime ? pts : pos;
            places = FrameIndex.byTime(Arrays.copyOf(source, n));
            Arrays.sort(names);
        }
    }

    private static boolean distinct(long[] values) {
        long[] sorted = values.clone();
        Arrays.sort(sorted);
        if (sorted.length > 0 && sorted[0] < 0 && sorted[0] == NONE) {
            return false;
        }
        for (int i = 1; i < sorted.length; i++) {
            if (sorted[i] == sorted[i - 1]) {
                return false;
            }
        }
        return true;
    }

    int size() {
        return n;
    }

    int shownPackets() {
        int count = 0;
        for (int i = 0; i < n; i++) {
            count += shown[i] ? 1 : 0;
        }
        return count;
    }

    boolean shown(int place) {
        return shown[place];
    }

    long pts(int place) {
        return pts[place];
    }

    long dts(int place) {
        return dts[place];
    }

    /** Its offset in the file in bytes, negative when the container does not say. */
    long position(int place) {
        return pos[place];
    }

    boolean[] keys() {
        return Arrays.copyOf(key, n);
    }

    /** Whether every packet that shows a picture has a presentation time of its own. */
    boolean timed() {
        long[] times = new long[shownPackets()];
        int k = 0;
        for (int i = 0; i < n; i++) {
            if (shown[i]) {
                times[k++] = pts[i];
            }
        }
        return distinct(times);
    }

    /** The place of a packet met again, -1 when it cannot be told. */
    int place(long presented, long position) {
        if (names == null) {
            return -1;
        }
        int i = Arrays.binarySearch(names, byTime ? presented : position);
        return i >= 0 ? places[i] : -1;
    }

    /** Whether packets can be told from one another when they are met again. */
    boolean known() {
        return names != null;
    }

    /**
     * Times on one clock, by packet: presentation times where {@code presented} says so, else decoding times. Where the
     * clock of the file jumps, as in a recording put together of several, the later part goes on where the earlier
     * ended.
     */
    long[] times(boolean presented, double msPerTick) {
        long[] times = new long[n];
        long shift = 0;
        long last = NONE;
        long step = 1;
        for (int i = 0; i < n; i++) {
            long clock = dts[i] != NONE ? dts[i] : pts[i];
            if (clock != NONE && last != NONE) {
                long by = clock + shift - last;
                if ((by < 0 && -by * msPerTick > LONGEST_STEP_MS / 60) || by * msPerTick > LONGEST_STEP_MS) {
                    shift = last + step - clock;
                } else if (by > 0) {
                    step = by;
                }
            }
            long time = presented ? pts[i] : clock;
            times[i] = time == NONE ? last == NONE ? 0 : last + step : time + shift;
            last = clock == NONE ? last : clock + shift;
        }
        return times;
    }

    /**
     * Whether the clock of the file jumps, so that presentation times of its parts cannot be held against each other.
     */
    boolean jumps(double msPerTick) {
        long[] shifted = times(true, msPerTick);
        for (int i = 0; i < n; i++) {
            if (pts[i] != NONE && shifted[i] != pts[i]) {
                return true;
            }
        }
        return false;
    }
}
