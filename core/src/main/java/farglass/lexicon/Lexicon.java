package farglass.lexicon;

import farglass.text.Language;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** The words of the work. Immutable; a house term gives a new lexicon. */
public final class Lexicon {
    /** Under this a term that is shown by another name keeps its English one. */
    static final String ENGLISH = "en";

    private final Map<String, Family> families;
    private final Map<String, Position> positions;
    private final Map<String, Technique> techniques;
    private final Map<String, Grip> grips;
    private final Set<String> facts;
    private final Set<String> answers;
    /** Codes of what is done with the cloth of a gi. */
    private final Set<String> cloth;

    private final Map<String, List<String>> checkpoints;
    private final Map<String, List<Term>> byWord = new LinkedHashMap<>();
    private final Map<String, List<Technique>> fromPosition = new LinkedHashMap<>();

    private static final class BuiltIn {
        static final Lexicon INSTANCE = LexiconReader.readResource("lexicon.json");
    }

    private static final class Portuguese {
        static final Lexicon INSTANCE = BuiltIn.INSTANCE.named(Language.PORTUGUESE.tag());
    }

    /** The lexicon that ships with the application, its names in the language in force. */
    public static Lexicon builtIn() {
        return Language.current() == Language.PORTUGUESE ? Portuguese.INSTANCE : BuiltIn.INSTANCE;
    }

    Lexicon(
            Collection<Family> families,
            Collection<Position> positions,
            Collection<Technique> techniques,
            Collection<Grip> grips,
            Collection<String> facts,
            Collection<String> answers,
            Collection<String> cloth) {
        this(families, positions, techniques, grips, facts, answers, cloth, Map.of());
    }

    private Lexicon(
            Collection<Family> families,
            Collection<Position> positions,
            Collection<Technique> techniques,
            Collection<Grip> grips,
            Collection<String> facts,
            Collection<String> answers,
            Collection<String> cloth,
            Map<String, List<String>> checkpoints) {
        this.cloth = Set.copyOf(cloth);
        this.checkpoints = Map.copyOf(checkpoints);
        this.families = index("family", families, Family::code);
        this.positions = index("position", positions, Position::code);
        this.techniques = index("technique", techniques, Technique::code);
        this.grips = index("grip", grips, Grip::code);
        this.facts = Set.copyOf(facts);
        this.answers = Set.copyOf(answers);
        validate();
        for (Collection<? extends Term> terms : List.of(positions, techniques, grips)) {
            terms.forEach(this::indexWords);
        }
        for (Technique t : techniques) {
            t.from()
                    .forEach(p -> fromPosition
                            .computeIfAbsent(p, k -> new ArrayList<>())
                            .add(t));
        }
    }

    private static <T> Map<String, T> index(
            String what, Collection<T> items, java.util.function.Function<T, String> code) {
        Map<String, T> map = new LinkedHashMap<>();
        for (T item : items) {
            if (map.put(code.apply(item), item) != null) {
                throw new LexiconException("two entries for " + what + " " + code.apply(item));
            }
        }
        return map;
    }

    private void validate() {
        for (Position p : positions.values()) {
            if (!(p.value() >= -1 && p.value() <= 1)) {
                throw new LexiconException(
                        "position " + p.code() + ": standing value (" + p.value() + ") must lie in -1..1");
            }
            if (!(p.across() >= 0 && p.across() <= 1)) {
                throw new LexiconException(
                        "position " + p.code() + ": distance value (" + p.across() + ") must lie in 0..1");
            }
        }
        for (Technique t : techniques.values()) {
            if (!families.containsKey(t.family())) {
                throw new LexiconException("technique " + t.code() + ": unknown family " + t.family());
            }
            for (List<String> codes : List.of(t.from(), t.to())) {
                for (String p : codes) {
                    if (!positions.containsKey(p)) {
                        throw new LexiconException("technique " + t.code() + ": unknown position " + p);
                    }
                }
            }
        }
    }

    private void indexWords(Term term) {
        Set<String> words = new TreeSet<>();
        words.add(normal(term.code()));
        words.add(normal(term.name()));
        term.aliases().forEach(a -> words.add(normal(a)));
        term.names().values().forEach(a -> words.add(normal(a)));
        for (String w : words) {
            if (w.isEmpty()) {
                throw new LexiconException(term.code() + ": empty alias");
            }
            List<Term> sharing = byWord.computeIfAbsent(w, k -> new ArrayList<>());
            if (sharing.stream().anyMatch(o -> o.getClass() == term.getClass() && sameRank(w, o, term))) {
                throw new LexiconException(
                        "alias \"" + w + "\" stands for both " + sharing.get(0).code() + " and " + term.code());
            }
            sharing.add(term);
        }
    }

    /** Two terms clash over a word unless it is the proper name or code of exactly one of them. */
    private static boolean sameRank(String word, Term a, Term b) {
        return proper(word, a) == proper(word, b);
    }

    private static boolean proper(String word, Term t) {
        return word.equals(normal(t.code()))
                || word.equals(normal(t.name()))
                || word.equals(normal(t.names().getOrDefault(ENGLISH, "")));
    }

    /** Lower case, hyphens and runs of white space as one blank: the form in which words are compared. */
    public static String normal(String word) {
        return word.toLowerCase(Locale.ROOT).replace('-', ' ').strip().replaceAll("\\s+", " ");
    }

    /** Terms that a word or phrase stands for, proper names before aliases. */
    public List<Term> lookUp(String word) {
        String w = normal(word);
        List<Term> found = new ArrayList<>(byWord.getOrDefault(w, List.of()));
        found.sort((a, b) -> Boolean.compare(proper(w, b), proper(w, a)));
        return found;
    }

    /** Every word, alias and phrase that is understood, in the compared form. */
    public Set<String> words() {
        return byWord.keySet();
    }

    /** By code; empty for one that is not in the lexicon. */
    public Optional<Position> position(@Nullable String code) {
        return Optional.ofNullable(positions.get(code));
    }

    /** By code; empty for one that is not in the lexicon. */
    public Optional<Technique> technique(@Nullable String code) {
        return Optional.ofNullable(techniques.get(code));
    }

    /** By code; empty for one that is not in the lexicon. */
    public Optional<Grip> grip(@Nullable String code) {
        return Optional.ofNullable(grips.get(code));
    }

    /** By code; empty for one that is not in the lexicon. */
    public Optional<Family> family(String code) {
        return Optional.ofNullable(families.get(code));
    }

    /** Displayed name of a position, or the code itself when it is not in the lexicon. */
    public String positionName(String code) {
        return position(code).map(Position::name).orElse(code);
    }

    /** Displayed name of a technique, or the code itself when it is not in the lexicon. */
    public String techniqueName(String code) {
        return technique(code).map(Technique::name).orElse(code);
    }

    /** Family of a technique, or {@code other} when it is not in the lexicon. */
    public String familyOf(@Nullable String technique) {
        Technique known = techniques.get(technique);
        return known == null ? "other" : known.family();
    }

    /** Whether a technique, grip or position needs the cloth of a gi. */
    public boolean needsGi(String code) {
        return cloth.contains(code);
    }

    /** All positions in the order of the lexicon. */
    public Collection<Position> positions() {
        return positions.values();
    }

    /** All techniques in the order of the lexicon. */
    public Collection<Technique> techniques() {
        return techniques.values();
    }

    /** All grips in the order of the lexicon. */
    public Collection<Grip> grips() {
        return grips.values();
    }

    /** All families in the order of the lexicon. */
    public Collection<Family> families() {
        return families.values();
    }

    /** Codes of what can be seen of a body. */
    public Set<String> facts() {
        return facts;
    }

    /** Codes of what can be done about an attempt. */
    public Set<String> answers() {
        return answers;
    }

    /** Techniques that may start in a position. */
    public List<Technique> startingIn(String position) {
        return fromPosition.getOrDefault(position, List.of());
    }

    /**
     * This lexicon with one more house term, or with a term of the same kind and code replaced.
     *
     * @throws LexiconException when it names unknown positions or takes over another term's alias
     */
    public Lexicon with(Term term) {
        Map<String, Position> p = new LinkedHashMap<>(positions);
        Map<String, Technique> t = new LinkedHashMap<>(techniques);
        Map<String, Grip> g = new LinkedHashMap<>(grips);
        if (term instanceof Position added) {
            p.put(added.code(), added);
        } else if (term instanceof Technique added) {
            t.put(added.code(), added);
        } else if (term instanceof Grip added) {
            g.put(added.code(), added);
        }
        return new Lexicon(families.values(), p.values(), t.values(), g.values(), facts, answers, cloth, checkpoints);
    }

    /**
     * This lexicon with the names of a language; the name that a term had is understood as before. A term without such
     * a name, and one whose name in it is another's of its kind, keep theirs.
     */
    public Lexicon named(String language) {
        return new Lexicon(
                families.values().stream().map(f -> f.in(language)).toList(),
                named(positions.values(), language),
                named(techniques.values(), language),
                named(grips.values(), language),
                facts,
                answers,
                cloth,
                checkpoints);
    }

    private <T extends Term> List<T> named(Collection<T> terms, String language) {
        List<T> all = new ArrayList<>();
        for (T t : terms) {
            String name = t.names().get(language);
            boolean taken =
                    name == null || lookUp(name).stream().anyMatch(o -> o.getClass() == t.getClass() && !o.equals(t));
            all.add(name == null || taken ? t : Renamed.named(t, name));
        }
        return all;
    }

    /** This lexicon with checkpoints by technique code. */
    public Lexicon withCheckpoints(Map<String, List<String>> points) {
        return new Lexicon(
                families.values(),
                positions.values(),
                techniques.values(),
                grips.values(),
                facts,
                answers,
                cloth,
                points);
    }

    /** What a team looks at in a technique, each met or unmet on an attempt; none until somebody says. */
    public List<String> checkpoints(String technique) {
        return checkpoints.getOrDefault(technique, List.of());
    }

    /**
     * What tags mean by it, whatever things are called: the same text for lexicons by which the same tags are counted
     * alike.
     */
    public String meaning() {
        StringBuilder all = new StringBuilder();
        positions
                .values()
                .forEach(p -> all.append(String.join(
                                " ",
                                p.code(),
                                p.family(),
                                p.holder() + "",
                                p.guard() + "",
                                p.value() + "",
                                p.attackValue() + "",
                                p.scoring()))
                        .append('\n'));
        techniques
                .values()
                .forEach(t -> all.append(String.join(
                                " ",
                                t.code(),
                                t.family(),
                                t.from().toString(),
                                t.to().toString(),
                                t.role() + "",
                                new TreeMap<>(t.by()).toString(),
                                t.side(),
                                t.limb(),
                                t.using(),
                                t.limbTie()))
                        .append('\n'));
        all.append(new TreeSet<>(answers)).append(new TreeSet<>(cloth));
        return all.toString();
    }
}
