package farglass.phrase;

import farglass.lexicon.Family;
import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.match.Tag;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Which tags are asked for, in the words of the phrase line: {@code tolendt lasso sweep left near completed}. Words of
 * one sort widen (near or completed), words of different sorts narrow (the technique and the side). Immutable.
 */
public final class TagQuery {
    private static final int LONGEST = 6;
    private static final Pattern LEVEL = Pattern.compile("([1-4])\\+?");
    private static final Set<String> SKIPPED =
            Set.of("or", "and", "to", "the", "all", ",", "by", "ou", "para", "por", "todas", "todos");

    private final Set<String> terms = new HashSet<>();
    private final Set<String> families = new HashSet<>();
    private final Set<String> athletes = new HashSet<>();
    private final Set<Side> sides = EnumSet.noneOf(Side.class);
    private final Set<Outcome> outcomes = EnumSet.noneOf(Outcome.class);
    private int least;

    private TagQuery() {}

    /**
     * What was understood.
     *
     * @param query asks for nothing it did not understand
     * @param problem the words that mean nothing here, or empty
     */
    public record Reading(TagQuery query, String problem) {}

    /** @param names names of the athletes that may be asked for */
    public static Reading read(String text, Lexicon lexicon, Collection<String> names) {
        TagQuery q = new TagQuery();
        String[] words = text.strip().toLowerCase(Locale.ROOT).split("[\\s,]+");
        List<String> unknown = new ArrayList<>();
        int i = 0;
        while (i < words.length) {
            int used = words[i].isEmpty() || SKIPPED.contains(words[i]) ? 1 : q.take(words, i, lexicon, names);
            if (used == 0) {
                unknown.add(words[i]);
                used = 1;
            }
            i += used;
        }
        return new Reading(q, String.join(" ", unknown));
    }

    private int take(String[] words, int i, Lexicon lexicon, Collection<String> names) {
        String w = TypedWords.english(words[i]);
        Matcher level = LEVEL.matcher(w);
        if (PhraseWords.SIDES.containsKey(w)) {
            sides.add(PhraseWords.SIDES.get(w));
            return 1;
        }
        if (PhraseWords.OUTCOMES.containsKey(w)) {
            outcomes.add(PhraseWords.OUTCOMES.get(w));
            return 1;
        }
        if (level.matches()) {
            least = Integer.parseInt(level.group(1));
            return 1;
        }
        for (int n = Math.min(LONGEST, words.length - i); n > 0; n--) {
            if (takeTerm(String.join(" ", Arrays.copyOfRange(words, i, i + n)), lexicon)) {
                return n;
            }
        }
        boolean name = names.stream()
                .anyMatch(x ->
                        Arrays.asList(x.toLowerCase(Locale.ROOT).split("\\s+")).contains(words[i]));
        if (name) {
            athletes.add(words[i]);
        }
        return name ? 1 : 0;
    }

    private boolean takeTerm(String typed, Lexicon lexicon) {
        String one = typed.endsWith("s") ? typed.substring(0, typed.length() - 1) : typed;
        for (String word : List.of(typed, one, one.endsWith("e") ? one.substring(0, one.length() - 1) : one)) {
            Optional<Family> family = lexicon.families().stream()
                    .filter(f -> Lexicon.normal(f.code()).equals(word)
                            || Lexicon.normal(f.name()).equals(word))
                    .findFirst();
            if (family.isPresent()) {
                families.add(family.get().code());
                return true;
            }
            List<Term> found = lexicon.lookUp(word);
            if (!found.isEmpty()) {
                found.forEach(t -> terms.add(kind(t) + t.code()));
                return true;
            }
        }
        return false;
    }

    private static String kind(Term t) {
        return t instanceof Technique
                ? "technique "
                : t instanceof Position ? "position " : t instanceof Grip ? "grip " : "";
    }

    /** Indices of the tags asked for, in the order of the record. */
    public List<Integer> in(MatchRecord r, Lexicon lexicon) {
        List<Integer> found = new ArrayList<>();
        for (int i = 0; i < r.tags().size(); i++) {
            if (matches(r, r.tags().get(i), lexicon)) {
                found.add(i);
            }
        }
        return found;
    }

    private boolean matches(MatchRecord r, Tag tag, Lexicon lexicon) {
        if (tag instanceof Tag.Action a) {
            boolean named = (terms.isEmpty() && families.isEmpty())
                    || terms.contains("technique " + a.technique())
                    || families.contains(lexicon.familyOf(a.technique()));
            return named
                    && who(r, a.by())
                    && (sides.isEmpty() || a.sides().stream().anyMatch(sides::contains))
                    && (outcomes.isEmpty() || (a.outcome() != null && outcomes.contains(a.outcome())))
                    && (least == 0 || (a.reached() != null && a.reached() >= least));
        }
        boolean ofAttempts = !outcomes.isEmpty() || least > 0;
        if (tag instanceof Tag.Position p && !ofAttempts) {
            Corner subject = p.guard() != null ? p.guard() : p.holder();
            return terms.contains("position " + p.position())
                    && (athletes.isEmpty() || (subject != null && who(r, subject)))
                    && (sides.isEmpty() || (p.side() != null && sides.contains(p.side())));
        }
        if (tag instanceof Tag.Grip g && !ofAttempts) {
            return terms.contains("grip " + g.grip())
                    && who(r, g.by())
                    && (sides.isEmpty() || (g.hand() != null && sides.contains(g.hand())));
        }
        return false;
    }

    private boolean who(MatchRecord r, @Nullable Corner c) {
        return athletes.isEmpty()
                || Arrays.stream(r.athlete(c).name().toLowerCase(Locale.ROOT).split("\\s+"))
                        .anyMatch(athletes::contains);
    }
}
