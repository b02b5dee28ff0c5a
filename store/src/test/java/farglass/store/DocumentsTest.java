package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.store.json.MatchJson;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DocumentsTest {
    @TempDir
    private Path folder;

    private static List<MatchRecord> demo() {
        return DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED);
    }

    private static List<byte[]> documents(List<MatchRecord> records) {
        List<byte[]> documents = new ArrayList<>();
        records.forEach(r -> documents.add(MatchJson.write(r).getBytes(StandardCharsets.UTF_8)));
        return documents;
    }

    @Test
    void recordsComeInTheOrderOfTheirDocuments() throws Exception {
        List<MatchRecord> records = demo();
        assertThat(Documents.matches(documents(records))).isEqualTo(records);
        assertThat(Documents.matches(List.of())).isEmpty();
    }

    @Test
    void oneDocumentThatCannotBeReadIsNamedAndNoneIsGiven() {
        List<byte[]> documents = documents(demo());
        String bad = new String(documents.get(17), StandardCharsets.UTF_8)
                .replaceFirst("\"outcome\":\"[a-z]+\"", "\"outcome\":\"lucky\"");
        documents.set(17, bad.getBytes(StandardCharsets.UTF_8));
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(() -> Documents.matches(documents))
                .withMessageContaining("/outcome")
                .withMessageContaining("\"lucky\" is not one of")
                .withMessageContaining("Nothing was changed")
                .withMessageContaining("backups");
    }

    /** Bytes that are no text, in the middle of a library: said, and the file is left as it is. */
    @Test
    void aLibraryWithBrokenBytesIsLeftAsItIs() throws Exception {
        Path file = folder.resolve("broken.farglass");
        try (Library library = Library.open(file, Samples.NOON)) {
            library.addAll(demo());
        }
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file);
                PreparedStatement s = c.prepareStatement("UPDATE match_record SET document = ? WHERE id = ?")) {
            s.setBytes(1, new byte[] {'{', '"', (byte) 0xc3, '(', '"', ':', '1', '}'});
            s.setString(2, demo().get(3).id());
            assertThat(s.executeUpdate()).isEqualTo(1);
        }
        byte[] before = Files.readAllBytes(file);
        try (Library library = Library.open(file, Samples.NOON)) {
            assertThatExceptionOfType(LibraryException.class)
                    .isThrownBy(library::matches)
                    .withMessageContaining("cannot be read")
                    .withMessageContaining("not JSON, line 1");
            assertThat(library.match(demo().get(4).id())).isPresent();
        }
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }
}
