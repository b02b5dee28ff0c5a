package farglass.print;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Writes a document beside its target first, then moves it into place, so that nothing half-written is left. */
final class PaperFile {
    private PaperFile() {}

    /** What draws the pages. */
    interface Drawing {
        void on(PDDocument document) throws IOException;
    }

    static void write(Path target, String title, Drawing drawing) throws IOException {
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try {
            try (PDDocument document = new PDDocument()) {
                document.getDocumentInformation().setTitle(title);
                drawing.on(document);
                document.save(part.toFile());
            }
            Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }
}
