package farglass.phrase;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.UsualAttempts;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What is likely to be tagged next in a position, learned from the library; where nothing was seen, from the lexicon's
 * graph. Immutable: {@link #of} counts once.
 *
 * <p>The score of an attempt is how often it was made from such a place in the library, times how much more often this
 * athlete makes it than others would have from the same places (observed over expected, both with {@value #RESERVE}
 * added), plus {@value #OWN_WEIGHT} for every time this athlete made it from this very place. What was tried last then
 * draws the chances towards what has followed it, four times, each time from a narrower view: in the library, in the
 * library from such a place, by this athlete, by this athlete from such a place (Dirichlet smoothing, each view towards
 * the wider one).
 */
public final class LikelyNext {
    /** How much more an athlete's own habit in a place weighs than the library's. */
    private static final double OWN_WEIGHT = 3;
    /** Pseudo-count of a technique that the lexicon allows here but nobody has tried. */
    private static final double POSSIBLE = 0.05;
    /** Pseudo-count of what is usually tried once a minute in such a place; a few matches outweigh it. */
    private static final double USUAL = 0.8;
    /** Added to observed and expected attempts, so that few attempts say little of an athlete's taste. */
    private static final double RESERVE = 0.7;

    /** Made-up occurrences of the chances so far: library, library in this place, athlete, athlete in this place. */
    private static final double[] RESERVES = {30, 20, 15, 10};

    private static final char SEPARATOR = '|';
    private static final List<String> LEFT_OUT = List.of("grip", "feint");

    private final Lexicon lexicon;
    private final Map<String, Map<String, Integer>> library = new HashMap<>();
    private final Map<String, Map<String, Integer>> own = new HashMap<>();
    /** Attempts of each athlete by technique, and how many others would have made from the same places. */
    private final Map<String, Map<String, Integer>> observed = new HashMap<>();

    private final Map<String, Map<String, Double>> expected = new HashMap<>();
    /**
     * What followed the attempt before, by the two athletes' places and that attempt; one of them is always the actor.
     */
    private final Map<String, Map<String, Integer>> after = new HashMap<>();
    /** How often that situation was met with each athlete in it. */
    private final Map<String, Integer> met = new HashMap<>();

    private LikelyNext(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    /**
     * @param by who would act
     * @param technique code
     * @param chance among all that may follow, 0..1
     * @param seen times seen from here in the library
     */
    public record Suggestion(Corner by, String technique, double chance, int seen) {}

    /** Learns what usually follows what; takes a moment on a large library. */
    public static LikelyNext of(List<MatchRecord> records, Lexicon lexicon) {
        LikelyNext model = new LikelyNext(lexicon);
        records.forEach(model::count);
        model.expect();
        return model;
    }

    private void count(MatchRecord r) {
        PositionLine line = PositionLine.of(r, lexicon);
        Tag.Action before = null;
        for (int i = 0; i < r.tags().size(); i++) {
            if (r.tags().get(i) instanceof Tag.Stop) {
                before = null;
            }
            if (r.tags().get(i) instanceof Tag.Action a && !LEFT_OUT.contains(lexicon.familyOf(a.technique()))) {
                int index = i;
                Tag.Action previous = before;
                line.spans().stream()
                        .filter(s -> s.from().compareTo(a.t()) <= 0 && s.tag() < index)
                        .reduce((x, y) -> y)
                        .ifPresent(s -> {
                            String key = key(s, a.by());
                            String who = r.athlete(a.by()).id();
                            add(library, key, a.technique());
                            add(own, who + SEPARATOR + key, a.technique());
                            add(observed, who, a.technique());
                            follow(r, s, previous, a);
                        });
                before = a;
            }
        }
    }

    private void follow(MatchRecord r, Span here, Tag.@Nullable Action before, Tag.Action a) {
        if (before == null) {
            return;
        }
        for (Corner c : Corner.values()) {
            for (String situation : situations(here, before, c, r)) {
                met.merge(situation, 1, Integer::sum);
                if (c == a.by()) {
                    add(after, situation, a.technique());
                }
            }
        }
    }

    /** What was tried last as one athlete sees it, from the widest view to his own in this very place. */
    private static List<String> situations(Span here, Tag.Action before, Corner by, MatchRecord r) {
        String tried = (before.by() == by ? "own " : "their ") + before.technique();
        String placed = key(here, by) + SEPARATOR + tried;
        String who = r.athlete(by).id() + SEPARATOR;
        return List.of(tried, placed, who + tried, who + placed);
    }

    /** The attempt before a moment that {@link #after} looks back at; null after a stoppage or when there is none. */
    public static Tag.@Nullable Action before(MatchRecord record, MatchTime t, Lexicon lexicon) {
        Tag.Action last = null;
        for (Tag tag : record.tags()) {
            if (tag.t().compareTo(t) > 0) {
                break;
            }
            if (tag instanceof Tag.Stop) {
                last = null;
            } else if (tag instanceof Tag.Action a && !LEFT_OUT.contains(lexicon.familyOf(a.technique()))) {
                last = a;
            }
        }
        return last;
    }

    /** What each athlete would have tried with the library's habits, from the places where something was tried. */
    private void expect() {
        own.forEach((place, tried) -> {
            String who = place.substring(0, place.indexOf(SEPARATOR));
            String key = place.substring(place.indexOf(SEPARATOR) + 1);
            int mine = tried.values().stream().mapToInt(Integer::intValue).sum();
            Map<String, Integer> all = library.get(key);
            double sum = requireNonNull(all).values().stream()
                    .mapToInt(Integer::intValue)
                    .sum();
            Map<String, Double> mineExpected = expected.computeIfAbsent(who, k -> new HashMap<>());
            all.forEach((technique, n) -> mineExpected.merge(technique, mine * n / sum, Double::sum));
        });
    }

    private double taste(String athlete, String technique) {
        int seen = observed.getOrDefault(athlete, Map.of()).getOrDefault(technique, 0);
        double due = expected.getOrDefault(athlete, Map.of()).getOrDefault(technique, 0.0);
        return (seen + RESERVE) / (due + RESERVE);
    }

    private static void add(Map<String, Map<String, Integer>> counts, String key, @Nullable String technique) {
        counts.computeIfAbsent(key, k -> new HashMap<>()).merge(technique, 1, Integer::sum);
    }

    private static String key(Span s, Corner by) {
        String role = s.guard() == by ? "guard" : s.holder() == by ? "holder" : s.holder() == null ? "any" : "under";
        return s.place() + " " + role;
    }

    /**
     * The likeliest next attempts in {@code here}, best first, at most {@code limit}.
     *
     * @param before the attempt before, or null
     */
    public List<Suggestion> after(Span here, Tag.Action before, MatchRecord record, int limit) {
        if (here == null) {
            return List.of();
        }
        List<Suggestion> found = new ArrayList<>();
        double total = 0;
        for (Corner by : Corner.values()) {
            String key = key(here, by);
            Map<String, Integer> all = library.getOrDefault(key, Map.of());
            String who = record.athlete(by).id();
            Map<String, Integer> mine = own.getOrDefault(who + SEPARATOR + key, Map.of());
            boolean contested = here.holder() != null || here.guard() != null;
            Map<String, Double> usual = usual(here, by, key, contested);
            for (Technique t : lexicon.startingIn(here.place())) {
                int seen = all.getOrDefault(t.code(), 0);
                boolean allowed = t.performer(here.place()).allows(here.holder() == by, here.guard() == by, contested);
                if (LEFT_OUT.contains(t.family()) || (seen == 0 && !allowed)) {
                    continue;
                }
                double expected = POSSIBLE + USUAL * usual.getOrDefault(t.code(), 0.0);
                double score = (expected + seen) * taste(who, t.code()) + OWN_WEIGHT * mine.getOrDefault(t.code(), 0);
                total += score;
                found.add(new Suggestion(by, t.code(), score, seen));
            }
        }
        double sum = total;
        return recalled(
                        found.stream()
                                .map(s -> new Suggestion(s.by(), s.technique(), s.chance() / sum, s.seen()))
                                .toList(),
                        here,
                        before,
                        record)
                .stream()
                .sorted(Comparator.comparingDouble(Suggestion::chance)
                        .reversed()
                        .thenComparing(Suggestion::technique)
                        .thenComparing(Suggestion::by))
                .limit(limit)
                .toList();
    }

    /** What is usually tried in such a place by whoever has this role. */
    private Map<String, Double> usual(Span here, Corner by, String key, boolean contested) {
        List<Technique> possible = lexicon.startingIn(here.place()).stream()
                .filter(t -> t.performer(here.place()).allows(here.holder() == by, here.guard() == by, contested))
                .toList();
        String kind = lexicon.position(here.place()).map(Position::family).orElse("other");
        return UsualAttempts.builtIn().rates(kind, key.substring(key.indexOf(' ') + 1), possible);
    }

    /** The chances drawn towards what has followed the attempt before. */
    private List<Suggestion> recalled(List<Suggestion> prior, Span here, Tag.Action before, MatchRecord record) {
        if (before == null) {
            return prior;
        }
        List<Suggestion> drawn = new ArrayList<>();
        double total = 0;
        for (Suggestion s : prior) {
            List<String> situations = situations(here, before, s.by(), record);
            double chance = s.chance();
            for (int i = 0; i < situations.size(); i++) {
                chance = drawn(situations.get(i), s.technique(), chance, RESERVES[i]);
            }
            total += chance;
            drawn.add(new Suggestion(s.by(), s.technique(), chance, s.seen()));
        }
        double sum = total;
        return drawn.stream()
                .map(s -> new Suggestion(s.by(), s.technique(), s.chance() / sum, s.seen()))
                .toList();
    }

    private double drawn(String situation, String technique, double prior, double reserve) {
        int seen = after.getOrDefault(situation, Map.of()).getOrDefault(technique, 0);
        return (seen + reserve * prior) / (met.getOrDefault(situation, 0) + reserve);
    }
}
