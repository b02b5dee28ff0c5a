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
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Finds what film can show in words: an action or its family, a grip, a position, a body fact, a restart. */
final class EventPatternReader {
    private static final Set<String> RESTARTS = Set.of("restart", "start", "restart of the match");
    private static final int LONGEST = 5;

    private EventPatternReader() {}

    /** What the words as a whole stand for; empty when they stand for nothing. */
    static Optional<EventPattern> whole(String words, boolean ours, String typed, Lexicon lexicon) {
        for (String word : forms(words)) {
            EventPattern s = RESTARTS.contains(word)
                    ? new EventPattern(EventPattern.Kind.RESTART, true, Set.of(), typed)
                    : named(word, ours, typed, lexicon);
            if (s != null) {
                return Optional.of(s);
            }
        }
        return Optional.empty();
    }

    /** The first thing in a text, actions before grips before places; the longest name that fits counts. */
    static Optional<EventPattern> in(String text, boolean ours, Lexicon lexicon) {
        List<EventPattern> found = all(text, ours, lexicon);
        return Stream.of(EventPattern.Kind.ACTION, EventPattern.Kind.GRIP, EventPattern.Kind.PLACE)
                .flatMap(kind -> found.stream().filter(s -> s.kind() == kind))
                .findFirst();
    }

    /** Everything in a text, in its order; the longest name that fits counts. */
    static List<EventPattern> all(String text, boolean ours, Lexicon lexicon) {
        String[] words = Lexicon.normal(text).split("[^\\p{L}\\p{N}/']+");
        List<EventPattern> found = new ArrayList<>();
        int i = 0;
        while (i < words.length) {
            int used = 1;
            for (int n = Math.min(LONGEST, words.length - i); n > 0; n--) {
                String part = String.join(" ", Arrays.copyOfRange(words, i, i + n));
                // short words are too often something else in a sentence
                Optional<EventPattern> s = part.length() < 4 ? Optional.empty() : whole(part, ours, part, lexicon);
                if (s.isPresent()) {
                    found.add(s.get());
                    used = takesBack(words, i + n - 1, ours, lexicon) ? n - 1 : n;
                    break;
                }
            }
            i += used;
        }
        return found;
    }

    /** Whether a word is "back" and begins what follows: "from half guard back take". */
    private static boolean takesBack(String[] words, int at, boolean ours, Lexicon lexicon) {
        String two = at + 1 < words.length ? words[at] + " " + words[at + 1] : "";
        return two.startsWith("back ") && whole(two, ours, two, lexicon).isPresent();
    }

    private static @Nullable EventPattern named(String word, boolean ours, String typed, Lexicon lexicon) {
        Set<String> family = lexicon.families().stream()
                .filter(f -> Lexicon.normal(f.code()).equals(word)
                        || Lexicon.normal(f.name()).equals(word))
                .flatMap(f ->
                        lexicon.techniques().stream().filter(t -> t.family().equals(f.code())))
                .map(Technique::code)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        if (!family.isEmpty() && !word.equals("grip")) {
            return new EventPattern(EventPattern.Kind.ACTION, ours, family, typed);
        }
        List<Term> terms = lexicon.lookUp(word);
        Set<String> grips = codes(terms, Grip.class);
        // "collar" and "sleeve" are words of several grips, all of which are meant
        lexicon.grips().stream().filter(g -> g.code().startsWith(word + "-")).forEach(g -> grips.add(g.code()));
        Set<String> techniques = codes(terms, Technique.class);
        Set<String> positions = codes(terms, Position.class);
        String fact = word.replace(' ', '-');
        if (!techniques.isEmpty()) {
            return new EventPattern(EventPattern.Kind.ACTION, ours, techniques, typed);
        }
        if (!positions.isEmpty()) {
            return new EventPattern(EventPattern.Kind.PLACE, ours, positions, typed);
        }
        if (!grips.isEmpty()) {
            return new EventPattern(EventPattern.Kind.GRIP, ours, grips, typed);
        }
        return lexicon.facts().contains(fact)
                ? new EventPattern(EventPattern.Kind.FACT, ours, Set.of(fact), typed)
                : null;
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
