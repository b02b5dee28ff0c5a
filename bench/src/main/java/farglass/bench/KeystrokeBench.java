package farglass.bench;

import farglass.bench.keys.ShortestPhrase;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.phrase.Context;
import farglass.phrase.LikelyNext;
import farglass.simulate.DemoLibrary;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Types every attempt and every place of the demo's filmed matches again, as an analyst would who knows the short
 * forms, and counts the keys, Enter included. The likely next tags are held against all attempts of the whole demo
 * library, each match against a model of all others. Every phrase is read by the real reader and must give the tag of
 * the record, field for field; what no phrase can say is counted apart.
 */
final class KeystrokeBench {
    private static final int CHOICES = 5;
    private final Lexicon lexicon = Lexicon.builtIn();
    private final ShortestPhrase phrases = new ShortestPhrase(lexicon);
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
        keep(phrases.attempt(a, context, rank >= 0));
    }

    private void place(MatchRecord r, Tag.Position p, Span here) {
        if (!typed) {
            return;
        }
        keep(phrases.place(p, new Context(r, p.t(), here)));
    }

    private void keep(int best) {
        if (best == ShortestPhrase.UNSAID) {
            unsaid++;
        } else {
            keys.add(best);
        }
    }
}
