package farglass.draft;

import java.util.ArrayDeque;
import java.util.Deque;

/** How long somebody takes for a draft: the mean of the last decisions, before the first what is usual. */
public final class PassPace {
    private static final long USUAL_MS = 8000;
    /** As many usual ones stand before the first. */
    private static final int USUAL = 3;

    private static final int REMEMBERED = 20;
    /** Whoever takes longer has done something else. */
    private static final long LONGEST_MS = 60_000;

    private final Deque<Long> lasted = new ArrayDeque<>();
    private long last = -1;

    /** Of somebody who has decided nothing yet. */
    public PassPace() {}

    /** The pass begins, or goes on after something else. */
    public void begin(long nowMs) {
        last = nowMs;
    }

    /** A draft was decided. */
    public void decided(long nowMs) {
        if (last >= 0 && nowMs - last <= LONGEST_MS) {
            lasted.addLast(nowMs - last);
            if (lasted.size() > REMEMBERED) {
                lasted.removeFirst();
            }
        }
        last = nowMs;
    }

    /** How long so many more will take, ms. */
    public long left(int drafts) {
        long sum = USUAL * USUAL_MS + lasted.stream().mapToLong(Long::longValue).sum();
        return drafts * sum / (USUAL + lasted.size());
    }
}
