package farglass.store.server;

import farglass.team.TeamRole;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jspecify.annotations.Nullable;
import org.postgresql.Driver;
import org.postgresql.ds.PGSimpleDataSource;

/** Makes a team's library in a database, brings it to today's form, and says who may do what in it. */
public final class TeamSetup {
    private TeamSetup() {}

    /**
     * Makes the tables, or brings them to today's form; who makes them is the owner. The login needs to be allowed to
     * make a schema in the database.
     */
    public static void make(TeamAddress address) throws TeamException {
        try {
            // first in a way that tells why not
            connect(address).close();
            PGSimpleDataSource source = new PGSimpleDataSource();
            source.setURL(address.url());
            address.properties().forEach((k, v) -> {
                try {
                    source.setProperty(k.toString(), v.toString());
                } catch (SQLException e) {
                    throw new IllegalStateException("an option of the driver that it does not know", e);
                }
            });
            Flyway.configure()
                    .dataSource(source)
                    .schemas("farglass")
                    .createSchemas(true)
                    .locations("classpath:farglass/store/server")
                    .loggers("slf4j")
                    .load()
                    .migrate();
        } catch (SQLException e) {
            throw TeamServer.failed(e);
        } catch (FlywayException e) {
            throw new TeamException(
                    TeamException.Kind.OTHER,
                    TeamWords.of(
                            "team.unmade",
                            String.valueOf(e.getMessage()).lines().findFirst().orElse("")),
                    e);
        }
    }

    private static Connection connect(TeamAddress address) throws SQLException {
        Connection c = new Driver().connect(address.url(), address.properties());
        if (c == null) {
            throw new SQLException("no such address");
        }
        return c;
    }

    /** Somebody of the team: a login of the server, which must be there already. */
    public record Member(
            String login, String role, @Nullable String athlete) {}

    /**
     * Says what a login may do from now on.
     *
     * @param athlete id of the athlete, for {@link Role#ATHLETE}; else null
     */
    public static void member(TeamAddress address, String login, TeamRole role, @Nullable String athlete)
            throws TeamException {
        try (Connection c = connect(address)) {
            c.setAutoCommit(false);
            try (PreparedStatement s = c.prepareStatement(
                    "INSERT INTO farglass.member (login, role, athlete) VALUES (?, ?, ?) ON CONFLICT (login)"
                            + " DO UPDATE SET role = excluded.role, athlete = excluded.athlete")) {
                s.setString(1, login);
                s.setString(2, role.code());
                s.setString(3, athlete);
                s.executeUpdate();
            }
            try (Statement s = c.createStatement()) {
                String quoted = s.enquoteIdentifier(login, true);
                s.execute("GRANT USAGE ON SCHEMA farglass TO " + quoted);
                s.execute("GRANT SELECT ON farglass.team, farglass.member, farglass.item, farglass.change,"
                        + " farglass.presence TO " + quoted);
                s.execute("GRANT EXECUTE ON FUNCTION farglass.append(text, jsonb),"
                        + " farglass.present(text, text, text),"
                        + " farglass.forget(text, text, text, text, jsonb, jsonb) TO " + quoted);
            }
            c.commit();
        } catch (SQLException e) {
            throw TeamServer.failed(e);
        }
    }

    /** A login is of the team no more: it reads nothing from now on. What it has mirrored stays where it is. */
    public static void leave(TeamAddress address, String login) throws TeamException {
        try (Connection c = connect(address)) {
            c.setAutoCommit(false);
            try (PreparedStatement s = c.prepareStatement("DELETE FROM farglass.member WHERE login = ?")) {
                s.setString(1, login);
                s.executeUpdate();
            }
            try (Statement s = c.createStatement()) {
                String quoted = s.enquoteIdentifier(login, true);
                s.execute("REVOKE ALL ON ALL TABLES IN SCHEMA farglass FROM " + quoted);
                s.execute("REVOKE ALL ON ALL FUNCTIONS IN SCHEMA farglass FROM " + quoted);
                s.execute("REVOKE ALL ON SCHEMA farglass FROM " + quoted);
            }
            c.commit();
        } catch (SQLException e) {
            throw TeamServer.failed(e);
        }
    }

    /** Who is of the team, as far as the login may know. */
    public static List<Member> members(TeamAddress address) throws TeamException {
        try (Connection c = connect(address);
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("SELECT login, role, athlete FROM farglass.member ORDER BY login")) {
            List<Member> members = new ArrayList<>();
            while (r.next()) {
                members.add(new Member(r.getString(1), r.getString(2), r.getString(3)));
            }
            return members;
        } catch (SQLException e) {
            throw TeamServer.failed(e);
        }
    }
}
