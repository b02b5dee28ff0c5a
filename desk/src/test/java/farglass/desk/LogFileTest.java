package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.logging.Level;
import java.util.logging.LogRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LogFileTest {
    private static String line(String logger, String message, Throwable thrown) {
        LogRecord r = new LogRecord(Level.WARNING, message);
        r.setLoggerName(logger);
        r.setThrown(thrown);
        return new LogFile.Nameless().format(r);
    }

    @Test
    void whatWentWrongIsThereAndWhomItWasAboutIsNot() {
        Exception e = new IllegalStateException(
                "/home/ilse/brisa.farglass", new IOException("the film of Brisa Tolendt cannot be read"));
        String line = line("farglass.work.task.Tasks", "background work failed", e);
        assertThat(line)
                .contains(
                        "background work failed",
                        "java.lang.IllegalStateException",
                        "java.io.IOException",
                        "at farglass.desk.LogFileTest")
                .doesNotContain("Brisa", "ilse", "Tolendt");
        assertThat(line("org.other", "opened /home/ilse/brisa.farglass", null)).doesNotContain("brisa");
    }

    @Test
    void theReportHoldsVersionsAndTheLog(@TempDir Path home) throws Exception {
        Files.createDirectories(LogFile.folder(home));
        Files.writeString(LogFile.folder(home).resolve("farglass.1.log"), "older\n");
        Files.writeString(LogFile.folder(home).resolve("farglass.0.log"), "newer\n");
        Path target = home.resolve("report.txt");
        ReportFile.write(target, home, null);
        assertThat(target).content().contains("java.version", "os.name").containsSubsequence("older", "newer");
    }
}
