package farglass.store.json;

import com.fasterxml.jackson.core.JsonParseException;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.json.JsonReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import farglass.match.Corner;
import farglass.match.FilmRef;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.RecordKind;
import farglass.match.Result;
import farglass.match.Tag;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads and writes {@code farglass.match/1}. */
public final class MatchJson {
    public static final String FORMAT = "farglass.match/1";
    /** Megabytes of a record from outside; one of two thousand tags has a third of one. */
    public static final int MOST_MB = 16;
    /** Tags of a record from outside, a hundred times as many as an analyst makes. */
    private static final int MOST_TAGS = 100_000;
    /** Values in one unknown field of a record from outside: what the program itself writes there has some hundreds. */
    private static final int MOST_VALUES = 100_000;

    private static final int MAX_DEPTH = 64;
    private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");

    static final ObjectMapper JSON = JsonMapper.builder(com.fasterxml.jackson.core.JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(MAX_DEPTH)
                            .build())
                    .build())
            .disable(JsonReadFeature.ALLOW_NON_NUMERIC_NUMBERS)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            // a field that is there twice is an error; noticed where the tree is put together, at half the cost of the
            // parser's way
            .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY)
            .build();

    private MatchJson() {}

    /**
     * @throws FormatException when the file is not a match record, with the path inside it
     * @throws IOException when the file cannot be read at all
     */
    public static MatchRecord read(Path file) throws IOException, FormatException {
        return fromOutside(TextFile.bytes(file, MOST_MB));
    }

    /**
     * Tags, which are nearly all of a document, are read without a tree of it in between.
     *
     * @throws FormatException when the document is not a match record, with the path inside it
     */
    public static MatchRecord read(String document) throws FormatException {
        return read(document.getBytes(StandardCharsets.UTF_8));
    }

    /** The same of a document's bytes, UTF-8. */
    public static MatchRecord read(byte[] document) throws FormatException {
        return read(document, false);
    }

    /**
     * A document that does not come out of a library: whoever made it, it must not take more room than there is.
     *
     * @throws FormatException also when it is not UTF-8 or too large
     */
    public static MatchRecord fromOutside(byte[] document) throws FormatException {
        if (document.length > MOST_MB * 1024L * 1024) {
            throw new FormatException("", "larger than " + MOST_MB + " MB, the most a match record can have");
        }
        TextFile.decode(document);
        return read(document, true);
    }

    private static MatchRecord read(byte[] document, boolean outside) throws FormatException {
        int mostTags = outside ? MOST_TAGS : Integer.MAX_VALUE;
        int mostValues = outside ? MOST_VALUES : Integer.MAX_VALUE;
        try (JsonParser parser = JSON.createParser(document)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                // nothing, or something else: the tree says what
                return read(Fields.of(parse(new String(document, StandardCharsets.UTF_8)), ""), List.of(), outside);
            }
            List<Fields> tags = new ArrayList<>();
            Fields f = Fields.read(parser, "tags", tags, mostTags, mostValues);
            if (parser.nextToken() != null) {
                throw new JsonParseException(parser, "Something follows the record");
            }
            return read(f, tags, outside);
        } catch (JsonProcessingException e) {
            throw notJson(e);
        } catch (IOException e) {
            throw new FormatException("", "not JSON: " + e.getMessage());
        }
    }

    static JsonNode parse(String document) throws FormatException {
        try {
            JsonNode node = JSON.readTree(document);
            if (node == null || node.isMissingNode()) {
                throw new FormatException("", "the file is empty");
            }
            return node;
        } catch (JsonProcessingException e) {
            throw notJson(e);
        }
    }

    private static FormatException notJson(JsonProcessingException e) {
        int line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
        String what = e.getOriginalMessage();
        // the library's own advice to programmers is left out
        int advice = what.indexOf(" for `");
        return new FormatException(
                "", "not JSON, line " + line + ": " + (advice < 0 ? what : what.substring(0, advice)));
    }

    private static MatchRecord read(Fields f, List<Fields> listedTags, boolean outside) throws FormatException {
        String format = f.needText("format");
        if (!format.equals(FORMAT)) {
            throw f.error("format", "\"" + format + "\" is not " + FORMAT);
        }
        String id = f.needName("id", outside);
        RecordKind kind = f.coded("kind", RecordKind.class);
        Fields athletes = f.object("athletes");
        long length = f.needMs("lengthMs");
        if (length == 0) {
            throw f.error("lengthMs", "must be more than 0");
        }
        MatchRecord.Details details = new MatchRecord.Details(
                date(f),
                f.text("event"),
                f.text("round"),
                f.text("division"),
                attire(f),
                f.text("ruleset"),
                length,
                athlete(athletes.object("a"), outside),
                athlete(athletes.object("b"), outside),
                f.get("result") == null ? null : result(f.object("result")));
        List<FilmRef> films = films(f);
        if (!f.need("tags").isArray()) {
            throw f.error("tags", "a list is expected");
        }
        List<Tag> tags = new ArrayList<>(listedTags.size());
        for (Fields tag : listedTags) {
            tags.add(TagJson.read(tag.object()));
        }
        return new MatchRecord(id, kind == null ? RecordKind.MATCH : kind, details, films, tags, f.rest());
    }

    private static @Nullable LocalDate date(Fields f) throws FormatException {
        String text = f.text("date");
        try {
            return text == null ? null : LocalDate.parse(text);
        } catch (DateTimeParseException e) {
            throw f.error("date", "\"" + text + "\" is not a date like 2031-04-12");
        }
    }

    private static @Nullable String attire(Fields f) throws FormatException {
        String attire = f.text("attire");
        if (attire != null && !List.of("gi", "no-gi", "not-visible").contains(attire)) {
            throw f.error("attire", "\"" + attire + "\" is not one of gi, no-gi");
        }
        return attire;
    }

    private static MatchAthlete athlete(Fields f, boolean outside) throws FormatException {
        String colour = f.text("colour");
        if (colour != null && !COLOUR.matcher(colour).matches()) {
            throw f.error("colour", "\"" + colour + "\" is not a colour like #2f5fa8");
        }
        return new MatchAthlete(
                f.needName("id", outside), f.needName("name", outside), f.text("marker"), colour, f.rest());
    }

    private static Result result(Fields f) throws FormatException {
        return new Result(
                f.corner("winner"), f.needCoded("method", Method.class), f.text("technique"), f.time("atMs"), f.rest());
    }

    private static List<FilmRef> films(Fields f) throws FormatException {
        List<FilmRef> films = new ArrayList<>();
        JsonNode listed = f.get("films");
        if (listed == null) {
            return films;
        }
        if (!listed.isArray()) {
            throw f.error("films", "a list is expected");
        }
        for (int i = 0; i < listed.size(); i++) {
            Fields film = Fields.of(listed.get(i), "/films/" + i);
            Boolean mirrored = film.flag("mirrored");
            films.add(new FilmRef(
                    film.needText("file"),
                    film.text("sha256"),
                    film.ms("durationMs"),
                    mirrored != null && mirrored,
                    map(film),
                    film.rest()));
        }
        return films;
    }

    private static ClockMap map(Fields film) throws FormatException {
        JsonNode listed = film.get("segments");
        if (listed == null) {
            return ClockMap.EMPTY;
        }
        List<Segment> segments = new ArrayList<>();
        for (int i = 0; i < listed.size(); i++) {
            Fields s = Fields.of(listed.get(i), film.path("segments") + "/" + i);
            String kind = s.needText("kind");
            Segment.Kind k;
            try {
                k = Segment.Kind.valueOf(kind.toUpperCase(Locale.ROOT));
            } catch (IllegalArgumentException e) {
                throw s.error("kind", "\"" + kind + "\" is not one of live, replay, stoppage, other");
            }
            MatchTime at = k.showsMatch() ? MatchTime.ofMs(s.needMs("matchMs")) : MatchTime.ZERO;
            Double speed = s.number("speed", 0, 4);
            try {
                segments.add(new Segment(
                        FilmTime.ofMs(s.needMs("fromMs")),
                        FilmTime.ofMs(s.needMs("toMs")),
                        k,
                        at,
                        speed == null ? 1 : speed));
            } catch (IllegalArgumentException e) {
                throw new FormatException(film.path("segments") + "/" + i, e.getMessage());
            }
        }
        try {
            return ClockMap.of(segments);
        } catch (IllegalArgumentException e) {
            throw film.error("segments", e.getMessage());
        }
    }

    /** The record as a JSON document, indented, one tag a line. */
    public static String write(MatchRecord r) {
        try {
            Map<String, Object> m = new LinkedHashMap<>();
            m.put("format", FORMAT);
            m.put("id", r.id());
            if (r.kind() != RecordKind.MATCH) {
                m.put("kind", r.kind().code());
            }
            MatchRecord.Details d = r.details();
            put(m, "date", d.date() == null ? null : d.date().toString());
            put(m, "event", d.event());
            put(m, "round", d.round());
            put(m, "division", d.division());
            put(m, "attire", d.attire());
            put(m, "ruleset", d.ruleset());
            m.put("lengthMs", d.lengthMs());
            Map<String, Object> athletes = new LinkedHashMap<>();
            for (Corner c : Corner.values()) {
                athletes.put(c.code(), writeAthlete(r.athlete(c)));
            }
            m.put("athletes", athletes);
            m.put("films", r.films().stream().map(MatchJson::writeFilm).toList());
            m.put("tags", List.of());
            put(m, "result", d.result() == null ? null : writeResult(d.result()));
            m.putAll(r.extra());
            return withTags(m, r.tags());
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("record " + r.id() + " cannot be written", e);
        }
    }

    /** Tags stand one on a line, so that two versions of a record can be compared with ordinary tools. */
    private static String withTags(Map<String, Object> m, List<Tag> tags) throws JsonProcessingException {
        StringBuilder out = new StringBuilder("{\n");
        boolean first = true;
        for (Map.Entry<String, Object> e : m.entrySet()) {
            out.append(first ? "  " : ",\n  ")
                    .append(JSON.writeValueAsString(e.getKey()))
                    .append(": ");
            first = false;
            if (!e.getKey().equals("tags")) {
                out.append(JSON.writeValueAsString(e.getValue()));
                continue;
            }
            out.append('[');
            for (int i = 0; i < tags.size(); i++) {
                out.append(i == 0 ? "\n    " : ",\n    ").append(JSON.writeValueAsString(TagJson.write(tags.get(i))));
            }
            out.append("\n  ]");
        }
        return out.append("\n}\n").toString();
    }

    static Map<String, Object> writeAthlete(MatchAthlete a) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("id", a.id());
        m.put("name", a.name());
        put(m, "marker", a.marker());
        put(m, "colour", a.colour());
        m.putAll(a.extra());
        return m;
    }

    private static Map<String, Object> writeResult(Result r) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("winner", r.winner() == null ? null : r.winner().code());
        m.put("method", r.method().code());
        put(m, "technique", r.technique());
        put(m, "atMs", r.at() == null ? null : r.at().ms());
        m.putAll(r.extra());
        return m;
    }

    private static Map<String, Object> writeFilm(FilmRef film) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("file", film.file());
        put(m, "sha256", film.sha256());
        put(m, "durationMs", film.durationMs());
        put(m, "mirrored", film.mirrored() ? true : null);
        List<Object> segments = new ArrayList<>();
        for (Segment s : film.map().segments()) {
            Map<String, Object> segment = new LinkedHashMap<>();
            segment.put("fromMs", s.from().ms());
            segment.put("toMs", s.to().ms());
            segment.put("kind", s.kind().name().toLowerCase(Locale.ROOT));
            if (s.kind().showsMatch()) {
                segment.put("matchMs", s.at().ms());
                segment.put("speed", s.speed());
            }
            segments.add(segment);
        }
        m.put("segments", segments);
        m.putAll(film.extra());
        return m;
    }

    private static void put(Map<String, Object> m, String field, @Nullable Object value) {
        if (value != null) {
            m.put(field, value);
        }
    }
}
