package farglass.conduct;

import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Finds what film can show in words: an action or its family, a grip, a position, a body fact, a restart. */
final class SightReader {
    private static final Set<String> RESTARTS = Set.of("restart", "start", "restart of the match");
    private static final int LONGEST = 5;

    private SightReader() {}

    /** What the words as a whole stand for; empty when they stand for nothing. */
    static Optional<Sight> whole(String words, boolean ours, String typed, Lexicon lexicon) {
        for (String word : forms(words)) {
            Sight s = RESTARTS.contains(word)
                    ? new Sight(Sight.Kind.RESTART, true, Set.of(), typed)
                    : named(word, ours, typed, lexicon);
            if (s != null) {
                return Optional.of(s);
            }
        }
        return Optional.empty();
    }

    /** The first thing in a text, actions before grips before places; the longest name that fits counts. */
    static Optional<Sight> in(String text, boolean ours, Lexicon lexicon) {
        String[] words = Lexicon.normal(text).split("[^\\p{L}\\p{N}/']+");
        List<Sight> found = new ArrayList<>();
        int i = 0;
        while (i < words.length) {
            int used = 1;
            for (int n = Math.min(LONGEST, words.length - i); n > 0; n--) {
                String part = String.join(" ", Arrays.copyOfRange(words, i, i + n));
                // short words are too often something else in a sentence
                Optional<Sight> s = part.length() < 4 ? Optional.empty() : whole(part, ours, part, lexicon);
                if (s.isPresent()) {
                    found.add(s.get());
                    used = n;
                    break;
                }
            }
            i += used;
        }
        for (Sight.Kind kind : List.of(Sight.Kind.ACTION, Sight.Kind.GRIP, Sight.Kind.PLACE)) {
            for (Sight s : found) {
                if (s.kind() == kind) {
                    return Optional.of(s);
                }
            }
        }
        return Optional.empty();
    }

    private static Sight named(String word, boolean ours, String typed, Lexicon lexicon) {
        Set<String> family = lexicon.families().stream()
                .filter(f -> Lexicon.normal(f.code()).equals(word)
                        || Lexicon.normal(f.name()).equals(word))
                .flatMap(f ->
                        lexicon.techniques().stream().filter(t -> t.family().equals(f.code())))
                .map(Technique::code)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        if (!family.isEmpty() && !word.equals("grip")) {
            return new Sight(Sight.Kind.ACTION, ours, family, typed);
        }
        List<Term> terms = lexicon.lookUp(word);
        Set<String> grips = codes(terms, Grip.class);
        // "collar" and "sleeve" are words of several grips, all of which are meant
        lexicon.grips().stream().filter(g -> g.code().startsWith(word + "-")).forEach(g -> grips.add(g.code()));
        Set<String> techniques = codes(terms, Technique.class);
        Set<String> positions = codes(terms, Position.class);
        String fact = word.replace(' ', '-');
        if (!techniques.isEmpty()) {
            return new Sight(Sight.Kind.ACTION, ours, techniques, typed);
        }
        if (!positions.isEmpty()) {
            return new Sight(Sight.Kind.PLACE, ours, positions, typed);
        }
        if (!grips.isEmpty()) {
            return new Sight(Sight.Kind.GRIP, ours, grips, typed);
        }
        return lexicon.facts().contains(fact) ? new Sight(Sight.Kind.FACT, ours, Set.of(fact), typed) : null;
    }

    private static Set<String> codes(List<Term> terms, Class<? extends Term> type) {
        return terms.stream()
                .filter(type::isInstance)
                .map(Term::code)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** As typed, without plural, without the word grip or "on one's back" at the end. */
    private static List<String> forms(String typed) {
        List<String> forms = new ArrayList<>(List.of(typed));
        for (String end : List.of("es", "s", " grip", " grips", " back", " our back", " his back", " her back")) {
            if (typed.endsWith(end) && typed.length() > end.length() + 2) {
                forms.add(typed.substring(0, typed.length() - end.length()));
            }
        }
        return forms;
    }
}
