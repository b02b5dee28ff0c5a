package farglass.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.simulate.DemoLibrary;
import farglass.store.json.MatchJson;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
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

    @Test
    void aFilmThatIsThereIsReadForItsClockAndScore() throws Exception {
        MatchRecord any = MatchJson.read(match);
        MatchRecord told = any.withTags(any.tags().stream()
                .filter(t -> t.t().ms() == 0 && !(t instanceof Tag.Action))
                .toList());
        List<Tag> tags = new ArrayList<>(told.tags());
        tags.add(new Tag.Call(MatchTime.ofMs(8000), CallKind.POINTS, Corner.A, 2, true, null, null, TagInfo.NONE));
        Path film = folder.resolve("match.mp4");
        ClockMap map = ClockMap.of(List.of(Segment.blank(0, 1000, Segment.Kind.OTHER), Segment.live(1000, 19_000, 0)));
        new Footage(640, 360, 25).make(told.withTags(tags), map, Lexicon.builtIn(), film, x -> {}, () -> false);
        Files.writeString(match, MatchJson.write(told.withFilms(List.of())));
        Path said = Files.writeString(folder.resolve("said.txt"), "0:10 Two points.\n");
        Ran r = run("draft", match, "--film", film, "--captions", said);
        assertThat(r.code()).isZero();
        List<JsonNode> drafts = new ArrayList<>();
        r.json().path("drafts").forEach(drafts::add);
        assertThat(drafts).anySatisfy(d -> {
            assertThat(d.path("source").asText()).isEqualTo("score");
            assertThat(d.path("tag").path("type").asText()).isEqualTo("call");
            assertThat(d.path("matchMs").asLong()).isBetween(7000L, 10_000L);
        });
        assertThat(drafts)
                .anySatisfy(d -> assertThat(d.path("tag").path("type").asText()).isEqualTo("end"));
        assertThat(run("draft", match).code()).as("nothing to draft from").isEqualTo(2);
        assertThat(run("draft", match, "--film", said).code()).as("no film").isEqualTo(3);
    }
}
