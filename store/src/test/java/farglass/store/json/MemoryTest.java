package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.store.Samples;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a document may cost before it is refused. */
class MemoryTest {
    private static String with(String field) {
        String record = MatchJson.write(Samples.record("m"));
        return record.substring(0, record.lastIndexOf('}')) + ", " + field + "}";
    }

    private static byte[] bytes(String document) {
        return document.getBytes(StandardCharsets.UTF_8);
    }

    private static void refused(String document, String said) {
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> MatchJson.fromOutside(bytes(document)))
                .withMessageContaining(said);
    }

    @Test
    void whatTakesManyTimesItsTextInMemoryIsRefused() {
        refused(with("\"x\": [" + "0,".repeat(200_000) + "0]"), "Too many values in one field");
        refused(with("\"x\": {\"y\": [" + "{},".repeat(200_000) + "0]}"), "Too many values in one field");
        refused(with("\"x\": \"" + "a".repeat(17 << 20) + "\""), "larger than 16 MB");
        String tag = "{\"t\":0,\"type\":\"stop\"},";
        String tags =
                MatchJson.write(Samples.record("m")).replaceFirst("\"tags\": \\[", "\"tags\": [" + tag.repeat(100_000));
        refused(tags, "More than 100000 tags");
    }

    @Test
    void namesHaveAnEnd() throws Exception {
        String record = MatchJson.write(Samples.record("m"));
        refused(record.replace("Brisa Tolendt", "B".repeat(301)), "/athletes/b/name: longer than 300 characters");
        assertThat(MatchJson.fromOutside(bytes(record.replace("Brisa Tolendt", "B".repeat(300))))
                        .details()
                        .b()
                        .name())
                .hasSize(300);
    }

    @Test
    void ordinaryUnknownFieldsAreKept() throws Exception {
        String many = with("\"x\": [" + "0,".repeat(50_000) + "0]");
        assertThat(MatchJson.fromOutside(bytes(many)).extra()).containsKey("x");
    }

    @Test
    void whatALibraryHoldsIsReadHoweverLargeItIs() throws Exception {
        assertThat(MatchJson.read(MatchJson.write(Samples.record("m".repeat(400))))
                        .id())
                .hasSize(400);
        String large = with("\"x\": [" + "0,".repeat(200_000) + "0]");
        assertThat(MatchJson.read(large).extra()).containsKey("x");
    }

    @Test
    void noFileIsReadWithoutEnd(@TempDir Path folder) throws Exception {
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> MatchJson.read(Path.of("/dev/zero")))
                .withMessageContaining("larger than 16 MB");
        Path bad = Files.write(folder.resolve("x.match.json"), new byte[] {'{', '"', (byte) 0xff, '"'});
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> MatchJson.read(bad))
                .withMessageContaining("not UTF-8 text, byte 2");
    }
}
