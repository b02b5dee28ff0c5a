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
 * The log: what went wrong, in files that take turns. It holds no names and no paths, so that it can be sent to
 * somebody: of an exception it keeps what it is and where it came from and leaves out what it says, of other libraries'
 * lines where they came from.
 */
public final class LogFile {
    private static final int BYTES = 512 * 1024;
    private static final int FILES = 3;
    private static final String OURS = "farglass.";
    private static final int FRAMES = 15;
    private static final int CAUSES = 5;

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
        // says at every start that it was loaded from the class path, as it is meant to be
        Logger.getLogger("javafx").setLevel(Level.SEVERE);
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
            int causes = CAUSES;
            for (Throwable t = r.getThrown(); t != null && causes-- > 0; t = t.getCause()) {
                out.append("  ").append(t.getClass().getName()).append('\n');
                StackTraceElement[] trace = t.getStackTrace();
                for (int i = 0; i < Math.min(FRAMES, trace.length); i++) {
                    out.append("    at ").append(trace[i]).append('\n');
                }
            }
            return out.toString();
        }
    }
}
