package farglass.matchup.advise;

import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.stats.TagRef;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Something that a coach wants done, or never done, as far as film can tell what it is worth.
 *
 * @param words it was read from
 * @param decisions to be taken, one for each technique that is meant; empty for what is never done or cannot be valued
 * @param barred ways out that are never to be taken
 * @param anywhere whether no place was named, so that wherever it comes up is meant
 * @param unvalued why film cannot value it; null when it can
 * @param meant what is to be done, also where film cannot value it; empty where words do not tell the place or action
 */
public record Intent(
        String words,
        List<Decision> decisions,
        Set<Exit.Key> barred,
        boolean anywhere,
        @Nullable Unvalued unvalued,
        List<Decision> meant) {
    /** Why an intent has no number. */
    public enum Unvalued {
        /** It names nothing that is done. */
        NO_ACTION,
        /** There is hardly any film of the place it names. */
        NO_PLACE,
        /** Our athlete was never seen to do it there. */
        NEVER_SEEN,
        /** Too few tries to lean on (ruling M27). */
        HARDLY_SHOWN,
        /** The plan says it already. */
        SAID_BEFORE,
        /** It is nearly all that is done there already, so that it cannot be done much more. */
        ALREADY
    }

    public Intent {
        decisions = List.copyOf(decisions);
        barred = Set.copyOf(barred);
        meant = List.copyOf(meant);
    }

    /** One that means what film can value. */
    Intent(String words, List<Decision> decisions, Set<Exit.Key> barred, boolean anywhere, @Nullable Unvalued why) {
        this(words, decisions, barred, anywhere, why, decisions);
    }

    static Intent unvalued(String words, Unvalued why) {
        return unvalued(words, why, false, List.of());
    }

    static Intent unvalued(String words, Unvalued why, boolean anywhere, List<Decision> meant) {
        return new Intent(words, List.of(), Set.of(), anywhere, why, meant);
    }

    /** The tries of ours that its number rests on. */
    public List<TagRef> tags(Model model) {
        Stream<Exit> done = decisions.stream().flatMap(d -> d.exits(model).stream());
        Stream<Exit> never = model.exits().stream().filter(e -> barred.contains(e.key()));
        return Stream.concat(done, never)
                .flatMap(e -> e.basis().tags().stream())
                .distinct()
                .toList();
    }

    /** One that counts nothing, because the plan says the same before. */
    public Intent saidBefore() {
        return unvalued(words, Unvalued.SAID_BEFORE);
    }

    /** Whether something is never to be done. */
    public boolean never() {
        return !barred.isEmpty();
    }

    /** The same with conditions in place of its own. */
    Intent when(Conditions c) {
        return new Intent(words, when(decisions, c), barred, anywhere, unvalued, when(meant, c));
    }

    private static List<Decision> when(List<Decision> all, Conditions c) {
        return all.stream()
                .map(d -> new Decision(d.places(), d.option(), c.leads(d.leads()), c.parts(d.parts())))
                .toList();
    }
}
