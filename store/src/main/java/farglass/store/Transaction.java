package farglass.store;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;

/**
 * Reads, checks and writes in one transaction, which holds the file from its beginning. Begun and ended by statement:
 * the driver's own way does not come back from a begin that the disk refuses.
 */
final class Transaction {
    private Transaction() {}

    /** Work on the library's rows. */
    interface Work<T> {
        T done() throws LibraryException;
    }

    /** What the work gave; when it throws, nothing has changed. */
    static <T> T of(Connection connection, Work<T> work) throws LibraryException, SQLException {
        try (Statement s = connection.createStatement()) {
            s.execute("BEGIN IMMEDIATE");
            boolean committed = false;
            try {
                T done = work.done();
                s.execute("COMMIT");
                committed = true;
                return done;
            } finally {
                if (!committed) {
                    rollBack(s);
                }
            }
        }
    }

    private static void rollBack(Statement s) {
        try {
            s.execute("ROLLBACK");
        } catch (SQLException ignored) {
            // the database has rolled back by itself
        }
    }
}
