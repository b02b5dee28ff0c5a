package farglass.bench;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.PositionLine;
import farglass.match.Side;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.phrase.Context;
import farglass.phrase.LikelyNext;
import farglass.phrase.PhraseReader;
import farglass.phrase.Reading;
import farglass.simulate.DemoLibrary;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Types every attempt and every place of the demo's filmed matches again, as an analyst would who knows the short
 * forms, and counts the keys, Enter included. The likely next tags are held against all attempts of the whole demo
 * library, each match against a model of all others. Every phrase is read by the real reader and must give the tag of
 * the record, field for field; what no phrase can say is counted apart.
 */
final class KeystrokeBench {
    private static final int CHOICES = 5;
    private final Lexicon lexicon = Lexicon.builtIn();
    private final PhraseReader reader = new PhraseReader(lexicon);
    private final List<Integer> keys = new ArrayList<>();
    private int attempts;
    private int first;
    private int amongFive;
    private int unsaid;
    /**
     * Whether the phrases of this match are typed in every way to find the shortest; its choices are looked at anyway.
     */
    private boolean typed;

    record Figures(int tags, double median, double mean, int attempts, double first, double amongFive, int unsaid) {}

    static Figures run() {
        KeystrokeBench bench = new KeystrokeBench();
        List<MatchRecord> all = DemoLibrary.matches(bench.lexicon, DemoLibrary.SEED);
        for (MatchRecord r : all) {
            LikelyNext model = LikelyNext.of(all.stream().filter(x -> x != r).toList(), bench.lexicon);
            bench.typed = !r.films().isEmpty();
            bench.type(r, model);
        }
        bench.keys.sort(Comparator.naturalOrder());
        int n = bench.keys.size();
        return new Figures(
                n,
                (bench.keys.get((n - 1) / 2) + bench.keys.get(n / 2)) / 2.0,
                bench.keys.stream().mapToInt(Integer::intValue).average().orElseThrow(),
                bench.attempts,
                (double) bench.first / bench.attempts,
                (double) bench.amongFive / bench.attempts,
                bench.unsaid);
    }

    private void type(MatchRecord r, LikelyNext model) {
        PositionLine line = PositionLine.of(r, lexicon);
        for (int i = 0; i < r.tags().size(); i++) {
            int index = i;
            Span here = line.spans().stream()
                    .filter(s -> s.tag() < index
                            && s.from().compareTo(r.tags().get(index).t()) <= 0)
                    .reduce((x, y) -> y)
                    .orElse(null);
            if (r.tags().get(i) instanceof Tag.Action a && here != null) {
                attempt(r, a, here, before(r, i), model);
            } else if (r.tags().get(i) instanceof Tag.Position p && here != null && !follows(r, i)) {
                place(r, p, here);
            }
        }
    }

    /** A place that a completed attempt brings along costs no key. */
    private static boolean follows(MatchRecord r, int index) {
        for (int i = index - 1; i >= 0 && !(r.tags().get(i) instanceof Tag.Position); i--) {
            if (r.tags().get(i) instanceof Tag.Action a && a.completed()) {
                return true;
            }
        }
        return false;
    }

    private Tag.Action before(MatchRecord r, int index) {
        return LikelyNext.before(
                r.withTags(r.tags().subList(0, index)), r.tags().get(index).t(), lexicon);
    }

    private void attempt(MatchRecord r, Tag.Action a, Span here, Tag.Action before, LikelyNext model) {
        Context context = new Context(r, a.t(), here);
        List<LikelyNext.Suggestion> likely = model.after(here, before, r, CHOICES);
        int rank = -1;
        for (int k = 0; k < likely.size(); k++) {
            if (likely.get(k).by() == a.by() && likely.get(k).technique().equals(a.technique())) {
                rank = k;
            }
        }
        attempts++;
        first += rank == 0 ? 1 : 0;
        amongFive += rank >= 0 ? 1 : 0;
        if (!typed) {
            return;
        }
        int best = Integer.MAX_VALUE;
        for (String tail : tails(a)) {
            if (rank >= 0) {
                String chosen = a.by().code() + " " + Lexicon.normal(lexicon.techniqueName(a.technique())) + " ";
                best = says(chosen + tail, context, a) ? Math.min(best, 1 + tail.length() + 1) : best;
            }
            for (String word : shortest(a.technique())) {
                for (String who : List.of("", a.by().code() + " ")) {
                    String phrase = who + word + (tail.isEmpty() ? "" : " " + tail);
                    best = says(phrase, context, a) ? Math.min(best, phrase.length() + 1) : best;
                }
            }
        }
        keep(best);
    }

    private List<String> tails(Tag.Action a) {
        String side = a.sides().stream()
                .map(s -> s == Side.LEFT ? "l" : s == Side.RIGHT ? "r" : "both")
                .reduce((x, y) -> x + " " + y)
                .orElse("");
        String level = a.reached() == null ? "" : Integer.toString(a.reached());
        List<String> tails = new ArrayList<>();
        for (String outcome : new String[] {"", "n", "s", "x", "ok"}) {
            for (String to :
                    a.to() == null ? new String[] {""} : new String[] {"", a.to().toLowerCase(java.util.Locale.ROOT)}) {
                String tail = side + (outcome.equals("ok") ? "" : level);
                tail = outcome.isEmpty() ? tail : (tail + " " + outcome).strip();
                tails.add(to.isEmpty() ? tail : (tail + " " + to).strip());
            }
        }
        return tails;
    }

    private List<String> shortest(String technique) {
        Optional<Technique> known = lexicon.technique(technique);
        return known.map(t -> lexicon.words().stream()
                        .filter(w -> lexicon.lookUp(w).stream().anyMatch(x -> x.equals(t)))
                        .sorted(Comparator.comparingInt(String::length))
                        .limit(3)
                        .toList())
                .orElse(List.of());
    }

    private boolean says(String phrase, Context context, Tag.Action wanted) {
        Reading reading = reader.read(phrase, context);
        if (!reading.complete() || !(reading.tags().get(0) instanceof Tag.Action a)) {
            return false;
        }
        return a.by() == wanted.by()
                && a.technique().equals(wanted.technique())
                && a.sides().equals(wanted.sides())
                && a.outcome() == wanted.outcome()
                && Objects.equals(a.reached(), wanted.reached())
                && (wanted.to() == null
                        || wanted.outcome() != Outcome.COMPLETED
                        || wanted.to().equals(a.to()));
    }

    private void place(MatchRecord r, Tag.Position p, Span here) {
        if (!typed) {
            return;
        }
        Context context = new Context(r, p.t(), here);
        int best = Integer.MAX_VALUE;
        Term term = lexicon.position(p.position()).map(Position.class::cast).orElse(null);
        List<String> words = lexicon.words().stream()
                .filter(w -> lexicon.lookUp(w).stream().anyMatch(x -> x.equals(term)))
                .toList();
        for (String word : words) {
            for (String who : new String[] {"", "a ", "b "}) {
                Reading reading = reader.read(who + word, context);
                boolean same = reading.complete()
                        && reading.tags().get(0) instanceof Tag.Position q
                        && q.position().equals(p.position())
                        && q.holder() == p.holder()
                        && q.guard() == guard(p);
                best = same ? Math.min(best, who.length() + word.length() + 1) : best;
            }
        }
        keep(best);
    }

    private Corner guard(Tag.Position p) {
        boolean isGuard = lexicon.position(p.position()).map(Position::guard).orElse(false);
        return p.guard() == null && isGuard && p.holder() != null ? p.holder().other() : p.guard();
    }

    private void keep(int best) {
        if (best == Integer.MAX_VALUE) {
            unsaid++;
        } else {
            keys.add(best);
        }
    }
}
