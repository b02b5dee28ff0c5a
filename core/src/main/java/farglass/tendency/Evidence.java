package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.stats.Recency;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.function.Predicate;

/** What is known of one athlete under one filter: the matches, their position lines, actions and spans. */
public final class Evidence {
    private final String athlete;
    private final Filter filter;
    private final Lexicon lexicon;
    private final List<Seen> matches;

    /**
     * One match as seen from the athlete's corner.
     *
     * @param weight recency weight
     */
    public record Seen(MatchRecord record, Corner corner, double weight, PositionLine line) {
        /** Live match time tagged, ms. */
        public long exposureMs() {
            return line.spans().stream().mapToLong(Span::lengthMs).sum();
        }
    }

    /** An action of either athlete, with where it happened. */
    public record Act(Seen seen, int index, Tag.Action action, Span span) {
        public boolean own() {
            return action.by() == seen.corner();
        }

        public TagRef ref() {
            return new TagRef(seen.record().id(), seen.record().tagName(index));
        }

        Trial trial(boolean worked) {
            return new Trial(
                    ref(),
                    index,
                    action.t(),
                    worked,
                    seen.weight(),
                    action.info().unsure());
        }
    }

    /** A span with the match it belongs to. */
    public record Place(Seen seen, Span span) {
        public TagRef ref() {
            return new TagRef(seen.record().id(), seen.record().tagName(span.tag()));
        }

        /** The athlete's role: holder, guard, under or neutral. */
        public String role() {
            Corner me = seen.corner();
            if (span.guard() == me) {
                return "guard";
            }
            if (span.holder() == me || span.guard() == me.other()) {
                return "holder";
            }
            return span.holder() == null ? "neutral" : "under";
        }

        Trial trial(boolean worked) {
            return new Trial(ref(), span.tag(), span.from(), worked, seen.weight(), false);
        }
    }

    private Evidence(String athlete, Filter filter, Lexicon lexicon, List<Seen> matches) {
        this.athlete = athlete;
        this.filter = filter;
        this.lexicon = lexicon;
        this.matches = matches;
    }

    /**
     * @param records the library, in any order
     * @param athlete id of the athlete
     */
    public static Evidence of(List<MatchRecord> records, String athlete, Filter filter, Lexicon lexicon) {
        LocalDate asOf = filter.asOf() != null ? filter.asOf() : newest(records);
        List<Seen> seen = new ArrayList<>();
        for (MatchRecord r : records) {
            if (filter.accepts(r)) {
                r.cornerOf(athlete)
                        .ifPresent(c -> seen.add(new Seen(
                                r,
                                c,
                                Recency.weight(r.details().date(), asOf, filter.halfLifeYears()),
                                PositionLine.of(r, lexicon))));
            }
        }
        seen.sort(Comparator.comparing(
                        (Seen s) -> s.record().details().date(), Comparator.nullsFirst(Comparator.naturalOrder()))
                .thenComparing(s -> s.record().id()));
        return new Evidence(athlete, filter, lexicon, List.copyOf(seen));
    }

    private static LocalDate newest(List<MatchRecord> records) {
        return records.stream()
                .map(r -> r.details().date())
                .filter(Objects::nonNull)
                .max(Comparator.naturalOrder())
                .orElse(null);
    }

    public String athlete() {
        return athlete;
    }

    public Filter filter() {
        return filter;
    }

    public Lexicon lexicon() {
        return lexicon;
    }

    public List<Seen> matches() {
        return matches;
    }

    public long exposureMs() {
        return matches.stream().mapToLong(Seen::exposureMs).sum();
    }

    public List<Act> acts(Predicate<Act> wanted) {
        List<Act> found = new ArrayList<>();
        for (Seen seen : matches) {
            List<Tag> tags = seen.record().tags();
            for (int i = 0; i < tags.size(); i++) {
                if (tags.get(i) instanceof Tag.Action a) {
                    Act act = new Act(seen, i, a, spanBefore(seen, i, a.t()));
                    if (wanted.test(act)) {
                        found.add(act);
                    }
                }
            }
        }
        return found;
    }

    /** The span an action starts in: of two that meet at its time, the one whose tag comes first in the record. */
    private static Span spanBefore(Seen seen, int index, MatchTime t) {
        Span found = null;
        for (Span s : seen.line().spans()) {
            if (s.from().compareTo(t) < 0 || s.from().equals(t) && s.tag() < index) {
                found = s;
            }
        }
        return found;
    }

    public List<Place> places(Predicate<Place> wanted) {
        List<Place> found = new ArrayList<>();
        for (Seen seen : matches) {
            for (Span span : seen.line().spans()) {
                Place place = new Place(seen, span);
                if (wanted.test(place)) {
                    found.add(place);
                }
            }
        }
        return found;
    }

    public String family(Tag.Action a) {
        return lexicon.technique(a.technique())
                .map(farglass.lexicon.Technique::family)
                .orElse(a.family() == null ? "other" : a.family());
    }

    /** Own attempts whose outcome was seen; the others leave the denominator. */
    public List<Act> ownAttempts(Predicate<Tag.Action> wanted) {
        return acts(act -> act.own() && wanted.test(act.action()) && outcomeSeen(act.action()));
    }

    static boolean outcomeSeen(Tag.Action a) {
        return a.outcome() != null && a.outcome() != Outcome.NOT_VISIBLE;
    }
}
