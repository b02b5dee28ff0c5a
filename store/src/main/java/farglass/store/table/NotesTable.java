package farglass.store.table;

import farglass.store.json.FormatException;
import farglass.store.json.TextFile;
import java.io.IOException;
import java.io.StringReader;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table out of a spreadsheet, whatever its columns, separators and letters.
 *
 * @param head names of the columns
 * @param rows cells by row; short rows are filled with empty cells
 */
public record NotesTable(List<String> head, List<List<String>> rows) {
    private static final int MOST_MB = 20;
    private static final char[] SEPARATORS = {',', ';', '\t', '|'};

    public NotesTable {
        head = List.copyOf(head);
        rows = List.copyOf(rows);
    }

    /**
     * @throws IOException when the file cannot be read
     * @throws FormatException when it is no table, with the row that is wrong
     */
    public static NotesTable read(Path file) throws IOException, FormatException {
        String text = decode(TextFile.bytes(file, MOST_MB));
        return parse(text.startsWith("\uFEFF") ? text.substring(1) : text);
    }

    /** UTF-8 where it is, else the letters of western Europe, as spreadsheets write them. */
    private static String decode(byte[] bytes) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(bytes, java.nio.charset.Charset.forName("windows-1252"));
        }
    }

    static NotesTable parse(String text) throws FormatException {
        String first = text.lines().findFirst().orElse("");
        if (first.isBlank()) {
            throw new FormatException("/0", "the first row is empty; it must name the columns");
        }
        char separator = ',';
        long most = 0;
        for (char c : SEPARATORS) {
            long n = first.chars().filter(x -> x == c).count();
            if (n > most) {
                most = n;
                separator = c;
            }
        }
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .get();
        List<List<String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord r : parser) {
                List<String> cells = new ArrayList<>();
                r.forEach(cells::add);
                rows.add(cells);
            }
        } catch (IOException | RuntimeException e) {
            throw new FormatException("/" + rows.size(), "the row cannot be read: " + e.getMessage());
        }
        int width = rows.get(0).size();
        List<List<String>> filled = new ArrayList<>();
        for (List<String> r : rows.subList(1, rows.size())) {
            List<String> cells = new ArrayList<>(r.subList(0, Math.min(width, r.size())));
            while (cells.size() < width) {
                cells.add("");
            }
            filled.add(List.copyOf(cells));
        }
        return new NotesTable(rows.get(0), filled);
    }
}
