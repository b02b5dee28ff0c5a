package farglass.store;

import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.jdbi.v3.core.Handle;

/**
 * What of a library is an athlete's: found first, so that it can be said, and then deleted for good.
 *
 * @param athlete id
 * @param matches ids of records in which he fights, those taken out of sight among them
 * @param plans ids of plans of his or against him
 * @param quoting ids of other plans that hold claims about him
 * @param assignments ids of assignments of his own
 * @param naming ids of other assignments that name him as an opponent
 * @param settings names of settings that hold a match of his
 * @param films film files below the library's folder that no other match uses
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
        List<Path> films,
        List<Path> backups) {
    public Forgetting {
        matches = List.copyOf(matches);
        plans = List.copyOf(plans);
        quoting = List.copyOf(quoting);
        assignments = List.copyOf(assignments);
        naming = List.copyOf(naming);
        settings = List.copyOf(settings);
        films = List.copyOf(films);
        backups = List.copyOf(backups);
    }

    /** Whether the library knows nothing of him. */
    public boolean nothing() {
        return matches.isEmpty()
                && plans.isEmpty()
                && quoting.isEmpty()
                && assignments.isEmpty()
                && naming.isEmpty()
                && settings.isEmpty();
    }

    static Forgetting of(String athlete, Handle h, List<Plan> plans, List<Assignment> assignments, Path file)
            throws LibraryException {
        List<String> matches = new ArrayList<>();
        Set<Path> his = new HashSet<>();
        Set<Path> others = new HashSet<>();
        Path folder = file.toAbsolutePath().getParent();
        for (String document : h.createQuery("SELECT document FROM match_record ORDER BY id")
                .mapTo(String.class)
                .list()) {
            MatchRecord r = record(document);
            boolean mine = r.cornerOf(athlete).isPresent();
            if (mine) {
                matches.add(r.id());
            }
            for (FilmRef f : r.films()) {
                (mine ? his : others).add(folder.resolve(f.file()).normalize());
            }
        }
        his.removeAll(others);
        Set<String> ids = Set.copyOf(matches);
        Predicate<Plan> about = p -> p.us().equals(athlete) || p.them().equals(athlete);
        List<String> settings = new ArrayList<>();
        h.createQuery("SELECT name, text FROM setting ORDER BY name")
                .map((row, context) -> new String[] {row.getString(1), row.getString(2)})
                .forEach(s -> {
                    if (ids.stream().anyMatch(id -> s[0].endsWith(id) || book(s[0]) && s[1].contains(id))
                            || s[1].contains("\"" + athlete + "\"")) {
                        settings.add(s[0]);
                    }
                });
        return new Forgetting(
                athlete,
                matches,
                plans.stream().filter(about).map(Plan::id).toList(),
                plans.stream()
                        .filter(about.negate())
                        .filter(p -> quotes(p, athlete))
                        .map(Plan::id)
                        .toList(),
                assignments.stream()
                        .filter(a -> a.us().equals(athlete))
                        .map(Assignment::id)
                        .toList(),
                assignments.stream()
                        .filter(a -> !a.us().equals(athlete) && a.opponents().contains(athlete))
                        .map(Assignment::id)
                        .toList(),
                settings,
                his.stream()
                        .filter(p -> p.startsWith(folder) && Files.exists(p))
                        .sorted()
                        .toList(),
                LibraryFile.backups(file));
    }

    private static MatchRecord record(String document) throws LibraryException {
        try {
            return MatchJson.read(document);
        } catch (FormatException e) {
            throw new LibraryException(
                    "A match of the library cannot be read (" + e.getMessage() + "). Nothing was deleted.", e);
        }
    }

    /** A learner's drill book has one line for every drill, which begins with its match. */
    private static boolean book(String setting) {
        return setting.startsWith("drill.book.");
    }

    private static boolean quotes(Plan p, String athlete) {
        return p.pinned().stream().anyMatch(c -> c.athlete().equals(athlete))
                || p.own().stream().anyMatch(c -> c.athlete().equals(athlete))
                || p.judgements().stream().anyMatch(c -> c.athlete().equals(athlete));
    }

    /** Deletes all but the files, within a transaction. */
    void delete(Handle h, List<Plan> allPlans, List<Assignment> allAssignments) {
        for (String id : matches) {
            h.execute("DELETE FROM edit_log WHERE match_id = ?", id);
            h.execute("DELETE FROM match_record WHERE id = ?", id);
        }
        for (String id : plans) {
            h.execute("DELETE FROM plan_version WHERE plan_id = ?", id);
            h.execute("DELETE FROM plan WHERE id = ?", id);
        }
        for (Plan p : allPlans) {
            if (quoting.contains(p.id())) {
                // earlier versions quote him too
                h.execute("DELETE FROM plan_version WHERE plan_id = ?", p.id());
                h.execute(
                        "INSERT INTO plan_version (plan_id, n, document, made_at) VALUES (?, 1, ?, '')",
                        p.id(),
                        PlanJson.write(p.without(athlete)));
                h.execute("UPDATE plan SET current_version = 1 WHERE id = ?", p.id());
            }
        }
        for (String id : assignments) {
            h.execute("DELETE FROM assignment WHERE id = ?", id);
        }
        for (Assignment a : allAssignments) {
            if (naming.contains(a.id())) {
                h.execute(
                        "UPDATE assignment SET document = ? WHERE id = ?", PlanJson.write(a.without(athlete)), a.id());
            }
        }
        for (String name : settings) {
            if (book(name)) {
                // a learner keeps what he has learned of others
                String text = h.createQuery("SELECT text FROM setting WHERE name = :name")
                        .bind("name", name)
                        .mapTo(String.class)
                        .one();
                String kept = text.lines()
                        .filter(l -> matches.stream().noneMatch(l::contains))
                        .map(l -> l + "\n")
                        .collect(java.util.stream.Collectors.joining());
                h.execute("UPDATE setting SET text = ? WHERE name = ?", kept, name);
            } else {
                h.execute("DELETE FROM setting WHERE name = ?", name);
            }
        }
    }
}
