package farglass.lexicon;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * What a team has changed in the lexicon: terms of its own or with other names and values, checkpoints, and in which
 * language names are shown. Immutable.
 *
 * @param shown language of the names shown: {@code en}, {@code pt} or {@code ja}; a term without such a name keeps its
 * own
 * @param checkpoints by technique code
 */
public record OwnTerms(
        String shown,
        List<Position> positions,
        List<Technique> techniques,
        List<Grip> grips,
        Map<String, List<String>> checkpoints) {
    /** What the shipped lexicon has names in; {@code plain} describes what is named after people or by custom. */
    public static final List<String> LANGUAGES = List.of("en", "plain", "pt", "ja");

    public static final OwnTerms NONE = new OwnTerms("en", List.of(), List.of(), List.of(), Map.of());

    private static final String CHECKPOINT = "[a-z][a-z0-9-]*";
    private static final ObjectMapper JSON =
            new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

    public OwnTerms {
        shown = shown == null ? "en" : shown;
        positions = positions == null ? List.of() : List.copyOf(positions);
        techniques = techniques == null ? List.of() : List.copyOf(techniques);
        grips = grips == null ? List.of() : List.copyOf(grips);
        checkpoints = checkpoints == null ? Map.of() : Map.copyOf(checkpoints);
    }

    /** @throws LexiconException when it is not what {@link #write} writes */
    public static OwnTerms read(String text) {
        try {
            return JSON.readValue(text, OwnTerms.class);
        } catch (JsonProcessingException e) {
            throw new LexiconException("own terms cannot be read: " + e.getOriginalMessage());
        }
    }

    /** As JSON; {@code read} gives it back. */
    public String write() {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("format", LexiconReader.FORMAT);
        m.put("shown", shown);
        m.put("positions", positions);
        m.put("techniques", techniques);
        m.put("grips", grips);
        m.put("checkpoints", new TreeMap<>(checkpoints));
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(m);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("own terms cannot be written", e);
        }
    }

    /** The same with a term added, or in the place of the one of its kind and code. */
    public OwnTerms with(Term term) {
        if (term instanceof Position p) {
            return new OwnTerms(shown, put(positions, p, Position::code), techniques, grips, checkpoints);
        }
        if (term instanceof Technique t) {
            return new OwnTerms(shown, positions, put(techniques, t, Technique::code), grips, checkpoints);
        }
        return new OwnTerms(shown, positions, techniques, put(grips, (Grip) term, Grip::code), checkpoints);
    }

    private static <T> List<T> put(List<T> terms, T term, Function<T, String> code) {
        List<T> next = new ArrayList<>(terms);
        next.removeIf(x -> code.apply(x).equals(code.apply(term)));
        next.add(term);
        return next;
    }

    /** @throws LexiconException when a checkpoint is not lower case letters, digits and hyphens */
    public OwnTerms checking(String technique, List<String> points) {
        for (String p : points) {
            if (!p.matches(CHECKPOINT)) {
                throw new LexiconException("checkpoint \"" + p + "\": lower case letters, digits and hyphens only");
            }
        }
        Map<String, List<String>> next = new TreeMap<>(checkpoints);
        next.put(technique, List.copyOf(points));
        next.values().removeIf(List::isEmpty);
        return new OwnTerms(shown, positions, techniques, grips, next);
    }

    /** The same with names shown in a language, a code such as {@code pt}. */
    public OwnTerms shown(String language) {
        return new OwnTerms(language, positions, techniques, grips, checkpoints);
    }

    /**
     * A lexicon with these changes.
     *
     * @throws LexiconException when they contradict it: unknown positions, another term's alias
     */
    public Lexicon in(Lexicon lexicon) {
        Lexicon next = lexicon;
        for (Position p : positions) {
            next = next.with(p);
        }
        for (Technique t : techniques) {
            next = next.with(t);
        }
        for (Grip g : grips) {
            next = next.with(g);
        }
        if (!shown.equals("en")) {
            next = next.named(shown);
        }
        return next.withCheckpoints(checkpoints);
    }
}
