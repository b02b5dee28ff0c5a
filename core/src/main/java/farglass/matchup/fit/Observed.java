package farglass.matchup.fit;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.matchup.model.Tempo;
import farglass.stats.Recency;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.tendency.MatchFacts;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * What the library shows of every pair of athletes: minutes in every place, attempts made there, how far they got and
 * where they led. Old matches weigh less, as the filter says.
 */
final class Observed {
    /** Families that change no place. */
    private static final Set<String> STILL = Set.of("grip", "feint", "other");
    /** How long a place must be kept to count as held. */
    private static final long HELD_MS = 3000;

    private static final double MINUTE_MS = 60_000;

    /** One athlete acting while facing another. */
    record Pair(String acting, String facing) {}

    /** Attempts of one kind. All are sums of match weights. */
    static final class Tries {
        double all;
        double decided;
        double worked;
        /** Of those decided that did not work, how far they got: 0 to 4. */
        final double[] failedAt = new double[5];

        final List<TagRef> tags = new ArrayList<>();

        void add(Tries o) {
            all += o.all;
            decided += o.decided;
            worked += o.worked;
            for (int i = 0; i < failedAt.length; i++) {
                failedAt[i] += o.failedAt[i];
            }
            tags.addAll(o.tags);
        }
    }

    /** What one athlete did and where he was, against one other. */
    static final class Book {
        final Map<ModelState, Double> minutes = new TreeMap<>();
        final Map<ModelState, Map<String, Tries>> tries = new TreeMap<>();
        /** Minutes of every place at each moment of the match, as the acting athlete sees the score. */
        final Map<ModelState, double[]> momentMinutes = new TreeMap<>();
        /** Tries of every technique family at each moment. */
        final Map<String, double[]> momentTries = new TreeMap<>();
    }

    private final Lexicon lexicon;
    private final StateSpace groups;
    final Map<Pair, Book> books = new LinkedHashMap<>();
    /** By acting athlete, then technique: places reached. */
    final Map<String, Map<String, Map<ModelState, Double>>> reached = new HashMap<>();
    /** Changes of place that no completed attempt made, restarts among them. */
    final Map<ModelState, Map<ModelState, Double>> drift = new TreeMap<>();
    /** By technique family: completed and held, completed. */
    final Map<String, double[]> held = new TreeMap<>();
    /** Matches by athlete. */
    final Map<String, Integer> matches = new TreeMap<>();

    private Observed(StateSpace groups) {
        this.groups = groups;
        this.lexicon = groups.lexicon();
    }

    /** @param asOf day that ages are counted back from; null for the newest match */
    static Observed of(LibraryIndex index, Filter filter, @Nullable LocalDate asOf, StateSpace groups) {
        Observed o = new Observed(groups);
        LocalDate day = asOf != null ? asOf : index.newest();
        for (MatchFacts f : index.facts()) {
            if (filter.accepts(f.record())) {
                o.add(f, Recency.weight(f.record().details().date(), day, filter.halfLifeYears()));
            }
        }
        return o;
    }

    private void add(MatchFacts facts, double weight) {
        MatchRecord r = facts.record();
        for (Corner c : Corner.values()) {
            String acting = r.athlete(c).id();
            matches.merge(acting, 1, Integer::sum);
            Book book =
                    books.computeIfAbsent(new Pair(acting, r.athlete(c.other()).id()), k -> new Book());
            places(facts, c, weight, book);
            acts(facts, c, weight, book, acting);
        }
    }

    private void places(MatchFacts facts, Corner c, double weight, Book book) {
        List<Span> spans = facts.line().spans();
        for (int i = 0; i < spans.size(); i++) {
            Span s = spans.get(i);
            ModelState here = groups.place(s, c);
            if (here == null) {
                continue;
            }
            book.minutes.merge(here, weight * s.lengthMs() / MINUTE_MS, Double::sum);
            moments(facts, s, c, weight, book.momentMinutes.computeIfAbsent(here, k -> new double[Tempo.MOMENTS]));
            ModelState next = i + 1 < spans.size() ? groups.place(spans.get(i + 1), c) : null;
            boolean seen = (s.exit() == Span.Exit.MOVED
                            && spans.get(Math.min(i + 1, spans.size() - 1)).byAction() < 0)
                    || s.exit() == Span.Exit.STOPPED;
            if (next != null && seen && !next.equals(here)) {
                drift.computeIfAbsent(here, k -> new TreeMap<>()).merge(next, weight, Double::sum);
            }
        }
    }

    /** Shares a stay out among the moments it lasts through. */
    private static void moments(MatchFacts facts, Span s, Corner c, double weight, double[] sums) {
        long length = facts.record().details().lengthMs();
        TreeSet<Long> cuts = new TreeSet<>(List.of(s.from().ms(), s.to().ms()));
        for (int third = 1; third < Tempo.THIRDS; third++) {
            cuts.add((third * length + Tempo.THIRDS - 1) / Tempo.THIRDS);
        }
        facts.turns().forEach(t -> cuts.add(t.ms()));
        long from = s.from().ms();
        for (long to : cuts.subSet(from, false, s.to().ms(), true)) {
            sums[moment(facts, MatchTime.ofMs(from), c)] += weight * (to - from) / MINUTE_MS;
            from = to;
        }
    }

    private static int moment(MatchFacts facts, MatchTime t, Corner c) {
        return Tempo.moment(Tempo.third(t.ms(), facts.record().details().lengthMs()), facts.standing(t, c));
    }

    private void acts(MatchFacts facts, Corner c, double weight, Book book, String acting) {
        Map<Integer, Integer> entries = new HashMap<>();
        List<Span> spans = facts.line().spans();
        for (int i = 0; i < spans.size(); i++) {
            if (spans.get(i).byAction() >= 0) {
                entries.put(spans.get(i).byAction(), i);
            }
        }
        for (MatchFacts.Act act : facts.acts()) {
            Tag.Action a = act.action();
            ModelState here = act.span() == null || a.by() != c ? null : groups.place(act.span(), c);
            if (here == null || STILL.contains(act.family())) {
                continue;
            }
            Tries t = book.tries
                    .computeIfAbsent(here, k -> new TreeMap<>())
                    .computeIfAbsent(a.technique(), k -> new Tries());
            t.all += weight;
            // a moment before, so that what an attempt earns does not count as its occasion
            book.momentTries
                    .computeIfAbsent(act.family(), k -> new double[Tempo.MOMENTS])[moment(facts, a.t().plus(-1), c)] += weight;
            t.tags.add(new TagRef(facts.record().id(), facts.record().tagName(act.index())));
            if (!Evidence.outcomeSeen(a)) {
                continue;
            }
            t.decided += weight;
            if (!a.completed()) {
                t.failedAt[a.reached() == null ? 0 : Math.min(4, a.reached())] += weight;
                continue;
            }
            t.worked += weight;
            Integer entry = entries.get(act.index());
            if (entry != null && groups.place(spans.get(entry), c) != null) {
                ModelState there = groups.place(spans.get(entry), c);
                reached.computeIfAbsent(acting, k -> new HashMap<>())
                        .computeIfAbsent(a.technique(), k -> new TreeMap<>())
                        .merge(there, weight, Double::sum);
                double[] h = held.computeIfAbsent(act.family(), k -> new double[2]);
                h[0] += kept(spans, entry, c) ? weight : 0;
                h[1] += weight;
            }
        }
    }

    /** Whether the athlete stayed as well off for the count; what the film does not show is taken as held. */
    private boolean kept(List<Span> spans, int from, Corner c) {
        long ms = 0;
        int standing = requireNonNull(groups.place(spans.get(from), c)).standing();
        for (int i = from; i < spans.size(); i++) {
            ModelState p = groups.place(spans.get(i), c);
            if (p == null || p.standing() < standing) {
                return false;
            }
            ms += spans.get(i).lengthMs();
            if (ms >= HELD_MS || spans.get(i).censored()) {
                return true;
            }
        }
        return true;
    }

    /** Everything an athlete did, whoever the other was. */
    Book whole(String athlete) {
        return sum(p -> p.acting().equals(athlete));
    }

    /** The whole library. */
    Book all() {
        return sum(p -> true);
    }

    private Book sum(java.util.function.Predicate<Pair> wanted) {
        Book sum = new Book();
        books.forEach((pair, b) -> {
            if (wanted.test(pair)) {
                b.minutes.forEach((place, m) -> sum.minutes.merge(place, m, Double::sum));
                b.tries.forEach((place, byTechnique) -> byTechnique.forEach((technique, t) -> sum.tries
                        .computeIfAbsent(place, k -> new TreeMap<>())
                        .computeIfAbsent(technique, k -> new Tries())
                        .add(t)));
            }
        });
        return sum;
    }

    String family(String technique) {
        return lexicon.technique(technique).map(Technique::family).orElse("other");
    }
}
