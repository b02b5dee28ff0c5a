package farglass.work.publish;

import org.jspecify.annotations.Nullable;

/**
 * A moment cut out of a match.
 *
 * @param match id of the match
 * @param tag index of the tag it is about
 * @param beforeMs film time shown before the moment, 0 or more
 * @param afterMs film time shown after it, positive
 * @param slow whether the decisive second is shown at half speed
 * @param card what stands on the card before it; null for the reel's title
 */
public record Cut(
        String match,
        int tag,
        long beforeMs,
        long afterMs,
        boolean slow,
        @Nullable String card) {
    private static final long BEFORE_MS = 2500;
    private static final long AFTER_MS = 4500;

    /** A moment cut the usual way. */
    public static Cut of(String match, int tag) {
        return new Cut(match, tag, BEFORE_MS, AFTER_MS, true, null);
    }

    /** The same with more or less before the moment, ms, 0 or more. */
    public Cut before(long ms) {
        return new Cut(match, tag, Math.max(0, ms), afterMs, slow, card);
    }

    /** The same with more or less after it, ms, at least half a second. */
    public Cut after(long ms) {
        return new Cut(match, tag, beforeMs, Math.max(500, ms), slow, card);
    }

    /** The same with the decisive second slow, or not. */
    public Cut slow(boolean s) {
        return new Cut(match, tag, beforeMs, afterMs, s, card);
    }

    /** The same with words of its own on the card; blank for none. */
    public Cut card(String text) {
        return new Cut(match, tag, beforeMs, afterMs, slow, text == null || text.isBlank() ? null : text.strip());
    }
}
