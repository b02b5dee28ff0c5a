package farglass.lexicon;

import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Reads {@code farglass.lexicon/1}. */
public final class LexiconReader {
    static final String FORMAT = "farglass.lexicon/1";
    private static final ObjectMapper JSON =
            new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

    private LexiconReader() {}

    /** Shape of the file. In a technique's {@code from}, {@code @family} stands for all positions of that family. */
    private record Document(
            String format,
            List<Family> families,
            List<Position> positions,
            List<Technique> techniques,
            List<Grip> grips,
            List<String> facts,
            List<String> answers,
            @Nullable List<String> cloth) {}

    static Lexicon readResource(String name) {
        try (InputStream in = LexiconReader.class.getResourceAsStream(name)) {
            return read(in);
        } catch (IOException e) {
            throw new LexiconException("built-in lexicon cannot be read: " + e.getMessage());
        }
    }

    /**
     * @throws LexiconException when the document is not a lexicon or contradicts itself
     * @throws IOException when it is not JSON of this shape
     */
    public static Lexicon read(InputStream in) throws IOException {
        Document d = JSON.readValue(in, Document.class);
        if (!FORMAT.equals(d.format())) {
            throw new LexiconException("/format: expected " + FORMAT + ", found " + d.format());
        }
        List<Technique> techniques = d.techniques().stream()
                .map(t -> new Technique(
                        t.code(),
                        t.name(),
                        t.family(),
                        expand(t, d.positions()),
                        t.to(),
                        t.role(),
                        byPlace(t, d.positions()),
                        t.side(),
                        t.limb(),
                        t.using(),
                        t.limbTie(),
                        t.restricted(),
                        t.names(),
                        t.aliases()))
                .toList();
        return new Lexicon(
                d.families(),
                d.positions(),
                techniques,
                d.grips(),
                d.facts(),
                d.answers(),
                d.cloth() == null ? List.of() : d.cloth());
    }

    /** Families of positions taken apart; a place named by its code goes before its family. */
    private static Map<String, Performer> byPlace(Technique t, List<Position> positions) {
        Map<String, Performer> by = new LinkedHashMap<>();
        t.by().forEach((place, who) -> {
            if (place.startsWith("@")) {
                positions.stream()
                        .filter(p -> p.family().equals(place.substring(1)))
                        .forEach(p -> by.putIfAbsent(p.code(), who));
            }
        });
        t.by().forEach((place, who) -> {
            if (!place.startsWith("@")) {
                by.put(place, who);
            }
        });
        return by;
    }

    private static List<String> expand(Technique t, List<Position> positions) {
        List<String> codes = new ArrayList<>();
        for (String from : t.from()) {
            if (!from.startsWith("@")) {
                codes.add(from);
                continue;
            }
            List<String> members = positions.stream()
                    .filter(p -> p.family().equals(from.substring(1)))
                    .map(Position::code)
                    .toList();
            if (members.isEmpty()) {
                throw new LexiconException("technique " + t.code() + ": no positions of family " + from);
            }
            codes.addAll(members);
        }
        return codes.stream().distinct().toList();
    }
}
