package farglass.store.table;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.StringWriter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * Clips as a list for other programs: which film, from when to when, and what is to be seen.
 *
 * @param title what the list is of
 */
public record ClipList(String title, List<Row> rows) {
    static final String FORMAT = "farglass.clips/1";
    private static final ObjectMapper JSON = new ObjectMapper();

    /**
     * One clip.
     *
     * @param match id of the match
     * @param tag id or index of the tag it is about
     * @param film path of the film
     * @param fromMs film time, ms
     * @param toMs film time, ms
     */
    public record Row(String match, String tag, String film, long fromMs, long toMs, String line) {}

    public ClipList {
        rows = List.copyOf(rows);
    }

    /** One row a clip, RFC 4180. */
    public String csv() {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader("match", "tag", "film", "fromMs", "toMs", "line")
                .get();
        try (StringWriter out = new StringWriter();
                CSVPrinter printer = new CSVPrinter(out, format)) {
            for (Row r : rows) {
                printer.printRecord(
                        TagTable.safe(r.match()),
                        TagTable.safe(r.tag()),
                        TagTable.safe(r.film()),
                        r.fromMs(),
                        r.toMs(),
                        TagTable.safe(r.line()));
            }
            return out.toString();
        } catch (IOException e) {
            throw new IllegalStateException("a list in memory cannot fail to be written", e);
        }
    }

    /** The same as JSON. */
    public String json() {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("format", FORMAT);
        m.put("title", title);
        m.put("clips", rows);
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(m);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("clip list cannot be written", e);
        }
    }
}
