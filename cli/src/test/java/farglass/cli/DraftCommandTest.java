package farglass.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.store.json.MatchJson;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DraftCommandTest {
    @TempDir
    private Path folder;

    private Path match;

    private static Ran run(Object... args) {
        return Ran.of(Clock.systemUTC(), args);
    }

    @BeforeEach
    void write() throws Exception {
        MatchRecord r = DemoLibrary.matches(Lexicon.builtIn(), 5).stream()
                .filter(x -> x.cornerOf("ansa-kellivar").isPresent()
                        && x.cornerOf("brisa-tolendt").isPresent())
                .findFirst()
                .orElseThrow();
        match = folder.resolve("m.match.json");
        Files.writeString(match, MatchJson.write(r));
    }

    @Test
    void whatWasSaidIsPrintedAsDrafts() throws Exception {
        Path said = Files.writeString(
                folder.resolve("said.txt"),
                "0:12 Brisa pulls guard.\n0:30 Ansa tries the toreando but Brisa blocks it.\n");
        Ran r = run("draft", match, "--captions", said);
        assertThat(r.code()).isZero();
        JsonNode json = r.json();
        assertThat(json.path("format").asText()).isEqualTo("farglass.draft/1");
        assertThat(json.path("drafts")).isNotEmpty();
        JsonNode first = json.path("drafts").get(0);
        assertThat(first.path("tag").path("technique").asText()).isEqualTo("guard-pull");
        assertThat(first.path("source").asText()).isEqualTo("captions");
        assertThat(first.path("confidence").asDouble()).isBetween(0.3, 1.0);
        assertThat(first.path("text").asText()).isEqualTo("Brisa pulls guard.");
        assertThat(first.has("filmMs")).isTrue();
        assertThat(json.path("drafts").get(1).path("tag").path("outcome").asText())
                .isEqualTo("stuffed");
    }

    @Test
    void whatIsNoTimedTextIsSaidInOneLineAndChangesNothing() throws Exception {
        String before = Files.readString(match);
        Path none = Files.writeString(folder.resolve("none.txt"), "nothing with a time");
        Ran r = run("draft", match, "--captions", none);
        assertThat(r.code()).isEqualTo(3);
        assertThat(r.out()).isEmpty();
        assertThat(r.err().strip().lines()).singleElement().asString().contains("no line with a time");
        assertThat(run("draft", match, "--captions", none, "--lag", "-5").code())
                .isEqualTo(2);
        assertThat(run("draft", match, "--captions", none, "--film", "other.mp4")
                        .code())
                .isEqualTo(2);
        assertThat(Files.readString(match)).isEqualTo(before);
    }
}
