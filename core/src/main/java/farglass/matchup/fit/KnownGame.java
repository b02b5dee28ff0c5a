package farglass.matchup.fit;

import farglass.match.MatchRecord;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.stats.TagRef;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;

/**
 * What film that anybody can watch shows of an athlete: the game the opponent's analyst prepares for. Private records,
 * and training rounds unless they were made public, are left out.
 */
public final class KnownGame {
    /** Tries and matches from which an analyst who counts will have noticed a habit, and its least share in a place. */
    private static final int TRIES = 3;

    private static final int MATCHES = 2;
    private static final double SHARE = 0.15;

    private final Observed.Book book;
    private final int matches;

    /** Whether the other side will be ready. */
    public enum Expectation {
        /** A habit that everyone who counts has noticed. */
        EXPECTED,
        /** It has been seen, but not often enough to be prepared for. */
        SEEN,
        /** No public film shows it. */
        NEW
    }

    /**
     * An action of the athlete in one place.
     *
     * @param tries in public film
     * @param matches they come from
     * @param share of all tries in this place, 0..1; 0 when there were none
     */
    public record Seen(
            ModelState place,
            String technique,
            int tries,
            int matches,
            double share,
            Expectation expectation,
            List<TagRef> tags) {
        public Seen {
            tags = List.copyOf(tags);
        }
    }

    private KnownGame(Observed.Book book, int matches) {
        this.book = book;
        this.matches = matches;
    }

    /** @param filter which matches an analyst would watch; every one counts alike, however old */
    public static KnownGame of(LibraryIndex index, String athlete, Filter filter) {
        List<MatchRecord> open =
                index.records(athlete).stream().filter(r -> !r.isPrivate()).toList();
        Observed o = Observed.of(index.with(open), filter.halfLife(null), null, new StateSpace(index.lexicon()));
        return new KnownGame(o.whole(athlete), o.matches.getOrDefault(athlete, 0));
    }

    /** Public matches that count. */
    public int matches() {
        return matches;
    }

    /** What is known of one action in one place. */
    public Seen seen(ModelState place, String technique) {
        ModelState here = place.paid(false);
        var there = book.tries.getOrDefault(here, new TreeMap<>());
        Observed.Tries t = there.getOrDefault(technique, new Observed.Tries());
        int all = there.values().stream().mapToInt(x -> x.tags.size()).sum();
        int tries = t.tags.size();
        int in = (int) t.tags.stream().map(TagRef::match).distinct().count();
        double share = all == 0 ? 0 : tries / (double) all;
        Expectation e = tries == 0
                ? Expectation.NEW
                : tries >= TRIES && in >= MATCHES && share >= SHARE ? Expectation.EXPECTED : Expectation.SEEN;
        return new Seen(here, technique, tries, in, share, e, t.tags);
    }

    /** All that has been seen, the most frequent first. */
    public List<Seen> all() {
        List<Seen> list = new ArrayList<>();
        book.tries.forEach((place, there) -> there.keySet().forEach(t -> list.add(seen(place, t))));
        list.sort(Comparator.comparingInt((Seen s) -> -s.tries())
                .thenComparing(Seen::place)
                .thenComparing(Seen::technique));
        return list;
    }
}
