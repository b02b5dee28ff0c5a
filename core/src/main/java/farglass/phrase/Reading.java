package farglass.phrase;

import farglass.match.Tag;
import java.util.List;

/**
 * What a phrase means.
 *
 * @param tags tags it will make, in order; empty while it is not complete
 * @param words what was understood, in full words
 * @param inferred what was filled in from the context, in words; shown in grey
 * @param problem what is missing or not understood, or empty
 * @param completions ways to finish the last word, best first
 */
public record Reading(
        List<Tag> tags, List<String> words, List<String> inferred, String problem, List<String> completions) {
    public Reading {
        tags = List.copyOf(tags);
        words = List.copyOf(words);
        inferred = List.copyOf(inferred);
        completions = List.copyOf(completions);
    }

    /** Whether it can be confirmed as it is. */
    public boolean complete() {
        return !tags.isEmpty();
    }
}
