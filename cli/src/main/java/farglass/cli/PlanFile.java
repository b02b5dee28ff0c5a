package farglass.cli;

import farglass.store.json.FormatException;
import farglass.store.json.ProposalReader;
import farglass.store.json.TextFile;
import java.io.IOException;
import java.nio.file.Path;

/** Reads plans on file; what cannot be read is said in one line with the file's name. */
final class PlanFile {
    private static final int MOST_MB = 32;

    private PlanFile() {}

    static String text(Path file) throws Unreadable {
        try {
            return TextFile.read(file, MOST_MB);
        } catch (IOException | FormatException e) {
            throw new Unreadable(file + ": cannot be read: " + e.getMessage());
        }
    }

    static ProposalReader proposal(Path file) throws Unreadable {
        try {
            return ProposalReader.read(text(file));
        } catch (FormatException e) {
            throw new Unreadable(file + ": " + e.getMessage());
        }
    }
}
