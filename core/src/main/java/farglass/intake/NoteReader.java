package farglass.intake;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.PersonName;
import farglass.match.PositionLine;
import farglass.match.RemarkKind;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.phrase.Context;
import farglass.phrase.PhraseReader;
import farglass.phrase.Reading;
import farglass.text.CoreWords;
import farglass.time.Clock;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/** Reads rows of old notes as tags of a record: the cells of a row make the phrase that somebody would have typed. */
public final class NoteReader {
    private static final Map<String, String> RESULTS = Map.ofEntries(
            Map.entry("yes", "completed"),
            Map.entry("success", "completed"),
            Map.entry("worked", "completed"),
            Map.entry("ok", "completed"),
            Map.entry("sim", "completed"),
            Map.entry("no", "stuffed"),
            Map.entry("fail", "stuffed"),
            Map.entry("failed", "stuffed"),
            Map.entry("nao", "stuffed"),
            Map.entry("almost", "near"),
            Map.entry("quase", "near"));

    private final MatchRecord record;
    private final Lexicon lexicon;
    private final PhraseReader phrases;
    private final List<NoteColumn> roles;
    private final Map<String, String> terms;
    private final boolean down;

    /**
     * @param roles what each column holds
     * @param terms words of the notes and what they are called in the lexicon
     * @param down whether times are those of a clock that counts down
     */
    public NoteReader(
            MatchRecord record, Lexicon lexicon, List<NoteColumn> roles, Map<String, String> terms, boolean down) {
        this.record = record;
        this.lexicon = lexicon;
        this.phrases = new PhraseReader(lexicon);
        this.roles = List.copyOf(roles);
        this.terms = Map.copyOf(terms);
        this.down = down;
    }

    /**
     * What a row says.
     *
     * @param row number of the row, from 1, the head not counted
     * @param tags empty when it is left out
     * @param words what was understood
     * @param problem why it is left out, or what of it became a note; empty when all was understood
     * @param unknown the words that the lexicon does not have; null for none
     */
    public record Row(
            int row,
            @Nullable MatchTime t,
            List<Tag> tags,
            String words,
            String problem,
            @Nullable String unknown) {
        public Row {
            tags = List.copyOf(tags);
        }
    }

    /** Every row, in the order of the table. Rows are understood one after the other in the order of time. */
    public List<Row> read(List<List<String>> rows) {
        List<Row> read = new ArrayList<>();
        List<Integer> order = new ArrayList<>();
        List<OptionalLong> times = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            times.add(time(cell(rows.get(i), NoteColumn.TIME)));
            order.add(i);
        }
        order.sort(Comparator.comparingLong(i -> times.get(i).orElse(Long.MAX_VALUE)));
        MatchRecord now = record;
        for (int i : order) {
            Row row = row(i + 1, rows.get(i), times.get(i), now);
            read.add(row);
            if (!row.tags().isEmpty()) {
                now = Edit.addAll(now, row.tags()).apply(now);
            }
        }
        read.sort(Comparator.comparingInt(Row::row));
        return read;
    }

    private String cell(List<String> row, NoteColumn role) {
        int c = roles.indexOf(role);
        return c < 0 || c >= row.size() ? "" : row.get(c).strip();
    }

    private OptionalLong time(String text) {
        OptionalLong clock = Clock.parse(text);
        if (clock.isEmpty() && text.matches("\\d{1,2}:\\d{2}:\\d{2}")) {
            String[] parts = text.split(":", 2);
            clock = Clock.parse(parts[1]);
            if (clock.isPresent()) {
                clock = OptionalLong.of(clock.getAsLong() + Long.parseLong(parts[0]) * 3_600_000);
            }
        }
        if (clock.isEmpty() && text.matches("\\d{1,5}([.,]\\d+)?")) {
            clock = OptionalLong.of(Math.round(Double.parseDouble(text.replace(',', '.')) * 1000));
        }
        if (clock.isEmpty() || !down) {
            return clock;
        }
        long up = record.details().lengthMs() - clock.getAsLong();
        return up < 0 ? OptionalLong.empty() : OptionalLong.of(up);
    }

    private Row row(int number, List<String> row, OptionalLong time, MatchRecord now) {
        if (time.isEmpty()) {
            String told = cell(row, NoteColumn.TIME);
            return left(number, told.isEmpty() ? CoreWords.of("notes.no-time") : CoreWords.of("notes.not-time", told));
        }
        MatchTime t = MatchTime.ofMs(time.getAsLong());
        String note = cell(row, NoteColumn.NOTE);
        String what = cell(row, NoteColumn.WHAT);
        List<Tag> tags = new ArrayList<>();
        String words = "";
        String problem = "";
        String unknown = null;
        if (!what.isEmpty()) {
            Reading reading = phrase(row, what, t, now);
            if (reading.complete()) {
                tags.addAll(reading.tags());
                words = String.join(", ", reading.words());
            } else {
                problem = reading.problem();
                unknown = lexicon.lookUp(term(what)).isEmpty() ? what : null;
            }
        }
        if (!note.isEmpty()) {
            tags.add(note(t, note));
            words = words.isEmpty() ? CoreWords.code("note") : CoreWords.of("notes.and-note", words);
        }
        if (tags.isEmpty() && problem.isEmpty()) {
            problem = CoreWords.of("notes.nothing");
        }
        return new Row(number, t, tags, words, problem, unknown);
    }

    private Reading phrase(List<String> row, String what, MatchTime t, MatchRecord now) {
        String who = cell(row, NoteColumn.WHO);
        String side = cell(row, NoteColumn.SIDE).toLowerCase(Locale.ROOT);
        String result = cell(row, NoteColumn.RESULT).toLowerCase(Locale.ROOT);
        String to = cell(row, NoteColumn.TO);
        String phrase = String.join(
                        " ",
                        surname(who),
                        term(what),
                        side,
                        RESULTS.getOrDefault(result, result),
                        to.isEmpty() ? "" : "to " + term(to))
                .strip();
        Context here =
                new Context(now, t, PositionLine.of(now, lexicon).current(t).orElse(null));
        return phrases.read(phrase, here);
    }

    private static String surname(String who) {
        String w = who.strip();
        return w.contains(" ") ? PersonName.last(w) : w;
    }

    private String term(String word) {
        return terms.getOrDefault(Lexicon.normal(word), word);
    }

    private static Tag note(MatchTime t, String text) {
        return new Tag.Remark(t, RemarkKind.NOTE, null, "recalled", text, null, null, Map.of(), TagInfo.NONE);
    }

    private static Row left(int number, String why) {
        return new Row(number, null, List.of(), "", why, null);
    }
}
