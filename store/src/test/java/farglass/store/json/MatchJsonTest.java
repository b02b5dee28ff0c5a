package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.store.Samples;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MatchJsonTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    @Test
    void readsEveryFieldOfTheDocumentedExample() throws Exception {
        MatchRecord r = MatchJson.read(Samples.documented());
        assertThat(r.id()).isEqualTo("lantern-0412");
        assertThat(r.details().date()).hasToString("2031-04-12");
        assertThat(r.details().lengthMs()).isEqualTo(480_000);
        assertThat(r.athlete(Corner.A).marker()).isEqualTo("white, green patch");
        assertThat(r.details().result().method()).isEqualTo(Method.SUBMISSION);
        assertThat(r.details().result().at()).isEqualTo(MatchTime.ofMs(199_000));
        assertThat(r.clock().filmTimes(MatchTime.ofMs(113_000)))
                .containsExactly(FilmTime.ofMs(116_000), FilmTime.ofMs(126_000));
        Tag.Action sweep = (Tag.Action) r.tags().get(6);
        assertThat(sweep.sides()).containsExactly(Side.RIGHT, Side.LEFT);
        assertThat(sweep.answer()).isEqualTo("posture");
        Tag.Action choke = (Tag.Action) r.tags().stream()
                .filter(t -> t instanceof Tag.Action a && a.technique().equals("cross-collar-choke"))
                .findFirst()
                .orElseThrow();
        assertThat(choke.checks()).isEqualTo(Map.of("elbows-in", true, "head-to-mat", true));
        assertThat(choke.end()).isEqualTo(MatchTime.ofMs(199_000));
    }

    @Test
    void writesTheDocumentedExampleBackUnchanged() throws Exception {
        JsonNode before = JSON.readTree(Samples.documented());
        JsonNode after = JSON.readTree(MatchJson.write(MatchJson.read(Samples.documented())));
        assertThat(after).isEqualTo(before);
    }

    @Test
    void unknownFieldsSurviveAtEveryLevel() throws Exception {
        String text = Samples.documented()
                .replace("\"id\": \"lantern-0412\"", "\"id\": \"lantern-0412\", \"mood\": {\"x\": [1, 2.5, null]}")
                .replace("\"marker\": \"blue\"", "\"marker\": \"blue\", \"grade\": \"brown\", \"weightKg\": 57.5")
                .replace("\"type\": \"start\"", "\"type\": \"start\", \"weather\": \"fog\"")
                .replace("\"method\": \"submission\"", "\"method\": \"submission\", \"loud\": true")
                .replace("\"durationMs\": 241000", "\"durationMs\": 241000, \"lens\": 35");
        JsonNode after = JSON.readTree(MatchJson.write(MatchJson.read(text)));
        assertThat(after).isEqualTo(JSON.readTree(text));
    }

    @Test
    void whatATagHoldsBesidesIsKeptAsItIs() throws Exception {
        String text = Samples.documented()
                .replace(
                        "\"type\": \"start\"",
                        "\"type\": \"start\", \"wide\": 12345678901234567890, \"long\": 5000000000, \"part\": -0.25,"
                                + " \"deep\": {\"a\": [[], {\"b\": null}, true]}, \"none\": null, \"a1\": 1, \"a2\": 2, \"a3\": 3");
        MatchRecord r = MatchJson.read(text);
        assertThat(r.tags().get(0).info().extra())
                .containsEntry("long", 5_000_000_000L)
                .containsEntry("part", -0.25)
                .containsEntry("none", null)
                .containsKeys("wide", "deep", "a3");
        assertThat(JSON.readTree(MatchJson.write(r))).isEqualTo(JSON.readTree(text));
    }

    @Test
    void aFileThatIsNotThereIsSaidToBeMissing() {
        assertThatExceptionOfType(java.io.IOException.class)
                .isThrownBy(() -> MatchJson.read(java.nio.file.Path.of("no-such.match.json")))
                .withMessage("there is no such file");
    }

    /** A document that breaks off anywhere, as after a crash or a full disk elsewhere. */
    @Test
    void aDocumentThatBreaksOffIsRefusedWhereverItDoes() {
        String whole = Samples.documented().strip();
        for (int end = 0; end < whole.length(); end += 3) {
            String begin = whole.substring(0, end);
            assertThatExceptionOfType(FormatException.class)
                    .as("the first " + end + " characters")
                    .isThrownBy(() -> MatchJson.read(begin));
        }
    }

    @Test
    void aDocumentNestedWithoutEndIsRefused() {
        String text = Samples.documented()
                .replace(
                        "\"type\": \"start\"", "\"type\": \"start\", \"deep\": " + "[".repeat(5000) + "]".repeat(5000));
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> MatchJson.read(text))
                .withMessageContaining("nesting");
    }

    @Test
    void everyDemoRecordComesBackEqual() throws Exception {
        for (MatchRecord r : DemoLibrary.matches(Lexicon.builtIn(), 99)) {
            assertThat(MatchJson.read(MatchJson.write(r))).as(r.id()).isEqualTo(r);
        }
    }

    @Test
    void everyEditOfTheLogComesBackEqual() throws Exception {
        MatchRecord r = MatchJson.read(Samples.documented());
        for (farglass.match.Edit e : Samples.edits(r)) {
            assertThat(EditJson.read(EditJson.write(e, r))).isEqualTo(e);
        }
    }

    @Test
    void drawingsComeBackEqual() throws Exception {
        MatchRecord r = MatchJson.read(Samples.documented());
        MatchRecord drawn = r.withFilms(List.of(Drawings.add(
                r.films().get(0),
                FilmTime.ofMs(5_000),
                new Drawing.Mark(Drawing.Kind.RING, Corner.B, 0.25, 0.5, 0.75, 1, null))));
        assertThat(MatchJson.read(MatchJson.write(drawn))).isEqualTo(drawn);
    }

    @Test
    void unknownCodesOfTheLexiconAreKept() throws Exception {
        String text = Samples.documented().replace("\"scissor-sweep\"", "\"house-sweep\"");
        assertThat(MatchJson.write(MatchJson.read(text))).contains("\"house-sweep\"");
    }

    @Test
    void tagsStandOneOnALine() throws Exception {
        MatchRecord r = MatchJson.read(Samples.documented());
        long lines =
                MatchJson.write(r).lines().filter(l -> l.contains("\"type\"")).count();
        assertThat(lines).isEqualTo(r.tags().size());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "\"t\": 6400, \"type\": \"action\" | \"t\": -1, \"type\": \"action\" | /tags/2/t | negative",
                "\"t\": 6400, \"type\": \"action\" | \"t\": 6.5, \"type\": \"action\" | /tags/2/t | whole milliseconds",
                "\"t\": 6400, \"type\": \"action\" | \"t\": \"6400\", \"type\": \"action\" | /tags/2/t | whole milliseconds",
                "\"t\": 6400, \"type\": \"action\" | \"type\": \"action\" | /tags/2/t | missing",
                "\"t\": 6400, \"type\": \"action\" | \"t\": 1e300, \"type\": \"action\" | /tags/2/t | absurdly large",
                "\"outcome\": \"near\" | \"outcome\": \"nearly\" | /tags/6/outcome | completed, near, stuffed",
                "\"reached\": 2 | \"reached\": 0 | /tags/6/reached | from 1 to 4",
                "\"reached\": 2 | \"reached\": 5 | /tags/6/reached | from 1 to 4",
                "[\"right\", \"left\"] | [\"right\", \"up\"] | /tags/6/sides | left, right, both",
                "[\"right\", \"left\"] | 7 | /tags/6/sides | list is expected",
                "[\"right\", \"left\"] | [\"right\", {\"a\": 1, \"a\": 2}] | `` | line",
                "\"grip\": \"sleeve-same\", | \"grip\": \"sleeve-same\", \"grip\": \"lapel\", | `` | Duplicate field 'grip'",
                "\"tags\": [ | \"tags\": [7, | /tags/0 | an object is expected, found 7",
                "\"tags\": [ | \"tags\": {\"x\": [1]}, \"notes\": [ | /tags | list is expected",
                "\"tags\": [ | \"tags\": null, \"notes\": [ | /tags | missing",
                "\"type\": \"grip\" | \"type\": \"hug\" | /tags/4/type | is not one of start, position",
                "\"grip\": \"sleeve-same\", | `` | /tags/4/grip | missing",
                "\"until\": 24100 | \"until\": 100 | /tags/4/until | must not come before t",
                "\"for\": \"a\" | \"for\": \"c\" | /tags/7/for | not one of a, b",
                "\"punished\": false | \"punished\": 0 | /tags/8/punished | true or false",
                "\"date\": \"2031-04-12\" | \"date\": \"12.4.2031\" | /date | not a date like",
                "\"attire\": \"gi\" | \"attire\": \"kimono\" | /attire | gi, no-gi",
                "\"lengthMs\": 480000 | \"lengthMs\": 0 | /lengthMs | more than 0",
                "\"lengthMs\": 480000, | `` | /lengthMs | missing",
                "\"colour\": \"#2f5fa8\" | \"colour\": \"blue\" | /athletes/b/colour | colour like",
                "\"name\": \"Brisa Tolendt\", | `` | /athletes/a/name | missing",
                "\"kind\": \"stoppage\" | \"kind\": \"pause\" | /films/0/segments/2/kind | live, replay",
                "\"speed\": 0.5 | \"speed\": 0 | /films/0/segments/1 | speed",
                "\"fromMs\": 150000 | \"fromMs\": 1000 | /films/0/segments | overlap",
                "\"method\": \"submission\" | \"method\": \"luck\" | /result/method | not one of",
                "farglass.match/1 | farglass.match/9 | /format | is not farglass.match/1"
            })
    void aWrongFieldIsNamedByItsPath(String good, String bad, String path, String says) {
        String text = Samples.documented().replaceFirst(java.util.regex.Pattern.quote(good), bad == null ? "" : bad);
        assertThat(text).isNotEqualTo(Samples.documented());
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> MatchJson.read(text))
                .withMessageStartingWith(path == null ? "" : path)
                .withMessageContaining(says);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "`` | empty",
                "[] | object is expected",
                "{\"format\": | line 1",
                "{\"format\": \"farglass.match/1\", \"format\": \"x\"} | Duplicate",
                "{\"a\": NaN} | line 1",
                "{} {} | line 1",
                "null | object"
            })
    void whatIsNotARecordIsRefused(String text, String says) {
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> MatchJson.read(text == null ? "" : text))
                .withMessageContaining(says);
    }

    @Test
    void deepNestingIsRefusedBeforeItCostsAnything() {
        String deep = "[".repeat(100_000) + "]".repeat(100_000);
        assertThatExceptionOfType(FormatException.class).isThrownBy(() -> MatchJson.read(deep));
    }

    @Test
    void aFileIsReadAsItsTextIs(@TempDir Path folder) throws Exception {
        Path file = Files.writeString(folder.resolve("a.match.json"), Samples.documented());
        assertThat(MatchJson.read(file)).isEqualTo(MatchJson.read(Samples.documented()));
        assertThat(List.of(MatchJson.read(file).tags().get(0).type())).containsExactly("start");
    }
}
