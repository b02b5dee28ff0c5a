package farglass.store;

import static java.util.Objects.requireNonNull;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jdbi.v3.core.Handle;
import org.jspecify.annotations.Nullable;

/**
 * What a mirror keeps beside the library's own rows, on a handle that the library gives: what waits, and what the team
 * agreed on before it. In a library that is no mirror every method does nothing.
 */
final class MirrorRows {
    /** Settings that a team has in common: its terms and rulesets. All others belong to a machine. */
    private static final List<String> SHARED = List.of("lexicon.", "ruleset ");

    private final Handle handle;
    /** Null until it is looked up; whether this is a mirror does not change but by {@link #attach}. */
    private @Nullable Boolean attached;

    private volatile Runnable waitingListener = () -> {};

    MirrorRows(Handle handle) {
        this.handle = handle;
    }

    /**
     * Which team's library it is a mirror of.
     *
     * @param url where that is
     * @param team the team's identity, or null before it was first reached
     * @param id of this mirror
     * @param seen place of the last step that was read
     * @param reachedAt when the team's library was last reached, or null
     */
    record Attached(
            String url,
            @Nullable String team,
            String id,
            long seen,
            @Nullable Instant reachedAt) {}

    void onWaiting(Runnable listener) {
        waitingListener = listener;
    }

    boolean attached() {
        if (attached == null) {
            attached = there() && read().isPresent();
        }
        return attached;
    }

    /** A library of an earlier version, opened to be read, has no such table. */
    private boolean there() {
        return handle.createQuery("SELECT COUNT(*) FROM sqlite_master WHERE type = 'table' AND name = 'mirror'")
                        .mapTo(Integer.class)
                        .one()
                > 0;
    }

    Optional<Attached> read() {
        return there()
                ? handle.createQuery("SELECT url, team, id, seen, reached_at FROM mirror")
                        .map((row, context) -> new Attached(
                                row.getString(1),
                                row.getString(2),
                                row.getString(3),
                                row.getLong(4),
                                row.getString(5) == null ? null : Instant.parse(row.getString(5))))
                        .findOne()
                : Optional.empty();
    }

    /** Whether it is one is to be looked up anew: what made it one was taken back. */
    void lookAgain() {
        attached = null;
    }

    /** From now on it is a mirror; every edit so far gets an identity. */
    void attach(String url) {
        handle.execute("INSERT INTO mirror (only_one, url, id) VALUES (1, ?, ?)", url, identity());
        handle.execute("UPDATE edit_log SET id = lower(hex(randomblob(16)))");
        attached = true;
    }

    void url(String url) {
        handle.execute("UPDATE mirror SET url = ?", url);
    }

    void team(String team) {
        handle.execute("UPDATE mirror SET team = ?", team);
    }

    void seen(long place) {
        handle.execute("UPDATE mirror SET seen = ?", place);
    }

    void reached(Instant at) {
        handle.execute("UPDATE mirror SET reached_at = ?", at.toString());
    }

    static String identity() {
        return UUID.randomUUID().toString().replace("-", "");
    }

    static boolean shared(String setting) {
        return SHARED.stream().anyMatch(setting::startsWith);
    }

    /**
     * Before something is changed here: what the team agreed on is kept, unless changes of it wait already.
     *
     * @return false where nothing is to be noted
     */
    boolean before(TeamChange.Kind kind, String item) {
        if (!attached() || (kind == TeamChange.Kind.SETTING && !shared(item))) {
            return false;
        }
        if (n(kind, item) > 0 && agreed(kind, item).isEmpty()) {
            document(kind, item).ifPresent(d -> agree(kind, item, n(kind, item), d));
        }
        return true;
    }

    /** A thing that is kept whole is changed, and where it is shared the team is to have it. */
    void change(TeamChange.Kind kind, String item, Runnable change, MatchEdits.Author author) {
        boolean shared = before(kind, item);
        change.run();
        if (shared) {
            noteIfShared(kind, item, TeamChange.Act.SET, author);
        }
    }

    /** In a mirror: something was changed and the team is to have it, as it is now where it comes whole. */
    void noteIfShared(TeamChange.Kind kind, String item, TeamChange.Act act, MatchEdits.Author author) {
        if (attached()) {
            boolean whole = act == TeamChange.Act.NEW || act == TeamChange.Act.SET;
            String body = whole ? document(kind, item).orElse(null) : null;
            note(kind, item, act, body, null, author.at(), author.name());
        }
    }

    /** Something was changed here: the team is to have it. The identity of the step. */
    String note(
            TeamChange.Kind kind,
            String item,
            TeamChange.Act act,
            @Nullable String body,
            @Nullable String undoes,
            Instant at,
            @Nullable String by) {
        String id = identity();
        handle.execute(
                "INSERT INTO waiting (id, kind, item, act, body, undoes, made_at, made_by)"
                        + " VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
                id,
                kind.code(),
                item,
                act.code(),
                body,
                undoes,
                at.toString(),
                by);
        waitingListener.run();
        return id;
    }

    /** What waits, in order: of one thing, or of all for null. */
    List<TeamChange> waiting(TeamChange.@Nullable Kind kind, @Nullable String item, int most) {
        return handle.createQuery("SELECT id, kind, item, act, body, undoes, made_at, made_by FROM waiting"
                        + (item == null ? "" : " WHERE kind = :kind AND item = :item") + " ORDER BY place LIMIT :most")
                .bindMap(
                        item == null
                                ? Map.of("most", most)
                                : Map.of(
                                        "most",
                                        most,
                                        "kind",
                                        requireNonNull(kind).code(),
                                        "item",
                                        item))
                .map((row, context) -> new TeamChange(
                        row.getString(1),
                        TeamChange.Kind.of(row.getString(2)),
                        row.getString(3),
                        0,
                        TeamChange.Act.of(row.getString(4)),
                        row.getString(5),
                        row.getString(6),
                        Instant.parse(row.getString(7)),
                        row.getString(8),
                        null,
                        null))
                .list();
    }

    int count() {
        return number("SELECT COUNT(*) FROM waiting");
    }

    int clashCount() {
        return number("SELECT COUNT(*) FROM clash");
    }

    private int number(String query) {
        return attached() ? handle.createQuery(query).mapTo(Integer.class).one() : 0;
    }

    /** It waits no more. */
    void drop(String id) {
        handle.execute("DELETE FROM waiting WHERE id = ?", id);
    }

    /** It waits as something else, for what it was made for is another now. */
    void rewrite(String id, String body) {
        handle.execute("UPDATE waiting SET body = ? WHERE id = ?", body, id);
    }

    /** How many steps of a thing the mirror knows; 0 for none. */
    long n(TeamChange.Kind kind, String item) {
        return handle.createQuery("SELECT n FROM mirror_item WHERE kind = :kind AND item = :item")
                .bind("kind", kind.code())
                .bind("item", item)
                .mapTo(Long.class)
                .findOne()
                .orElse(0L);
    }

    /** What the team agreed on, where changes of it wait. */
    Optional<String> agreed(TeamChange.Kind kind, String item) {
        return handle.createQuery("SELECT agreed FROM mirror_item WHERE kind = :kind AND item = :item")
                .bind("kind", kind.code())
                .bind("item", item)
                .mapTo(String.class)
                .findOne();
    }

    void agree(TeamChange.Kind kind, String item, long n, @Nullable String agreed) {
        handle.execute(
                "INSERT OR REPLACE INTO mirror_item (kind, item, n, agreed) VALUES (?, ?, ?, ?)",
                kind.code(),
                item,
                n,
                agreed);
    }

    void forget(TeamChange.Kind kind, String item) {
        handle.execute("DELETE FROM mirror_item WHERE kind = ? AND item = ?", kind.code(), item);
        handle.execute("DELETE FROM waiting WHERE kind = ? AND item = ?", kind.code(), item);
    }

    /** A thing as the library has it now. */
    Optional<String> document(TeamChange.Kind kind, String item) {
        String query = switch (kind) {
            case MATCH -> "SELECT document FROM match_record WHERE id = :item";
            case DRAFT -> "SELECT document FROM draft_list WHERE match_id = :item";
            case PLAN ->
                "SELECT v.document FROM plan p JOIN plan_version v ON v.plan_id = p.id"
                        + " AND v.n = p.current_version WHERE p.id = :item";
            case ASSIGNMENT -> "SELECT document FROM assignment WHERE id = :item";
            case SETTING -> "SELECT text FROM setting WHERE name = :item";
            case ATHLETE -> "SELECT NULL WHERE :item IS NULL";
        };
        return handle.createQuery(query).bind("item", item).mapTo(String.class).findOne();
    }

    void clash(TeamChange.Kind kind, String item, List<String> fields, String mine, Instant at) {
        handle.execute(
                "INSERT INTO clash (kind, item, fields, mine, found_at) VALUES (?, ?, ?, ?, ?)",
                kind.code(),
                item,
                String.join(",", fields),
                mine,
                at.toString());
    }

    List<Mirror.Open> clashes() {
        return handle.createQuery("SELECT id, kind, item, fields, mine, found_at FROM clash ORDER BY id")
                .map((row, context) -> new Mirror.Open(
                        row.getLong(1),
                        TeamChange.Kind.of(row.getString(2)),
                        row.getString(3),
                        List.of(row.getString(4).split(",")),
                        row.getString(5),
                        Instant.parse(row.getString(6))))
                .list();
    }

    void decided(long clash) {
        handle.execute("DELETE FROM clash WHERE id = ?", clash);
    }
}
