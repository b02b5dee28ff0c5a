package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.PositionLine;
import farglass.match.Role;
import farglass.match.Side;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.stats.Recency;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** What is known of one athlete under one filter: the matches, their position lines, actions and spans. */
public final class Evidence {
    private final LibraryIndex index;
    private final String athlete;
    private final Filter filter;
    private final List<Seen> matches;
    private final Map<String, Seen> byId = new HashMap<>();
    /** Gathered when first asked for: who only wants the matches pays for nothing else. */
    private volatile @Nullable Contents contents;

    /**
     * One match as seen from the athlete's corner.
     *
     * @param weight recency weight
     * @param windows the parts of it that count
     */
    public record Seen(MatchFacts facts, Corner corner, double weight, List<Moment.Window> windows) {
        public MatchRecord record() {
            return facts.record();
        }

        /** The spans of the match. */
        public PositionLine line() {
            return facts.line();
        }

        /** Live match time tagged, ms. */
        public long exposureMs() {
            return line().spans().stream().mapToLong(Span::lengthMs).sum();
        }

        /** Whether a moment counts under the filter. */
        public boolean counts(MatchTime t) {
            for (Moment.Window w : windows) {
                if (t.ms() >= w.from() && t.ms() < w.to()) {
                    return true;
                }
            }
            return false;
        }

        long within(Span s) {
            long sum = 0;
            for (Moment.Window w : windows) {
                sum += w.overlap(s.from().ms(), s.to().ms());
            }
            return sum;
        }

        /** Any tag of the match as an occurrence. */
        public Trial trial(int tag, boolean worked) {
            Tag t = record().tags().get(tag);
            return new Trial(
                    facts.ref(tag), tag, t.t(), worked, weight, t.info().unsure());
        }
    }

    /** An action of either athlete, with where it happened; the span is null before the first position. */
    public record Act(
            Seen seen,
            int index,
            Tag.Action action,
            @Nullable Span span,
            String family) {
        /** Whether the athlete did it, not the other. */
        public boolean own() {
            return action.by() == seen.corner();
        }

        /** The tag it is. */
        public TagRef ref() {
            return seen.facts().ref(index);
        }

        /** The athlete's role where it happened, or neutral when that is not known. */
        public Role role() {
            return span == null ? Role.NEUTRAL : Role.of(span, seen.corner());
        }

        /** Whether its outcome was seen. */
        public boolean decided() {
            return outcomeSeen(action);
        }

        /** It as an occurrence of a claim. */
        public Trial trial(boolean worked) {
            return new Trial(
                    ref(),
                    index,
                    action.t(),
                    worked,
                    seen.weight(),
                    action.info().unsure());
        }

        /** It as an occurrence that worked if it was completed. */
        public Trial trial() {
            return trial(action.completed());
        }
    }

    /**
     * A span with the match it belongs to.
     *
     * @param ms the part of its time that counts
     */
    public record Visit(Seen seen, Span span, long ms) {
        /** The tag that began it. */
        public TagRef ref() {
            return seen.facts().ref(span.tag());
        }

        /** The athlete's role: holder, guard, under or neutral. */
        public Role role() {
            return Role.of(span, seen.corner());
        }

        /** It as an occurrence of a claim. */
        public Trial trial(boolean worked) {
            return seen.trial(span.tag(), worked);
        }
    }

    private Evidence(LibraryIndex index, String athlete, Filter filter, List<Seen> matches) {
        this.index = index;
        this.athlete = athlete;
        this.filter = filter;
        this.matches = List.copyOf(matches);
        this.matches.forEach(m -> byId.put(m.record().id(), m));
    }

    private Contents contents() {
        Contents known = contents;
        if (known == null) {
            synchronized (this) {
                known = contents;
                if (known == null) {
                    known = new Contents(matches, filter.moment());
                    contents = known;
                }
            }
        }
        return known;
    }

    /**
     * @param records the library, in any order
     * @param athlete id of the athlete
     */
    public static Evidence of(List<MatchRecord> records, String athlete, Filter filter, Lexicon lexicon) {
        return of(LibraryIndex.of(records, lexicon), athlete, filter);
    }

    /** What counts of an athlete; laid out as it is asked for. A match that waits to be tagged is not one of them. */
    public static Evidence of(LibraryIndex index, String athlete, Filter filter) {
        LocalDate asOf = filter.asOf() != null ? filter.asOf() : index.newest();
        List<Seen> seen = new ArrayList<>();
        Predicate<MatchRecord> counts =
                r -> !r.waiting() && filter.accepts(r, r.cornerOf(athlete).orElseThrow());
        for (MatchFacts f : index.of(athlete, counts)) {
            MatchRecord r = f.record();
            Corner c = r.cornerOf(athlete).orElseThrow();
            double weight = Recency.weight(r.details().date(), asOf, filter.halfLifeYears());
            seen.add(new Seen(f, c, weight, filter.moment().windows(f, c)));
        }
        seen.sort(Comparator.comparing(
                        (Seen s) -> s.record().details().date(), Comparator.nullsFirst(Comparator.naturalOrder()))
                .thenComparing(s -> s.record().id()));
        return new Evidence(index, athlete, filter, seen);
    }

    /** The same athlete under another filter. */
    public Evidence under(Filter other) {
        return of(index, athlete, other);
    }

    /** Id of the athlete. */
    public String athlete() {
        return athlete;
    }

    /** What was asked for. */
    public Filter filter() {
        return filter;
    }

    /** The library it is of. */
    public LibraryIndex index() {
        return index;
    }

    /** The lexicon the library is read with. */
    public Lexicon lexicon() {
        return index.lexicon();
    }

    /** The matches that count, oldest first. */
    public List<Seen> matches() {
        return matches;
    }

    /** The match of an id, when it counts. */
    public Optional<Seen> match(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    /** Live match time that counts, ms, unweighted. */
    public long exposureMs() {
        return contents().exposureMs();
    }

    /** Of both athletes, in the order of matches, then of tags; so are all lists of actions here. */
    public List<Act> acts(Predicate<Act> wanted) {
        return contents().acts().stream().filter(wanted).toList();
    }

    /** Actions of both athletes in one match of {@link #matches()}. */
    public List<Act> actsIn(Seen match) {
        return Collections.unmodifiableList(contents().in(match));
    }

    /** The athlete's own attempts that are wanted. */
    public List<Act> own(Predicate<Act> wanted) {
        return contents().own().stream().filter(wanted).toList();
    }

    /** The athlete's own actions of one family of techniques. */
    public List<Act> ownOf(String family) {
        return Collections.unmodifiableList(contents().ownOf(family));
    }

    /** The athlete's own tries of one technique. */
    public List<Act> ownWith(String technique) {
        return Collections.unmodifiableList(contents().ownWith(technique));
    }

    /**
     * Live time in some places, ms.
     *
     * @param counted of a position and the athlete's role there
     * @return for every match that has such time
     */
    public Map<Seen, long[]> time(BiPredicate<String, Role> counted) {
        return contents().time(counted);
    }

    /** In the order of matches, then of time. */
    public List<Visit> visits() {
        return Collections.unmodifiableList(contents().visits());
    }

    /** @param wanted of a position and the athlete's role there */
    public List<Visit> visits(BiPredicate<String, Role> wanted) {
        return contents().visits(wanted);
    }

    /** Own attempts whose outcome was seen; the others leave the denominator. */
    public List<Act> ownAttempts(Predicate<Tag.Action> wanted) {
        return own(act -> wanted.test(act.action()) && outcomeSeen(act.action()));
    }

    /** Whether an attempt's outcome is tagged. */
    public static boolean outcomeSeen(Tag.Action a) {
        return a.outcome() != null && a.outcome() != Outcome.NOT_VISIBLE;
    }

    /** Whether a side says left or right. */
    public static boolean sided(@Nullable Side s) {
        return s == Side.RIGHT || s == Side.LEFT;
    }

    /** Family of a position, {@code other} for one the lexicon does not know. */
    public String placeFamily(String position) {
        return lexicon().position(position).map(Position::family).orElse("other");
    }
}
