package farglass.store;

import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.store.json.MatchJson;
import farglass.tendency.AthleteCounts;
import farglass.tendency.CountedGroup;
import farglass.tendency.CountsCodec;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jdbi.v3.core.Handle;
import org.jspecify.annotations.Nullable;

/** Heads of records and counts of athletes, kept beside the records and made from them, on a handle that is given. */
final class HeadRows {
    private final Handle handle;
    private final TagReader tags;

    HeadRows(Handle handle, TagReader tags) {
        this.handle = handle;
        this.tags = tags;
    }

    /** A match, by its head or, where it has none, whole. */
    record Shown(MatchRecord record, boolean byHead) {}

    /** A library of an earlier version keeps nothing of the kind. */
    boolean there() {
        return number("SELECT COUNT(*) FROM sqlite_master WHERE name = 'athlete_count'") > 0;
    }

    /** Matches that are not out of sight. */
    int count() {
        return number("SELECT COUNT(*) FROM match_record WHERE removed = 0");
    }

    private int number(String query) {
        return handle.createQuery(query).mapTo(Integer.class).one();
    }

    /** Matches that are not out of sight, in no order. */
    List<Shown> shown() throws LibraryException {
        List<Shown> all = new ArrayList<>();
        List<byte[]> heads = new ArrayList<>();
        List<int[]> facts = new ArrayList<>();
        handle.createQuery("SELECT h.document, h.tags, h.untouched FROM match_record m JOIN match_head h"
                        + " ON h.match_id = m.id WHERE m.removed = 0")
                .map((row, context) -> {
                    heads.add(row.getBytes(1));
                    return facts.add(new int[] {row.getInt(2), row.getInt(3)});
                })
                .list();
        List<MatchRecord> read = Documents.matches(heads);
        for (int i = 0; i < read.size(); i++) {
            String id = read.get(i).id();
            all.add(new Shown(
                    MatchRecord.unread(read.get(i), facts.get(i)[0], facts.get(i)[1] == 1, () -> tags.tags(id)), true));
        }
        Documents.matches(headless(Integer.MAX_VALUE)).forEach(r -> all.add(new Shown(r, false)));
        return all;
    }

    /** Documents of some matches that have no head. */
    List<byte[]> headless(int most) {
        return handle.createQuery("SELECT document FROM match_record WHERE removed = 0 AND id IN (SELECT id FROM"
                        + " match_record WHERE removed = 0 EXCEPT SELECT match_id FROM match_head) LIMIT :most")
                .bind("most", most)
                .map((row, context) -> row.getBytes(1))
                .list();
    }

    /** Keeps the head of a record, if the record is still the one that it was made from. */
    void keep(byte[] document, MatchRecord r) {
        handle.execute(
                "INSERT INTO match_head (match_id, a, b, tags, untouched, document) SELECT ?, ?, ?, ?, ?, ?"
                        + " WHERE EXISTS (SELECT 1 FROM match_record WHERE id = ? AND removed = 0"
                        + " AND CAST(document AS BLOB) = ?) AND NOT EXISTS (SELECT 1 FROM match_head WHERE match_id = ?)",
                r.id(),
                r.details().a().id(),
                r.details().b().id(),
                r.tags().size(),
                r.untouched() ? 1 : 0,
                MatchJson.write(r.withTags(List.of())),
                r.id(),
                document,
                r.id());
    }

    /** What was counted of an athlete with these words, as it is kept; nothing where it is not there. */
    List<Kept> kept(String athlete, String words) {
        return handle.createQuery("SELECT kind, attire, ruleset, counts FROM athlete_count"
                        + " WHERE athlete = :athlete AND words = :words ORDER BY kind, attire, ruleset")
                .bind("athlete", athlete)
                .bind("words", words)
                .map((row, context) ->
                        new Kept(group(row.getString(1), row.getString(2), row.getString(3)), row.getBytes(4)))
                .list();
    }

    /** A group as it is kept. */
    static CountedGroup group(String kind, String attire, String ruleset) {
        return new CountedGroup(RecordKind.valueOf(kind), orNull(attire), orNull(ruleset));
    }

    /** Counts as they are kept. */
    record Kept(CountedGroup group, byte[] counts) {
        boolean same(Kept o) {
            return group.equals(o.group) && Arrays.equals(counts, o.counts);
        }
    }

    /** All of an athlete's groups; none when one of them is broken. */
    static Map<CountedGroup, AthleteCounts> read(List<Kept> kept) {
        Map<CountedGroup, AthleteCounts> all = new HashMap<>();
        try {
            for (Kept k : kept) {
                all.put(k.group(), CountsCodec.read(k.counts()));
            }
            return all;
        } catch (IOException e) {
            return Map.of();
        }
    }

    /** Counts that are of no use are made anew. */
    void uncount(String athlete) {
        handle.execute("DELETE FROM athlete_count WHERE athlete = ?", athlete);
    }

    /** Whether a match of an athlete is shown. */
    boolean fights(String athlete) {
        return handle.createQuery("SELECT COUNT(*) FROM match_head WHERE a = :who OR b = :who")
                        .bind("who", athlete)
                        .mapTo(Integer.class)
                        .one()
                > 0;
    }

    /** An athlete of whom nothing is counted with these words; empty when everybody is. */
    Optional<String> uncounted(String words) {
        return handle.createQuery("SELECT who FROM (SELECT a AS who FROM match_head UNION SELECT b FROM match_head)"
                        + " WHERE who NOT IN (SELECT athlete FROM athlete_count WHERE words = :words) LIMIT 1")
                .bind("words", words)
                .mapTo(String.class)
                .findFirst();
    }

    /** Which heads there are of an athlete: another text after every change of one of his matches. */
    String state(String athlete) {
        return handle.createQuery("SELECT COUNT(*) || '/' || COALESCE(SUM(n), 0) || '/' || COALESCE(MAX(n), 0)"
                        + " FROM match_head WHERE a = :who OR b = :who")
                .bind("who", athlete)
                .mapTo(String.class)
                .one();
    }

    /** Documents of an athlete's matches. */
    List<byte[]> documents(String athlete) {
        return handle.createQuery("SELECT document FROM match_record WHERE removed = 0 AND id IN"
                        + " (SELECT match_id FROM match_head WHERE a = :who OR b = :who)")
                .bind("who", athlete)
                .map((row, context) -> row.getBytes(1))
                .list();
    }

    /** Keeps what was counted of an athlete, if his matches are still those that it was counted from. */
    void keep(String athlete, String words, Map<CountedGroup, AthleteCounts> counts, String state) {
        if (!state(athlete).equals(state)) {
            return;
        }
        handle.execute("DELETE FROM athlete_count WHERE athlete = ?", athlete);
        counts.forEach((g, c) -> handle.execute(
                "INSERT INTO athlete_count (athlete, kind, attire, ruleset, words, counts) VALUES (?, ?, ?, ?, ?, ?)",
                athlete,
                g.kind().name(),
                g.attire() == null ? "" : g.attire(),
                g.ruleset() == null ? "" : g.ruleset(),
                words,
                CountsCodec.write(c)));
    }

    private static @Nullable String orNull(String text) {
        return text.isEmpty() ? null : text;
    }
}
