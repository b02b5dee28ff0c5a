package farglass.debrief;

import farglass.conduct.EventPattern;
import farglass.conduct.Occurrence;
import farglass.lexicon.Lexicon;
import farglass.plan.Fork;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A fork of a plan with what film can show of it.
 *
 * @param id of the fork
 * @param sight null when its words name nothing that film shows
 */
public record Branch(
        String id, String text, boolean ours, @Nullable EventPattern sight, List<Branch> next) {
    public Branch {
        next = List.copyOf(next);
    }

    /** The branch of a fork with what film can show of its words. */
    public static Branch of(Fork f, Lexicon lexicon) {
        return new Branch(
                f.id(),
                f.text(),
                f.ours(),
                Occurrence.named(f.text(), f.ours(), lexicon).orElse(null),
                f.next().stream().map(n -> of(n, lexicon)).toList());
    }
}
