package farglass.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.match.MatchRecord;
import farglass.store.bundle.Bundle;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RecordSourceTest {
    @TempDir
    private Path folder;

    private Path write(String name, String text) throws Exception {
        return Files.writeString(folder.resolve(name), text);
    }

    @Test
    void aFolderGivesWhatCanBeReadAndSaysWhatCannot() throws Exception {
        write("1.match.json", MatchJson.write(Samples.record("m1")));
        write("2.match.json", MatchJson.write(Samples.record("m1")));
        write("3.match.json", "{");
        write("4.match.json", MatchJson.write(Samples.record("m4")));
        write("notes.txt", "not a match");
        RecordSource.Loaded loaded = RecordSource.load(folder, Samples.NOON);
        assertThat(loaded.records()).extracting(MatchRecord::id).containsExactly("m1", "m4");
        assertThat(loaded.errors()).hasSize(2);
        assertThat(loaded.errors().get(0)).contains("2.match.json", "m1", "ignored");
        assertThat(loaded.errors().get(1)).contains("3.match.json", "not JSON");
    }

    @Test
    void aFileABundleAndALibraryGiveTheSame() throws Exception {
        MatchRecord r = Samples.record("m1");
        Path json = write("m1.match.json", MatchJson.write(r));
        Path zip = folder.resolve("b.zip");
        new Bundle(List.of(r), List.of()).write(zip);
        Path file = folder.resolve("l.farglass");
        try (Library library = Library.open(file, Samples.NOON)) {
            library.add(r);
        }
        for (Path p : List.of(json, zip, file)) {
            assertThat(RecordSource.load(p, Samples.NOON).records())
                    .as(p.toString())
                    .containsExactly(r);
        }
    }

    @Test
    void whatIsNotThereIsSaidAndNotMade() {
        Path gone = folder.resolve("gone.farglass");
        assertThatExceptionOfType(LibraryException.class)
                .isThrownBy(() -> RecordSource.load(gone, Samples.NOON))
                .withMessageContaining("no such file");
        assertThat(gone).doesNotExist();
    }

    @Test
    void aPlanComesBackEqual() throws Exception {
        assertThat(PlanJson.read(PlanJson.write(Samples.plan()))).isEqualTo(Samples.plan());
        assertThat(PlanJson.readAssignment(PlanJson.write(Samples.assignment("a"))))
                .isEqualTo(Samples.assignment("a"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "farglass.plan/1 | farglass.plan/2 | /format",
                "\"fair\" | \"good\" | /pinned/0/grade",
                "\"who\" : \"them\" | \"who\" : \"ref\" | /tree/0/next/0/who",
                "\"us\" : | \"uz\" : | /us"
            })
    void aWrongPlanIsNamedByItsPath(String good, String bad, String path) {
        String text = PlanJson.write(Samples.plan()).replaceFirst(java.util.regex.Pattern.quote(good), bad);
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> PlanJson.read(text))
                .withMessageStartingWith(path);
    }
}
