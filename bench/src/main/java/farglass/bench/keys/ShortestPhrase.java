package farglass.bench.keys;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.Corner;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.phrase.Context;
import farglass.phrase.PhraseReader;
import farglass.phrase.Reading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** How many keys a tag costs somebody who knows the short forms, Enter included; the reader must take what is typed. */
public final class ShortestPhrase {
    /** Of a tag that no phrase can say. */
    public static final int UNSAID = Integer.MAX_VALUE;

    private final Lexicon lexicon;
    private final PhraseReader reader;

    public ShortestPhrase(Lexicon lexicon) {
        this.lexicon = lexicon;
        this.reader = new PhraseReader(lexicon);
    }

    /** @param likely whether it is among the likely next tags that a digit takes */
    public int attempt(Tag.Action a, Context context, boolean likely) {
        int best = UNSAID;
        for (String tail : tails(a)) {
            if (likely) {
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
        return best;
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

    public int place(Tag.Position p, Context context) {
        int best = UNSAID;
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
        return best;
    }

    private @Nullable Corner guard(Tag.Position p) {
        boolean isGuard = lexicon.position(p.position()).map(Position::guard).orElse(false);
        return p.guard() == null && isGuard && p.holder() != null ? p.holder().other() : p.guard();
    }
}
