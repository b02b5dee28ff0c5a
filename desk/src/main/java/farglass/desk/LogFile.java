package farglass.desk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.logging.FileHandler;
import java.util.logging.Formatter;
import java.util.logging.Level;
import java.util.logging.LogRecord;
import java.util.logging.Logger;

/**
 * The log: what went wrong, in files that take turns. It holds no names and no paths, so that it can be sent to somebody: of an
 * exception it keeps what it is and where it came from and leaves out what it says, of other libraries' lines where they came from.
 */
public final class LogFile {
    private static final int BYTES = 512 * 1024;
    private static final int FILES = 3;
    private static final String OURS = "farglass.";
    private static final int FRAMES = 30;

    private LogFile() {}

    /** Where the log lies. */
    static Path folder(Path home) {
        return home.resolve("logs");
    }

    /** Begins to write; without a log the program works all the same. */
    static void begin(Path home) {
        Logger root = Logger.getLogger("");
        for (var h : root.getHandlers()) {
            root.removeHandler(h);
        }
        root.setLevel(Level.WARNING);
        try {
            Files.createDirectories(folder(home));
            FileHandler handler =
                    new FileHandler(folder(home).resolve("farglass.%g.log").toString(), BYTES, FILES, true);
            handler.setFormatter(new Nameless());
            handler.setEncoding("UTF-8");
            root.addHandler(handler);
        } catch (IOException | SecurityException e) {
            System.err.println("No log can be written in " + folder(home) + ".");
        }
    }

    /** One line an event, and the frames of its exception. */
    static final class Nameless extends Formatter {
        @Override
        public String format(LogRecord r) {
            String source = r.getLoggerName() == null ? "" : r.getLoggerName();
            StringBuilder out = new StringBuilder()
                    .append(Instant.ofEpochMilli(r.getMillis()).truncatedTo(ChronoUnit.SECONDS))
                    .append(' ')
                    .append(r.getLevel().getName())
                    .append(' ')
                    .append(source)
                    .append(": ")
                    .append(source.startsWith(OURS) ? r.getMessage() : "(text left out)")
                    .append('\n');
            int left = FRAMES;
            for (Throwable t = r.getThrown(); t != null && left > 0; t = t.getCause()) {
                out.append("  ").append(t.getClass().getName()).append('\n');
                for (StackTraceElement e : t.getStackTrace()) {
                    if (left-- <= 0) {
                        break;
                    }
                    out.append("    at ").append(e).append('\n');
                }
            }
            return out.toString();
        }
    }
}
