package farglass.store.caption;

import farglass.narration.Cue;
import farglass.store.json.FormatException;
import farglass.store.json.TextFile;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads timed text: WebVTT, SubRip, and plain text whose lines begin with a time ({@code [m:ss]}, {@code m:ss}, {@code
 * h:mm:ss}). All or nothing: a file that is not one of these is refused with the line that is wrong.
 */
public final class CaptionFile {
    /** Hours of captions are far below this. */
    private static final int MOST_MB = 8;

    private static final int MOST_CUES = 60_000;
    private static final int LONGEST_LINE = 4000;
    /** A line of plain text stands until the next, but not longer than it takes to say. */
    private static final long MS_A_WORD = 450;

    private static final long LEAST_MS = 800;
    private static final long DAY_MS = 24 * 3_600_000L;

    private static final String TIME = "(?:(\\d{1,3}):)?(\\d{1,3}):(\\d{1,2})(?:[.,](\\d{1,3}))?";
    private static final Pattern SPAN = Pattern.compile("^\\s*" + TIME + "\\s*-->\\s*" + TIME + "(?:\\s.*)?$");
    private static final Pattern MARKED = Pattern.compile("^\\s*[\\[(]?" + TIME + "[\\])]?\\s*[-:]?\\s*(.*)$");

    private CaptionFile() {}

    /**
     * The lines of a file in the order of time.
     *
     * @throws IOException when it cannot be read; the message says why in words
     * @throws FormatException when it is no timed text, with the line that is wrong
     */
    public static List<Cue> read(Path file) throws IOException, FormatException {
        return read(TextFile.read(file, MOST_MB));
    }

    /** @throws FormatException when it is no timed text, with the line that is wrong */
    public static List<Cue> read(String text) throws FormatException {
        if (text.indexOf('\0') >= 0) {
            throw new FormatException("", "not text: it holds zero bytes; give WebVTT, SubRip or lines with times");
        }
        String[] lines = (text.startsWith("\ufeff") ? text.substring(1) : text).split("\\r?\\n|\\r", -1);
        for (int i = 0; i < lines.length; i++) {
            if (lines[i].length() > LONGEST_LINE) {
                throw wrong(i, "longer than " + LONGEST_LINE + " letters, which nobody reads off a film");
            }
        }
        boolean spans = false;
        for (String l : lines) {
            spans |= SPAN.matcher(l).matches();
        }
        List<Cue> cues = spans ? spanned(lines) : marked(lines);
        if (cues.isEmpty()) {
            throw new FormatException(
                    "", "no line with a time: WebVTT, SubRip, or plain lines that begin with m:ss are read");
        }
        List<Cue> sorted = new ArrayList<>(cues);
        sorted.sort(Comparator.comparingLong(Cue::fromMs));
        return List.copyOf(sorted);
    }

    private static List<Cue> spanned(String[] lines) throws FormatException {
        List<Cue> cues = new ArrayList<>();
        int i = 0;
        while (i < lines.length) {
            Matcher m = SPAN.matcher(lines[i]);
            if (!m.matches()) {
                if (lines[i].contains("-->")) {
                    throw wrong(i, "\"" + lines[i].strip() + "\" is no span of time like 0:01.500 --> 0:04.000");
                }
                i++;
                continue;
            }
            long from = ms(m, 1, i);
            long to = ms(m, 5, i);
            if (to < from) {
                throw wrong(i, "it ends before it begins");
            }
            StringBuilder text = new StringBuilder();
            int line = i + 1;
            while (line < lines.length && !lines[line].isBlank() && !lines[line].contains("-->")) {
                text.append(text.isEmpty() ? "" : "\n").append(lines[line].strip());
                line++;
            }
            add(cues, new Cue(from, to, text.toString()), i);
            i = line;
        }
        return cues;
    }

    private static List<Cue> marked(String[] lines) throws FormatException {
        List<Cue> cues = new ArrayList<>();
        List<Long> starts = new ArrayList<>();
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < lines.length; i++) {
            Matcher m = MARKED.matcher(lines[i]);
            if (m.matches()) {
                long from = ms(m, 1, i);
                if (!starts.isEmpty() && from < starts.get(starts.size() - 1)) {
                    throw wrong(i, "its time lies before that of the line above");
                }
                starts.add(from);
                texts.add(m.group(5));
            } else if (!texts.isEmpty() && !lines[i].isBlank()) {
                texts.set(texts.size() - 1, texts.get(texts.size() - 1) + " " + lines[i].strip());
            }
        }
        for (int i = 0; i < starts.size(); i++) {
            long said =
                    starts.get(i) + Math.max(LEAST_MS, MS_A_WORD * texts.get(i).split("\\s+").length);
            long to = i + 1 < starts.size() ? Math.min(said, Math.max(starts.get(i), starts.get(i + 1))) : said;
            add(cues, new Cue(starts.get(i), to, texts.get(i)), i);
        }
        return cues;
    }

    private static void add(List<Cue> cues, Cue c, int line) throws FormatException {
        if (cues.size() >= MOST_CUES) {
            throw wrong(line, "more than " + MOST_CUES + " lines of captions, the most that are read");
        }
        if (!c.text().isBlank()) {
            cues.add(c);
        }
    }

    private static long ms(Matcher m, int group, int line) throws FormatException {
        long hours = m.group(group) == null ? 0 : Long.parseLong(m.group(group));
        long minutes = Long.parseLong(m.group(group + 1));
        long seconds = Long.parseLong(m.group(group + 2));
        String part = m.group(group + 3);
        long ms = part == null ? 0 : Long.parseLong((part + "00").substring(0, 3));
        if (seconds > 59 || (m.group(group) != null && minutes > 59)) {
            throw wrong(line, "no time of day or film has " + minutes + " minutes and " + seconds + " seconds");
        }
        long all = ((hours * 60 + minutes) * 60 + seconds) * 1000 + ms;
        if (all > DAY_MS) {
            throw wrong(line, "a time of more than a day");
        }
        return all;
    }

    private static FormatException wrong(int line, String what) {
        return new FormatException("/line " + (line + 1), what);
    }
}
