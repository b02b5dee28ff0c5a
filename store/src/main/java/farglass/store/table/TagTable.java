package farglass.store.table;

import static java.util.Objects.requireNonNull;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.store.json.FormatException;
import farglass.store.json.TagJson;
import farglass.time.Clock;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * One row per tag. A text cell that begins with = + - @ tab, carriage return or an apostrophe gets one apostrophe in
 * front, so that no spreadsheet runs it; the reader takes exactly one away. Fields without a column of their own go to
 * the last column, {@code extra}, as JSON.
 */
public final class TagTable {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String RISKY = "=+-@\t\r'";
    private static final List<String> NUMBERS = List.of("t", "until", "reached", "value", "threat", "confidence");
    private static final List<String> FLAGS = List.of("believed", "punished", "called");
    private static final List<String> COLUMNS = List.of(
            "match",
            "t",
            "time",
            "type",
            "by",
            "position",
            "holder",
            "guard",
            "technique",
            "grip",
            "fact",
            "of",
            "side",
            "hand",
            "outcome",
            "reached",
            "to",
            "until",
            "untilTime",
            "cause",
            "answer",
            "limb",
            "depth",
            "ended",
            "call",
            "for",
            "value",
            "kind",
            "text",
            "reason",
            "id",
            "tagger",
            "confidence",
            "note",
            "extra");

    private TagTable() {}

    /** One row for every tag, RFC 4180. */
    public static void write(List<MatchRecord> records, Appendable out) throws IOException {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(COLUMNS.toArray(String[]::new))
                .get();
        try (CSVPrinter printer = new CSVPrinter(out, format)) {
            for (MatchRecord r : records) {
                for (Tag tag : r.tags()) {
                    printer.printRecord(row(r.id(), tag));
                }
            }
        }
    }

    private static List<String> row(String match, Tag tag) throws JsonProcessingException {
        Map<String, Object> fields = new LinkedHashMap<>(TagJson.write(tag));
        fields.put("match", match);
        fields.put("time", Clock.millis(tag.t().ms()));
        if (fields.get("until") instanceof Number until) {
            fields.put("untilTime", Clock.millis(until.longValue()));
        }
        List<String> row = new ArrayList<>();
        for (String column : COLUMNS.subList(0, COLUMNS.size() - 1)) {
            Object value = fields.get(column);
            // what is not of its column's kind would not be read back as what it was
            boolean fits = NUMBERS.contains(column)
                    ? value instanceof Number
                    : FLAGS.contains(column) ? value instanceof Boolean : value instanceof String;
            if (fits) {
                fields.remove(column);
            }
            row.add(!fits ? "" : value instanceof String s ? cell(s) : String.valueOf(value));
        }
        row.add(fields.isEmpty() ? "" : safe(JSON.writeValueAsString(fields)));
        return row;
    }

    /** An empty text is one apostrophe, an empty cell no text at all. */
    private static String cell(String text) {
        return text.isEmpty() ? "'" : safe(text);
    }

    static String safe(String cell) {
        return !cell.isEmpty() && RISKY.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }

    static String unsafe(String cell) {
        return cell.startsWith("'") ? cell.substring(1) : cell;
    }

    /**
     * @return tags by match id, in row order
     * @throws FormatException naming the row, counted from 1 without the header
     */
    public static Map<String, List<Tag>> read(Reader in) throws IOException, FormatException {
        Map<String, List<Tag>> tags = new LinkedHashMap<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (CSVParser parser = format.parse(in)) {
            for (String needed : List.of("match", "t", "type")) {
                if (!parser.getHeaderNames().contains(needed)) {
                    throw new FormatException("", "the header row has no column \"" + needed + "\"");
                }
            }
            for (CSVRecord row : parser) {
                String path = "/rows/" + row.getRecordNumber();
                tags.computeIfAbsent(unsafe(row.get("match")), k -> new ArrayList<>())
                        .add(TagJson.read(node(row, path), path));
            }
        } catch (java.io.UncheckedIOException e) {
            throw new FormatException(
                    "", "not a table: " + requireNonNull(e.getCause()).getMessage());
        } catch (IllegalArgumentException e) {
            // a header row with an empty or doubled name
            throw new FormatException("", "not a table: the columns of its first row cannot be told apart");
        }
        return tags;
    }

    private static JsonNode simple(String text) throws JsonProcessingException {
        JsonNode value = JSON.readTree(text);
        // a text or a list there is said by the reader of tags, which names the field
        return value == null || value.isMissingNode() ? JSON.nullNode() : value;
    }

    private static JsonNode node(CSVRecord row, String path) throws FormatException {
        ObjectNode node = JSON.createObjectNode();
        for (Map.Entry<String, String> cell : row.toMap().entrySet()) {
            String column = cell.getKey();
            String text = cell.getValue();
            if (text.isEmpty() || List.of("match", "time", "untilTime").contains(column)) {
                continue;
            }
            try {
                if (column.equals("extra")) {
                    node.setAll((ObjectNode) JSON.valueToTree(
                            JSON.readValue(unsafe(text), new TypeReference<Map<String, Object>>() {})));
                } else if (NUMBERS.contains(column) || FLAGS.contains(column)) {
                    node.set(column, simple(text));
                } else {
                    node.put(column, unsafe(text));
                }
            } catch (JsonProcessingException e) {
                throw new FormatException(
                        path + "/" + column,
                        "cannot be read: " + (text.length() > 40 ? text.substring(0, 40) + "..." : text));
            }
        }
        return node;
    }
}
