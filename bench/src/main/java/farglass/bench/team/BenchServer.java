package farglass.bench.team;

import farglass.store.server.TeamAddress;
import farglass.store.server.TeamException;
import farglass.store.server.TeamSetup;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * A PostgreSQL server that brings everything to the disk before it says so, and that can be killed and started again.
 */
final class BenchServer implements AutoCloseable {
    private static final long PATIENCE_S = 60;

    private final Path data;
    private final int port;
    private EmbeddedPostgres server;
    private Path program = Path.of("pg_ctl");

    /** @param folder a new one */
    BenchServer(Path folder) throws IOException, TeamException, SQLException {
        data = folder.resolve("server");
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        start();
        try (Connection c = server.getPostgresDatabase().getConnection();
                Statement s = c.createStatement()) {
            s.execute("CREATE DATABASE bay");
        }
        TeamSetup.make(address());
    }

    private void start() throws IOException {
        server = EmbeddedPostgres.builder()
                .setDataDirectory(data)
                .setCleanDataDirectory(false)
                .setPort(port)
                .setServerConfig("fsync", "on")
                .setServerConfig("full_page_writes", "on")
                .setServerConfig("synchronous_commit", "on")
                .start();
    }

    TeamAddress address() {
        return new TeamAddress("jdbc:postgresql://localhost:" + port + "/bay?user=postgres");
    }

    private ProcessHandle postmaster() throws IOException {
        long pid = Long.parseLong(
                Files.readAllLines(data.resolve("postmaster.pid")).get(0).strip());
        return ProcessHandle.of(pid).orElseThrow();
    }

    /** All of it ends at once, as if the power had failed but for what the system still writes. */
    void kill() throws IOException {
        ProcessHandle p = postmaster();
        program = Path.of(p.info().command().orElseThrow()).resolveSibling("pg_ctl");
        List<ProcessHandle> all = new ArrayList<>(p.descendants().toList());
        all.add(p);
        all.forEach(ProcessHandle::destroyForcibly);
        all.forEach(h -> h.onExit().join());
    }

    /** By the server's own tool: it looks through its log of what was written, and is as it was. */
    void startAgain() throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        if (System.getProperty("user.name").equals("root")) {
            // it does not run as root
            command.addAll(List.of("unshare", "-U"));
        }
        command.addAll(List.of(
                program.toString(),
                "-D",
                data.toString(),
                "-w",
                "-l",
                data.resolveSibling("server.log").toString(),
                "-o",
                "-p " + port + " -c fsync=on -c synchronous_commit=on",
                "start"));
        Process p = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(data.resolveSibling("start.log").toFile())
                .start();
        if (!p.waitFor(PATIENCE_S, TimeUnit.SECONDS) || p.exitValue() != 0) {
            throw new IOException("the server did not start again, see " + data.resolveSibling("start.log"));
        }
    }

    /** Every connection of the program's is cut, in the middle of whatever it does. */
    void cut() throws SQLException {
        one("SELECT count(pg_terminate_backend(pid)) FROM pg_stat_activity WHERE application_name = 'Far Glass'");
    }

    /** The one number that a query gives. */
    long one(String query) throws SQLException {
        try (Connection c = server.getDatabase("postgres", "bay").getConnection();
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery(query)) {
            r.next();
            return r.getLong(1);
        }
    }

    @Override
    public void close() throws IOException {
        kill();
    }
}
