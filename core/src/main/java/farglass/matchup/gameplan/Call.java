package farglass.matchup.gameplan;

/**
 * A few words for the corner to call.
 *
 * @param situation when they are meant; may be empty
 * @param words not blank
 */
public record Call(String situation, String words) {
    /** A corner cannot call more. */
    public static final int MOST = 6;

    public Call {
        if (words.isBlank()) {
            throw new IllegalArgumentException("a call without words");
        }
    }
}
