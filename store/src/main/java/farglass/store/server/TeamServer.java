package farglass.store.server;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import farglass.match.Coded;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.store.Mirror;
import farglass.store.TeamChange;
import farglass.store.TeamItem;
import farglass.store.json.EditJson;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import farglass.team.TeamRole;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.postgresql.Driver;
import org.postgresql.PGConnection;
import org.postgresql.util.PSQLException;
import org.postgresql.util.PSQLState;

/**
 * One connection to a team's library. Belongs to one thread. After an exception of kind {@link
 * TeamException.Kind#UNREACHED} it is to be closed and opened anew.
 */
public final class TeamServer implements AutoCloseable {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String COLUMNS = "c.id, kind, item, n, act, body, undoes, made_at, made_by, mirror, place";
    private static final int MS_PER_STEP = 20_000;

    private final Connection connection;

    private TeamServer(Connection connection) {
        this.connection = connection;
    }

    /** Reaches a team's library. */
    public static TeamServer open(TeamAddress address) throws TeamException {
        try {
            Connection c = new Driver().connect(address.url(), address.properties());
            if (c == null) {
                throw new SQLException("no such address");
            }
            try (Statement s = c.createStatement()) {
                s.execute("SET search_path = farglass");
                s.execute("SET statement_timeout = " + MS_PER_STEP);
                s.execute("LISTEN farglass");
            } catch (SQLException e) {
                c.close();
                throw e;
            }
            return new TeamServer(c);
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    /** The place of the last step of the log. */
    public record Team(String id, long last) {}

    /** Which team it is. */
    public Team team() throws TeamException {
        return ask("SELECT id::text, last_place FROM team", s -> {}, r -> new Team(r.getString(1), r.getLong(2)))
                .stream()
                .findFirst()
                .orElseThrow(() -> new TeamException(
                        TeamException.Kind.REFUSED, TeamWords.of("team.no-member"), new SQLException("no row")));
    }

    /** What this login may do; empty when it is no member. */
    public Optional<TeamRole> role() throws TeamException {
        return ask("SELECT role FROM member WHERE login = session_user", s -> {}, r -> r.getString(1)).stream()
                .findFirst()
                .flatMap(code -> Coded.parse(TeamRole.class, code));
    }

    /**
     * Sends steps, in order.
     *
     * @return places of those that the log has now, by id: fewer than were sent when somebody else was first
     */
    public Map<String, Long> append(String mirror, List<TeamChange> steps) throws TeamException {
        ArrayNode sent = JSON.createArrayNode();
        for (TeamChange c : steps) {
            sent.add(json(c));
        }
        Map<String, Long> places = new LinkedHashMap<>();
        ask(
                        "SELECT step, at_place FROM append(?, ?::jsonb) WHERE at_place IS NOT NULL",
                        s -> {
                            s.setString(1, mirror);
                            s.setString(2, sent.toString());
                        },
                        r -> Map.entry(r.getString(1), r.getLong(2)))
                .forEach(e -> places.put(e.getKey(), e.getValue()));
        return places;
    }

    private static ObjectNode json(TeamChange c) throws TeamException {
        ObjectNode o = JSON.createObjectNode();
        o.put("id", c.id());
        o.put("kind", c.kind().code());
        o.put("item", c.item());
        o.put("n", c.n());
        o.put("act", c.act().code());
        o.put("at", c.at().toString());
        putIf(o, "body", c.body());
        putIf(o, "undoes", c.undoes());
        putIf(o, "by", c.by());
        if (c.document() != null && !c.document().equals(c.body())) {
            o.put("document", c.document());
        }
        String whole = c.document() != null ? c.document() : c.act() == TeamChange.Act.EDIT ? null : c.body();
        if (whole != null) {
            whose(o, c.kind(), whole);
        }
        return o;
    }

    /** Whose a thing is, for who may see it. */
    private static void whose(ObjectNode o, TeamChange.Kind kind, String document) throws TeamException {
        try {
            switch (kind) {
                case MATCH -> {
                    MatchRecord r = MatchJson.read(document);
                    o.putArray("athletes")
                            .add(r.details().a().id())
                            .add(r.details().b().id());
                    o.put("private", r.isPrivate());
                }
                case PLAN -> o.putArray("athletes").add(PlanJson.read(document).us());
                case ASSIGNMENT ->
                    o.putArray("athletes").add(PlanJson.readAssignment(document).us());
                case DRAFT, SETTING, ATHLETE -> o.putArray("athletes");
            }
        } catch (FormatException e) {
            throw new TeamException(
                    TeamException.Kind.OTHER, TeamWords.of("team.damaged", String.valueOf(e.getMessage())), e);
        }
    }

    private static void putIf(ObjectNode o, String field, @Nullable String value) {
        if (value != null) {
            o.put(field, value);
        }
    }

    /**
     * Steps of the log behind a place, in order.
     *
     * @param last place of the last of them; that of the log's end when there is none
     */
    public record Steps(List<TeamChange> steps, long last, boolean more) {
        public Steps {
            steps = List.copyOf(steps);
        }
    }

    /** The next steps behind a place, as far as this login may see them. */
    public Steps after(long place, int most) throws TeamException {
        long[] end = {place};
        long[] last = {place};
        List<Optional<TeamChange>> rows = ask(
                "SELECT " + COLUMNS + ", last_place FROM team LEFT JOIN (SELECT * FROM change WHERE place > ?"
                        + " ORDER BY place LIMIT ?) c ON true ORDER BY place",
                s -> {
                    s.setLong(1, place);
                    s.setInt(2, most);
                },
                r -> {
                    end[0] = r.getLong(12);
                    if (r.getString(1) == null) {
                        return Optional.<TeamChange>empty();
                    }
                    last[0] = r.getLong(11);
                    return Optional.of(step(r));
                });
        List<TeamChange> steps = rows.stream().flatMap(Optional::stream).toList();
        boolean more = steps.size() == most;
        return new Steps(steps, more ? last[0] : end[0], more);
    }

    private static TeamChange step(ResultSet r) throws SQLException {
        return new TeamChange(
                r.getString(1),
                TeamChange.Kind.of(r.getString(2)),
                r.getString(3),
                r.getLong(4),
                TeamChange.Act.of(r.getString(5)),
                r.getString(6),
                r.getString(7),
                Instant.parse(r.getString(8)),
                r.getString(9),
                r.getString(10),
                null);
    }

    /**
     * Some of what the library holds, as it is.
     *
     * @param last place at which the last of them came; the page behind it is asked for by it
     */
    public record Page(List<TeamItem> items, long last) {
        public Page {
            items = List.copyOf(items);
        }
    }

    /** How many things there are that this login may see. */
    public long size() throws TeamException {
        return ask("SELECT count(*) FROM item", s -> {}, r -> r.getLong(1)).get(0);
    }

    /** The next things behind a place, in the order in which they came; an empty page when there are no more. */
    public Page page(long behind, int most) throws TeamException {
        return together(() -> {
            long last = ask(
                            "SELECT coalesce(max(first_place), 0) FROM (SELECT first_place FROM item WHERE first_place > ?"
                                    + " ORDER BY first_place LIMIT ?) p",
                            s -> {
                                s.setLong(1, behind);
                                s.setInt(2, most);
                            },
                            r -> r.getLong(1))
                    .get(0);
            return new Page(
                    items(" WHERE i.first_place > ? AND i.first_place <= ?", s -> {
                        s.setLong(1, behind);
                        s.setLong(2, last);
                    }),
                    last);
        });
    }

    /** One thing as it is; empty when there is none that this login may see. */
    public Optional<TeamItem> item(TeamChange.Kind kind, String item) throws TeamException {
        return together(() -> items(" WHERE i.kind = ? AND i.item = ?", s -> {
                    s.setString(1, kind.code());
                    s.setString(2, item);
                }))
                .stream()
                .findFirst();
    }

    /** Several questions, one after the other. */
    private interface Questions<T> {
        T asked() throws TeamException;
    }

    /** Questions whose answers are of one moment: a document and the edits behind it must not be of two. */
    private <T> T together(Questions<T> questions) throws TeamException {
        try {
            connection.setAutoCommit(false);
            try (Statement s = connection.createStatement()) {
                s.execute("SET TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY");
                return questions.asked();
            } finally {
                connection.rollback();
                connection.setAutoCommit(true);
            }
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    private List<TeamItem> items(String where, Setting setting) throws TeamException {
        List<TeamItem> items = new ArrayList<>();
        Map<String, List<String>> later = new HashMap<>();
        ask(
                        "SELECT i.kind, i.item, c.body FROM item i JOIN change c ON c.kind = i.kind AND c.item = i.item"
                                + " AND c.n > i.document_n AND c.act = 'edit'" + where + " ORDER BY c.place",
                        setting,
                        r -> List.of(r.getString(1) + " " + r.getString(2), r.getString(3)))
                .forEach(e ->
                        later.computeIfAbsent(e.get(0), k -> new ArrayList<>()).add(e.get(1)));
        for (TeamItem i : ask(
                "SELECT i.kind, i.item, i.n, i.document, i.removed FROM item i" + where + " ORDER BY i.first_place",
                setting,
                r -> new TeamItem(
                        TeamChange.Kind.of(r.getString(1)),
                        r.getString(2),
                        r.getLong(3),
                        r.getString(4),
                        r.getBoolean(5)))) {
            List<String> edits = later.get(i.kind().code() + " " + i.item());
            items.add(edits == null ? i : with(i, edits));
        }
        return items;
    }

    private static TeamItem with(TeamItem i, List<String> edits) throws TeamException {
        try {
            MatchRecord record = MatchJson.read(i.document());
            for (String e : edits) {
                Edit edit = EditJson.read(e);
                record = edit.apply(record);
            }
            return new TeamItem(i.kind(), i.item(), i.n(), MatchJson.write(record), i.removed());
        } catch (FormatException e) {
            throw new TeamException(
                    TeamException.Kind.OTHER, TeamWords.of("team.damaged", String.valueOf(e.getMessage())), e);
        }
    }

    /**
     * Deletes an athlete for good: what is his, and the history of what named him.
     *
     * @param step waits in the mirror
     * @return false when things stand otherwise there than the mirror knows: it has to read on first
     */
    public boolean forget(String mirror, TeamChange step, Mirror.Leaving leaving) throws TeamException {
        ArrayNode gone = JSON.createArrayNode();
        leaving.gone()
                .forEach(t -> gone.addObject().put("kind", t.kind().code()).put("item", t.item()));
        ArrayNode kept = JSON.createArrayNode();
        leaving.kept()
                .forEach(i -> kept.addObject()
                        .put("kind", i.kind().code())
                        .put("item", i.item())
                        .put("n", i.n())
                        .put("document", i.document()));
        return ask(
                        "SELECT forget(?, ?, ?, ?, ?::jsonb, ?::jsonb)",
                        s -> {
                            s.setString(1, mirror);
                            s.setString(2, step.id());
                            s.setString(3, step.item());
                            s.setString(4, step.at().toString());
                            s.setString(5, gone.toString());
                            s.setString(6, kept.toString());
                        },
                        r -> r.getBoolean(1))
                .get(0);
    }

    /** Which of these steps the log has. */
    public List<String> known(Collection<String> ids) throws TeamException {
        return ask(
                "SELECT id FROM change WHERE id = ANY (?)",
                s -> s.setArray(1, connection.createArrayOf("text", ids.toArray())),
                r -> r.getString(1));
    }

    /**
     * Waits until something happens in the team's library.
     *
     * @param ms at most so long, positive
     * @return whether something did
     */
    public boolean heard(int ms) throws TeamException {
        try {
            var heard = connection.unwrap(PGConnection.class).getNotifications(ms);
            return heard != null && heard.length > 0;
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    /** Who is at which match; {@code match} null for none. */
    public record Present(
            String mirror, String name, @Nullable String match) {}

    /** Says who is here. */
    public void present(String mirror, String name, @Nullable String match) throws TeamException {
        ask(
                "SELECT present(?, ?, ?)",
                s -> {
                    s.setString(1, mirror);
                    s.setString(2, name);
                    s.setString(3, match);
                },
                r -> 0);
    }

    /** Who has been here within some seconds. */
    public List<Present> present(int seconds) throws TeamException {
        return ask(
                "SELECT mirror, name, match FROM presence WHERE seen_at > now() - make_interval(secs => ?) ORDER BY name",
                s -> s.setInt(1, seconds),
                r -> new Present(r.getString(1), r.getString(2), r.getString(3)));
    }

    private interface Setting {
        void set(PreparedStatement s) throws SQLException;
    }

    private interface Reading<T> {
        T read(ResultSet r) throws SQLException;
    }

    private <T> List<T> ask(String query, Setting setting, Reading<T> reading) throws TeamException {
        try (PreparedStatement s = connection.prepareStatement(query)) {
            setting.set(s);
            List<T> rows = new ArrayList<>();
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    rows.add(reading.read(r));
                }
            }
            return rows;
        } catch (SQLException e) {
            throw failed(e);
        }
    }

    static TeamException failed(SQLException e) {
        String state = e.getSQLState() == null ? "" : e.getSQLState();
        if (state.equals("42501")) {
            String why = e instanceof PSQLException p && p.getServerErrorMessage() != null
                    ? String.valueOf(p.getServerErrorMessage().getMessage())
                    : "";
            return new TeamException(TeamException.Kind.REFUSED, TeamWords.of("team.refused", why), e);
        }
        if (state.equals("3F000") || state.equals("42P01") || state.equals("42883")) {
            return new TeamException(TeamException.Kind.OTHER, TeamWords.of("team.none"), e);
        }
        if (state.startsWith("28")) {
            return new TeamException(TeamException.Kind.REFUSED, TeamWords.of("team.login"), e);
        }
        if (state.equals("42704")) {
            return new TeamException(TeamException.Kind.OTHER, TeamWords.of("team.no-login"), e);
        }
        if (state.equals("3D000")) {
            return new TeamException(TeamException.Kind.OTHER, TeamWords.of("team.no-database"), e);
        }
        if (PSQLState.isConnectionError(state)
                || state.startsWith("57P")
                || state.startsWith("53")
                || state.equals("57014")
                || state.startsWith("40")
                || e.getCause() instanceof java.io.IOException) {
            return new TeamException(TeamException.Kind.UNREACHED, TeamWords.of("team.unreached"), e);
        }
        return new TeamException(TeamException.Kind.OTHER, TeamWords.of("team.failed", reason(e)), e);
    }

    private static String reason(SQLException e) {
        return String.valueOf(e.getMessage()).lines().findFirst().orElse("");
    }

    @Override
    public void close() {
        try {
            connection.close();
        } catch (SQLException ignored) {
            // the server ends it by itself
        }
    }
}
