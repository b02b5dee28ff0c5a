package farglass.store;

import static java.util.Objects.requireNonNull;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.match.Corner;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jdbi.v3.core.Handle;

/**
 * What of a library is an athlete's: found first, so that it can be said, and then deleted for good.
 *
 * @param athlete id
 * @param matches ids of records in which he fights, those taken out of sight among them
 * @param plans ids of plans of his or against him
 * @param quoting ids of other plans that hold claims about him, in any version
 * @param assignments ids of assignments of his own
 * @param naming ids of other assignments that name him as an opponent
 * @param settings names of settings that hold a match of his
 * @param traces ids of other matches that name him in their history or in their texts
 * @param films film files below the library's folder that no other match uses
 * @param pictures stills, reels, breakdowns and quick copies in the library's folder that show him, or of which is not
 * known whom they show
 * @param exported files written elsewhere that tell of him and are still as they were written
 * @param changed files written elsewhere that tell of him and that somebody has changed or moved since: they are left
 * @param backups copies of the library, which hold him too
 */
public record Forgetting(
        String athlete,
        List<String> matches,
        List<String> plans,
        List<String> quoting,
        List<String> assignments,
        List<String> naming,
        List<String> settings,
        List<String> traces,
        List<Path> films,
        List<Path> pictures,
        List<Path> exported,
        List<Path> changed,
        List<Path> backups) {
    /** Folders beside the library in which the program keeps pictures. */
    private static final List<String> PICTURES = List.of("stills", "reels", "talks", "proxies");
    /** In a folder of quick copies: the film they are of. */
    public static final String FILM_NOTE = "film";

    public Forgetting {
        matches = List.copyOf(matches);
        plans = List.copyOf(plans);
        quoting = List.copyOf(quoting);
        assignments = List.copyOf(assignments);
        naming = List.copyOf(naming);
        settings = List.copyOf(settings);
        traces = List.copyOf(traces);
        films = List.copyOf(films);
        pictures = List.copyOf(pictures);
        exported = List.copyOf(exported);
        changed = List.copyOf(changed);
        backups = List.copyOf(backups);
    }

    /** Whether the library knows nothing of him. */
    public boolean nothing() {
        return matches.isEmpty()
                && plans.isEmpty()
                && quoting.isEmpty()
                && assignments.isEmpty()
                && naming.isEmpty()
                && settings.isEmpty()
                && traces.isEmpty();
    }

    static Forgetting of(String athlete, Handle h, Path file, List<Path> backups) throws LibraryException {
        Path folder = requireNonNull(file.toAbsolutePath().getParent());
        List<MatchRecord> records = records(h);
        List<MatchRecord> his =
                records.stream().filter(r -> r.cornerOf(athlete).isPresent()).toList();
        Set<String> matches = his.stream().map(MatchRecord::id).collect(Collectors.toCollection(LinkedHashSet::new));
        Set<Path> films = films(his, folder);
        records.stream()
                .filter(r -> !matches.contains(r.id()))
                .forEach(r -> films.removeAll(films(List.of(r), folder)));
        Traces traces = traces(athlete, records, h);
        List<Plan> plans = new PlanRows(h).all();
        Predicate<Plan> about = p -> p.us().equals(athlete) || p.them().equals(athlete);
        List<String> own = plans.stream().filter(about).map(Plan::id).toList();
        List<Assignment> assignments = new PlanRows(h).assignments();
        List<Exported> exported =
                Exported.all(h).stream().filter(x -> x.tellsOf(athlete)).toList();
        return new Forgetting(
                athlete,
                List.copyOf(matches),
                own,
                versions(h, traces).keySet().stream()
                        .filter(id -> !own.contains(id))
                        .toList(),
                assignments.stream()
                        .filter(a -> a.us().equals(athlete))
                        .map(Assignment::id)
                        .toList(),
                assignments.stream()
                        .filter(a -> !a.us().equals(athlete) && a.opponents().contains(athlete))
                        .map(Assignment::id)
                        .toList(),
                settings(h, matches, athlete, traces),
                named(h, matches, traces),
                films.stream()
                        .filter(p -> p.startsWith(folder) && Files.exists(p))
                        .sorted()
                        .toList(),
                pictures(h, folder, athlete, matches, films),
                exported.stream()
                        .filter(Exported::unchanged)
                        .map(Exported::path)
                        .toList(),
                exported.stream()
                        .filter(x -> !x.unchanged() && Files.exists(x.path()))
                        .map(Exported::path)
                        .toList(),
                backups);
    }

    private static List<MatchRecord> records(Handle h) throws LibraryException {
        List<MatchRecord> records = new ArrayList<>();
        for (String document : h.createQuery("SELECT document FROM match_record ORDER BY id")
                .mapTo(String.class)
                .list()) {
            try {
                records.add(MatchJson.read(document));
            } catch (FormatException e) {
                throw new LibraryException(StoreWords.of("forget.unread", e.getMessage()), e);
            }
        }
        return records;
    }

    private static Set<Path> films(List<MatchRecord> records, Path folder) {
        Set<Path> films = new HashSet<>();
        for (MatchRecord r : records) {
            for (FilmRef f : r.films()) {
                films.add(folder.resolve(f.file()).normalize());
            }
        }
        return films;
    }

    /** All names he has, also where he was entered by mistake, and last names that others share. */
    private static Traces traces(String athlete, List<MatchRecord> records, Handle h) {
        Set<String> names = new LinkedHashSet<>();
        Set<String> shared = new HashSet<>();
        for (MatchRecord r : records) {
            for (Corner c : Corner.values()) {
                if (r.athlete(c).id().equals(athlete)) {
                    names.add(r.athlete(c).name());
                } else {
                    shared.add(r.athlete(c).surname());
                }
            }
        }
        ObjectMapper json = new ObjectMapper();
        h.createQuery("SELECT edit FROM edit_log").mapTo(String.class).forEach(edit -> {
            if (edit.contains("\"" + athlete + "\"")) {
                try {
                    collect(json.readTree(edit), athlete, names);
                } catch (IOException e) {
                    // an edit that cannot be read is cleaned as a text
                }
            }
        });
        return new Traces(athlete, names, shared);
    }

    private static void collect(JsonNode node, String athlete, Set<String> names) {
        if (node.path("id").asText().equals(athlete) && node.path("name").isTextual()) {
            names.add(node.path("name").textValue());
        }
        node.forEach(n -> collect(n, athlete, names));
    }

    /** A learner's drill book has one line for every drill, which begins with its match. */
    private static boolean book(String setting) {
        return setting.startsWith("drill.book.");
    }

    private static List<String> settings(Handle h, Set<String> matches, String athlete, Traces traces) {
        List<String> settings = new ArrayList<>();
        h.createQuery("SELECT name, text FROM setting ORDER BY name")
                .map((row, context) -> new String[] {row.getString(1), row.getString(2)})
                .forEach(s -> {
                    boolean of =
                            matches.stream().anyMatch(id -> s[0].endsWith(id) || (book(s[0]) && s[1].contains(id)));
                    if (of
                            || s[1].contains("\"" + athlete + "\"")
                            || !traces.document(s[1]).equals(s[1])) {
                        settings.add(s[0]);
                    }
                });
        return settings;
    }

    /** Other matches that name him. */
    private static List<String> named(Handle h, Set<String> matches, Traces traces) {
        Set<String> named = new LinkedHashSet<>();
        h.createQuery("SELECT id, document FROM match_record UNION ALL SELECT match_id, edit FROM edit_log"
                        + " UNION ALL SELECT match_id, document FROM draft_list ORDER BY 1")
                .map((row, context) -> new String[] {row.getString(1), row.getString(2)})
                .forEach(s -> {
                    if (!matches.contains(s[0])
                            && !named.contains(s[0])
                            && !traces.document(s[1]).equals(s[1])) {
                        named.add(s[0]);
                    }
                });
        return List.copyOf(named);
    }

    /** By plan, the numbers of the versions that quote or name him. */
    private static Map<String, Set<Integer>> versions(Handle h, Traces traces) {
        Map<String, Set<Integer>> versions = new java.util.TreeMap<>();
        h.createQuery("SELECT plan_id, n, document FROM plan_version")
                .map((row, context) -> new Object[] {row.getString(1), row.getInt(2), row.getString(3)})
                .forEach(v -> {
                    if (!traces.document((String) v[2]).equals(v[2])) {
                        versions.computeIfAbsent((String) v[0], k -> new HashSet<>())
                                .add((Integer) v[1]);
                    }
                });
        return versions;
    }

    private static List<Path> pictures(Handle h, Path folder, String athlete, Set<String> matches, Set<Path> films) {
        Map<Path, Exported> noted = new HashMap<>();
        Exported.all(h).forEach(x -> noted.put(x.path(), x));
        List<Path> found = new ArrayList<>();
        for (String name : PICTURES) {
            Path in = folder.resolve(name);
            if (!Files.isDirectory(in)) {
                continue;
            }
            try (Stream<Path> files = Files.list(in)) {
                for (Path p : files.sorted().toList()) {
                    Exported x = noted.get(p.toAbsolutePath().normalize());
                    boolean of = switch (name) {
                        case "proxies" -> ofFilm(p, films);
                        case "talks" -> ofMatch(p, matches);
                        default -> x == null || x.tellsOf(athlete);
                    };
                    if (of) {
                        found.add(p);
                    }
                }
            } catch (IOException e) {
                // a folder that cannot be listed: its own name is told as left
                found.add(in);
            }
        }
        return found;
    }

    /** Quick copies say which film they are of; those that do not are made again when they are wanted. */
    private static boolean ofFilm(Path copies, Set<Path> films) {
        try {
            return films.contains(
                    Path.of(Files.readString(copies.resolve(FILM_NOTE)).strip()));
        } catch (IOException | java.nio.file.InvalidPathException e) {
            return true;
        }
    }

    /** A breakdown says which match it is of; its voice lies beside it under the same name. */
    private static boolean ofMatch(Path talk, Set<String> matches) {
        String name = talk.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        try {
            JsonNode said = new ObjectMapper()
                    .readTree(talk.resolveSibling(name + ".json").toFile());
            return matches.contains(said.path("match").asText());
        } catch (IOException e) {
            return true;
        }
    }

    /** Deletes all but the files, within a transaction. */
    void delete(Handle h) throws LibraryException {
        Traces trace = traces(athlete, records(h), h);
        for (String id : matches) {
            h.execute("DELETE FROM edit_log WHERE match_id = ?", id);
            h.execute("DELETE FROM match_record WHERE id = ?", id);
            h.execute("DELETE FROM draft_list WHERE match_id = ?", id);
        }
        for (String id : plans) {
            h.execute("DELETE FROM plan_version WHERE plan_id = ?", id);
            h.execute("DELETE FROM plan WHERE id = ?", id);
        }
        quotes(h, trace);
        for (String id : assignments) {
            h.execute("DELETE FROM assignment WHERE id = ?", id);
        }
        for (Assignment a : new PlanRows(h).assignments()) {
            String kept = trace.document(PlanJson.write(naming.contains(a.id()) ? a.without(athlete) : a));
            h.execute("UPDATE assignment SET document = ? WHERE id = ?", kept, a.id());
        }
        clean(h, "match_record", "id", "document", trace::document);
        clean(h, "edit_log", "match_id || char(10) || n", "edit", trace::document);
        clean(h, "draft_list", "match_id", "document", trace::document);
        clean(h, "edit_log", "match_id || char(10) || n", "made_by", trace::text);
        mirrored(h, trace);
        settings(h, trace);
        Exported.all(h).stream()
                .filter(x -> x.tellsOf(athlete))
                .forEach(x -> h.execute(
                        "DELETE FROM exported WHERE path = ?", x.path().toString()));
    }

    /** What waits for a team, what it agreed on before, and what is to be decided. */
    private void mirrored(Handle h, Traces trace) {
        for (TeamForgetting.Thing t : TeamForgetting.of(this).gone()) {
            for (String table : List.of("waiting", "mirror_item", "clash")) {
                h.execute(
                        "DELETE FROM " + table + " WHERE kind = ? AND item = ?",
                        t.kind().code(),
                        t.item());
            }
        }
        clean(h, "waiting", "id", "body", trace::document);
        clean(h, "waiting", "id", "made_by", trace::text);
        clean(h, "mirror_item", "kind || char(10) || item", "agreed", trace::document);
        clean(h, "clash", "id", "mine", trace::document);
    }

    private static void clean(Handle h, String table, String key, String column, UnaryOperator<String> cleaning) {
        List<String[]> rows = h.createQuery(
                        "SELECT " + key + ", " + column + " FROM " + table + " WHERE " + column + " IS NOT NULL")
                .map((row, context) -> new String[] {row.getString(1), row.getString(2)})
                .list();
        for (String[] row : rows) {
            String cleaned = cleaning.apply(row[1]);
            if (!cleaned.equals(row[1])) {
                h.execute("UPDATE " + table + " SET " + column + " = ? WHERE " + key + " = ?", cleaned, row[0]);
            }
        }
    }

    /** Every version of every other plan, without claims about him and without his name. */
    private void quotes(Handle h, Traces trace) throws LibraryException {
        List<Object[]> rows = h.createQuery("SELECT plan_id, n, document FROM plan_version")
                .map((row, context) -> new Object[] {row.getString(1), row.getInt(2), row.getString(3)})
                .list();
        for (Object[] row : rows) {
            if (quoting.contains((String) row[0])) {
                String kept = trace.document(
                        PlanJson.write(Documents.plan((String) row[2]).without(athlete)));
                h.execute("UPDATE plan_version SET document = ? WHERE plan_id = ? AND n = ?", kept, row[0], row[1]);
            }
        }
    }

    private void settings(Handle h, Traces trace) {
        for (String name : settings) {
            String text = h.createQuery("SELECT text FROM setting WHERE name = :name")
                    .bind("name", name)
                    .mapTo(String.class)
                    .one();
            if (book(name)) {
                // a learner keeps what he has learned of others
                String kept = text.lines()
                        .filter(l -> matches.stream().noneMatch(l::contains))
                        .map(l -> l + "\n")
                        .collect(Collectors.joining());
                h.execute("UPDATE setting SET text = ? WHERE name = ?", trace.text(kept), name);
            } else if (matches.stream().anyMatch(name::endsWith) || text.contains("\"" + athlete + "\"")) {
                h.execute("DELETE FROM setting WHERE name = ?", name);
            } else {
                h.execute("UPDATE setting SET text = ? WHERE name = ?", trace.document(text), name);
            }
        }
    }

    /** All files that go, with the library's copies as they are now. */
    List<Path> files(List<Path> copies) {
        List<Path> files = new ArrayList<>();
        List.of(films, pictures, exported, copies).forEach(files::addAll);
        return files;
    }

    /**
     * Deletes files and folders.
     *
     * @return those that could not be deleted
     */
    static List<Path> deleteFiles(List<Path> files) {
        List<Path> left = new ArrayList<>();
        for (Path p : files) {
            try (Stream<Path> below = Files.exists(p) ? Files.walk(p) : Stream.empty()) {
                for (Path one : below.sorted(Comparator.reverseOrder()).toList()) {
                    Files.deleteIfExists(one);
                }
            } catch (IOException e) {
                left.add(p);
            }
        }
        return left;
    }
}
