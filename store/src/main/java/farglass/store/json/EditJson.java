package farglass.store.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.match.Coded;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Edits as JSON, for the undo log. Heads and films are kept as whole match documents without tags, so that one reader
 * and writer serve the log and the files alike.
 */
public final class EditJson {
    private static final ObjectMapper JSON = new ObjectMapper();

    private EditJson() {}

    public static String write(Edit edit, MatchRecord record) {
        try {
            return JSON.writeValueAsString(plain(edit, record));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("edit cannot be written", e);
        }
    }

    /** The single edits that an edit is made of, as plain values. */
    public static List<Object> edits(Edit edit, MatchRecord record) {
        try {
            Map<String, Object> m = plain(edit, record);
            return m.get("edits") instanceof List<?> parts ? List.copyOf(parts) : List.of(m);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("edit cannot be written", e);
        }
    }

    private static Map<String, Object> plain(Edit edit, MatchRecord record) throws JsonProcessingException {
        Map<String, Object> m = new LinkedHashMap<>();
        if (edit instanceof Edit.Add a) {
            m.put("edit", "add");
            m.put("index", a.index());
            m.put("tag", TagJson.write(a.tag()));
        } else if (edit instanceof Edit.Remove r) {
            m.put("edit", "remove");
            m.put("index", r.index());
            m.put("tag", TagJson.write(r.tag()));
        } else if (edit instanceof Edit.Replace r) {
            m.put("edit", "replace");
            m.put("index", r.index());
            m.put("before", TagJson.write(r.before()));
            m.put("newIndex", r.newIndex());
            m.put("after", TagJson.write(r.after()));
        } else if (edit instanceof Edit.SetDetails d) {
            m.put("edit", "details");
            m.put("before", head(record.withFilms(List.of()).withDetails(d.before())));
            m.put("after", head(record.withFilms(List.of()).withDetails(d.after())));
        } else if (edit instanceof Edit.SetFilms s) {
            m.put("edit", "films");
            m.put("before", head(record.withFilms(s.before())));
            m.put("after", head(record.withFilms(s.after())));
        } else if (edit instanceof Edit.SetKind k) {
            m.put("edit", "kind");
            m.put("before", k.before().code());
            m.put("after", k.after().code());
        } else if (edit instanceof Edit.SetPrivate p) {
            m.put("edit", "private");
            m.put("before", p.before());
            m.put("after", p.after());
        } else if (edit instanceof Edit.Batch b) {
            m.put("edit", "batch");
            List<Object> parts = new ArrayList<>();
            for (Edit part : b.edits()) {
                parts.add(plain(part, record));
            }
            m.put("edits", parts);
        }
        return m;
    }

    private static JsonNode head(MatchRecord record) throws JsonProcessingException {
        return JSON.readTree(MatchJson.write(record.withTags(List.of())));
    }

    /** Reads what {@code write} gave. */
    public static Edit read(String document) throws FormatException {
        return read(MatchJson.parse(document), "");
    }

    private static Edit read(JsonNode node, String path) throws FormatException {
        Fields f = Fields.of(node, path);
        String kind = f.needText("edit");
        return switch (kind) {
            case "add" -> new Edit.Add(index(f, "index"), tag(f, "tag"));
            case "remove" -> new Edit.Remove(index(f, "index"), tag(f, "tag"));
            case "replace" ->
                new Edit.Replace(index(f, "index"), tag(f, "before"), index(f, "newIndex"), tag(f, "after"));
            case "details" ->
                new Edit.SetDetails(
                        whole(f, "before").details(), whole(f, "after").details());
            case "films" -> {
                List<FilmRef> before = whole(f, "before").films();
                yield new Edit.SetFilms(before, whole(f, "after").films());
            }
            case "kind" -> new Edit.SetKind(kind(f, "before"), kind(f, "after"));
            case "private" -> new Edit.SetPrivate(f.needFlag("before"), f.needFlag("after"));
            case "batch" -> {
                List<Edit> edits = new ArrayList<>();
                JsonNode listed = f.need("edits");
                for (int i = 0; i < listed.size(); i++) {
                    edits.add(read(listed.get(i), path + "/edits/" + i));
                }
                yield new Edit.Batch(edits);
            }
            default -> throw f.error("edit", "\"" + kind + "\" is not a known edit");
        };
    }

    private static RecordKind kind(Fields f, String field) throws FormatException {
        return Coded.parse(RecordKind.class, f.needText(field))
                .orElseThrow(() -> f.error(field, "is not a kind of record"));
    }

    private static int index(Fields f, String field) throws FormatException {
        return f.needInteger(field, 0, Integer.MAX_VALUE);
    }

    private static farglass.match.Tag tag(Fields f, String field) throws FormatException {
        return TagJson.read(f.need(field), f.path(field));
    }

    private static MatchRecord whole(Fields f, String field) throws FormatException {
        return MatchJson.read(f.need(field).toString());
    }
}
