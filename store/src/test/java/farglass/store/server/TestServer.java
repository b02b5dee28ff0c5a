package farglass.store.server;

import farglass.team.TeamRole;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.concurrent.atomic.AtomicInteger;

/** A real PostgreSQL server, started once for all tests of a process; every test has a database of its own. */
public final class TestServer {
    private static final AtomicInteger NUMBER = new AtomicInteger();

    private TestServer() {}

    private static final class Started {
        private static final EmbeddedPostgres SERVER = start();

        private static EmbeddedPostgres start() {
            try {
                EmbeddedPostgres server = EmbeddedPostgres.builder().start();
                Runtime.getRuntime().addShutdownHook(new Thread(() -> {
                    try {
                        server.close();
                    } catch (IOException e) {
                        // it goes with the process
                    }
                }));
                return server;
            } catch (IOException e) {
                throw new IllegalStateException("the test's server did not start", e);
            }
        }
    }

    /** A new database with a team's library in it, whose owner is the login {@code postgres}. */
    public static TeamAddress team() throws TeamException {
        String name = "team" + NUMBER.incrementAndGet();
        run("postgres", "postgres", "CREATE DATABASE " + name);
        TeamAddress address = address(name, "postgres");
        TeamSetup.make(address);
        return address;
    }

    static int port() {
        return Started.SERVER.getPort();
    }

    /** The address of a database for a login. */
    static TeamAddress address(String database, String login) {
        return new TeamAddress(
                "jdbc:postgresql://localhost:" + Started.SERVER.getPort() + "/" + database + "?user=" + login);
    }

    /** Cuts every connection of programs to a team. */
    public static void cut(TeamAddress of) {
        run(
                database(of),
                "postgres",
                "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE application_name = 'Far Glass'"
                        + " AND datname = current_database()");
    }

    static String database(TeamAddress of) {
        return of.url().replaceFirst(".*/", "").replaceFirst("\\?.*", "");
    }

    /** A login of the server that is of the team of an address. */
    public static TeamAddress member(TeamAddress owner, String login, TeamRole role, String athlete)
            throws TeamException {
        String own = login + NUMBER.incrementAndGet();
        run("postgres", "postgres", "CREATE ROLE " + own + " LOGIN");
        TeamSetup.member(owner, own, role, athlete);
        return address(database(owner), own);
    }

    static Connection connect(String database, String login) throws SQLException {
        return Started.SERVER.getDatabase(login, database).getConnection();
    }

    static void run(String database, String login, String sql) {
        try (Connection c = connect(database, login);
                Statement s = c.createStatement()) {
            s.execute(sql);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }
}
