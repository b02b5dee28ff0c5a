package farglass.draft;

import farglass.match.Tag;

/**
 * A tag that is proposed. It stands beside a record, never in it.
 *
 * @param tag with its source and confidence; its moment is a guess
 * @param filmMs film time of that moment; below 0 when no film shows it
 * @param confidence that it is as the tag says, 0..1
 * @param text the words that it rests on
 */
public record Draft(Tag tag, long filmMs, Source source, double confidence, String text) {
    /** Where it comes from. */
    public enum Source {
        CAPTIONS,
        SCORE,
        NOTES,
        ANALYST,
        REPEAT
    }
}
