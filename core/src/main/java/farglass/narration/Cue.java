package farglass.narration;

/**
 * A line of timed text.
 *
 * @param fromMs film time at which it appears
 * @param toMs film time at which it goes, not before it appears
 */
public record Cue(long fromMs, long toMs, String text) {
    public Cue {
        if (toMs < fromMs) {
            throw new IllegalArgumentException("a cue that ends (" + toMs + ") before it begins (" + fromMs + ")");
        }
    }
}
