package farglass.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.rules.RulesetReader;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.store.json.MatchJson;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The library as a file, from the command line. */
class LibraryCommandsTest {
    private static final Clock NOON = Clock.fixed(Instant.parse("2031-04-12T12:00:00Z"), ZoneOffset.UTC);

    @TempDir
    private Path folder;

    private Path library;
    private List<MatchRecord> records;

    private static Ran run(Object... args) {
        return Ran.of(NOON, args);
    }

    @BeforeEach
    void fill() throws Exception {
        library = folder.resolve("my.farglass");
        records = DemoLibrary.matches(Lexicon.builtIn(), 3).subList(0, 3);
        try (Library l = Library.open(library, NOON)) {
            l.addAll(records);
        }
    }

    @Test
    void idsCanBeListedAndAnUnknownOneIsAnsweredWithThem() throws Exception {
        JsonNode all = run("list", library).json();
        assertThat(all.get("matches")).hasSize(3);
        assertThat(all.get("rulesets")).extracting(r -> r.get("id").asText()).contains("points-gi");
        String known = all.get("athletes").get(0).get("id").asText();
        assertThat(run("list", library, "athletes").json().has("matches")).isFalse();
        Ran ran = run("profile", "--library", library, "--athlete", "nobody");
        assertThat(ran.code()).isEqualTo(CliMain.UNREADABLE);
        assertThat(ran.err()).contains("nobody", known).hasLineCount(1);
    }

    @Test
    void aBackupIsLaidBesideTheLibraryAndBroughtBack() throws Exception {
        String backup = run("backup", library).json().get("backup").asText();
        MatchRecord r = records.get(0);
        try (Library l = Library.open(library, NOON)) {
            l.apply(r.id(), Edit.remove(r, 0));
            l.setRemoved(records.get(1).id(), true);
        }
        JsonNode looked = run("restore", library, backup, "--look").json();
        assertThat(looked.get("differed").get("matches")).hasSize(2);
        assertThat(looked.get("kept").isNull()).isTrue();
        JsonNode one = run("restore", library, backup, "--match", r.id()).json();
        assertThat(one.get("restored").get(0).asText()).isEqualTo(r.id());
        try (Library l = Library.read(library, NOON)) {
            assertThat(l.match(r.id())).contains(r);
            assertThat(l.matches()).hasSize(2);
        }
        JsonNode all = run("restore", library, backup).json();
        assertThat(all.get("restored").asText()).isEqualTo("all");
        assertThat(Path.of(all.get("kept").asText())).exists();
        assertThat(run("list", library, "matches").json().get("matches")).hasSize(3);
        assertThat(run("verify", library).json().get("good").asBoolean()).isTrue();
    }

    @Test
    void aDamagedLibraryIsSaidToBe() throws Exception {
        run("backup", library);
        byte[] bytes = Files.readAllBytes(library);
        java.util.Arrays.fill(bytes, bytes.length / 2, bytes.length / 2 + 4096, (byte) 7);
        Files.write(library, bytes);
        Ran ran = run("verify", library);
        assertThat(ran.code()).isEqualTo(CliMain.UNREADABLE);
        assertThat(ran.json().get("faults")).isNotEmpty();
        assertThat(ran.json().get("backups").get(0).get("good").asBoolean()).isTrue();
    }

    @Test
    void anOpenLibraryIsReadAndNotWritten() throws Exception {
        try (Library open = Library.open(library, NOON)) {
            assertThat(open.readOnly()).isFalse();
            assertThat(run("list", library).code()).isZero();
            assertThat(run("backup", library).code()).isZero();
            Path out = folder.resolve("out.csv");
            Ran exported = run("export", library, "--format", "csv", out);
            assertThat(exported.code()).isZero();
            assertThat(exported.err()).contains("not noted in the library");
            assertThat(out).exists();
            assertThat(run("import", library, library).code()).isEqualTo(CliMain.UNREADABLE);
        }
    }

    @Test
    void whatAFileSaysDoesNotSteerTheTerminal() throws Exception {
        String nasty = MatchJson.write(records.get(0))
                .replaceFirst("\"id\": \"[^\"]*\"", "\"id\": \"a\\\\u001b[2J\\\\u202eb\"");
        Path file = Files.writeString(folder.resolve("n.match.json"), nasty);
        Ran read = run("check", file);
        assertThat(read.out()).doesNotContain("\u001b", "\u202e").contains("\\u202e");
        assertThat(read.json().get("files").get(0).get("id").asText()).isEqualTo("a\u001b[2J\u202eb");
        Path bad = Files.writeString(
                folder.resolve("b.match.json"), nasty.replace("points-gi\"", "\u001b[31m" + "x".repeat(5000)));
        Ran refused = run("score", bad);
        assertThat(refused.code()).isEqualTo(CliMain.UNREADABLE);
        assertThat(refused.err().strip()).hasSizeLessThan(300).hasLineCount(1).doesNotContain("\u001b");
    }

    @Test
    void everyCommandHasHelp() {
        for (String command :
                List.of("list", "profile", "plan", "film", "restore", "verify", "backup", "score", "export")) {
            Ran ran = run(command, "--help");
            assertThat(ran.code()).as(command).isZero();
            assertThat(ran.out()).as(command).startsWith("Usage: farglass " + command);
        }
    }

    @Test
    void theTeamsOwnRulesetsHoldOnTheCommandLineToo() throws Exception {
        String own = RulesetReader.write(
                        Rulesets.builtIn().of("points-gi", null).orElseThrow())
                .replace("\"points-gi\"", "\"house-rules\"");
        try (Library l = Library.open(library, NOON)) {
            l.set("ruleset house-rules /", own);
        }
        assertThat(run("list", library, "rulesets").json().get("rulesets"))
                .extracting(r -> r.get("id").asText())
                .contains("house-rules", "points-gi");
        Path file = Files.writeString(folder.resolve("a.match.json"), MatchJson.write(records.get(0)));
        assertThat(run("score", file, "--ruleset", "house-rules").code()).isEqualTo(CliMain.BAD_ARGUMENTS);
        Ran ran = run("score", file, "--ruleset", "house-rules", "--library", library);
        assertThat(ran.code()).isZero();
        assertThat(ran.json().get("ruleset").asText()).isEqualTo("house-rules");
    }
}
