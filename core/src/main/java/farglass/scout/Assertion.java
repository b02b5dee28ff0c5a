package farglass.scout;

import farglass.profile.Claim;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A part of a sentence with the claim it rests on.
 *
 * @param template key in the bundle {@code Report}
 * @param args words and counts for it
 * @param claim what it rests on, null for words that only join
 * @param says what it asserts of the claim's number
 * @param than the claim it is compared with; null for the other athletes, or where nothing is
 */
public record Assertion(
        String template,
        List<String> args,
        @Nullable Claim claim,
        Says says,
        @Nullable Claim than) {
    /** What a part of a sentence asserts, so that it can be held against the truth. */
    public enum Says {
        /** More than the other athletes, or than what it is compared with. */
        MORE,
        /** Less than that. */
        LESS,
        /** The most frequent of its kind. */
        MOST,
        /** Only what was counted. */
        COUNTED
    }

    public Assertion {
        args = List.copyOf(args);
    }
}
