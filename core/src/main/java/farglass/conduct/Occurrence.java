package farglass.conduct;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.time.MatchTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A moment at which something that words name is seen.
 *
 * @param tag index of the tag that shows it
 */
public record Occurrence(int tag, MatchTime t) {
    /** What a sentence speaks of first that film can show; empty when it speaks of nothing of the kind. */
    public static Optional<EventPattern> named(String sentence, boolean ours, Lexicon lexicon) {
        return EventPatternReader.in(sentence, ours, lexicon);
    }

    /** Everything that a sentence speaks of and film can show, in its order. */
    public static List<EventPattern> mentioned(String sentence, boolean ours, Lexicon lexicon) {
        return EventPatternReader.all(sentence, ours, lexicon);
    }

    /** Everywhere in a record, in the order of time. */
    public static List<Occurrence> of(@Nullable EventPattern s, MatchRecord record, Corner us, Lexicon lexicon) {
        return requireNonNull(s).in(Watched.of(record, us, lexicon)).stream()
                .map(x -> new Occurrence(x.tag(), x.from()))
                .toList();
    }

    /** Whether anybody tagged such things in a record at all. */
    public static boolean lookedFor(EventPattern s, MatchRecord record, Corner us, Lexicon lexicon) {
        return s.lookedFor(Watched.of(record, us, lexicon));
    }
}
