package farglass.store.bundle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.store.Samples;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BundleTest {
    @TempDir
    private Path folder;

    private Path zip(Object... namesAndTexts) throws IOException {
        Path file = folder.resolve("b.zip");
        try (OutputStream out = Files.newOutputStream(file);
                ZipOutputStream zip = new ZipOutputStream(out)) {
            for (int i = 0; i < namesAndTexts.length; i += 2) {
                zip.putNextEntry(new ZipEntry((String) namesAndTexts[i]));
                zip.write(
                        namesAndTexts[i + 1] instanceof byte[] b
                                ? b
                                : namesAndTexts[i + 1].toString().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return file;
    }

    @Test
    void recordsAndPlansComeBack() throws Exception {
        List<MatchRecord> records = DemoLibrary.matches(Lexicon.builtIn(), 3);
        Path file = folder.resolve("all.zip");
        new Bundle(records, List.of(Samples.plan())).write(file);
        assertThat(Bundle.isBundle(file)).isTrue();
        Bundle back = Bundle.read(file);
        assertThat(back.records()).containsExactlyInAnyOrderElementsOf(records);
        assertThat(back.plans()).containsExactly(Samples.plan());
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactly(file);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "../evil.match.json",
                "/etc/evil.match.json",
                "a/../../evil.match.json",
                "..\\evil.match.json",
                "C:evil.match.json"
            })
    void noPathLeadsOutside(String name) throws Exception {
        Path file = zip(Bundle.MARK, Bundle.FORMAT, name, MatchJson.write(Samples.record("m")));
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> Bundle.read(file))
                .withMessageContaining("leads outside");
    }

    @Test
    void anEntryThatUnpacksToTooMuchStopsTheReading() throws Exception {
        byte[] zeros = new byte[(int) Bundle.MAX_ENTRY_BYTES + 1];
        Arrays.fill(zeros, (byte) ' ');
        Path file = zip(Bundle.MARK, Bundle.FORMAT, "matches/a.match.json", zeros);
        assertThat(Files.size(file)).isLessThan(200_000);
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> Bundle.read(file))
                .withMessageContaining("more than 16 MB");
    }

    @Test
    void aBadDocumentInsideIsNamedWithItsEntry() throws Exception {
        String bad = MatchJson.write(Samples.record("m")).replace("\"STD\"", "5");
        Path file = zip(Bundle.MARK, Bundle.FORMAT, "matches/m.match.json", bad);
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> Bundle.read(file))
                .withMessageContaining("matches/m.match.json /tags/1/position");
    }

    @Test
    void otherZipsAndNewerBundlesAreRefused() throws Exception {
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> Bundle.read(zip("readme.txt", "hello")))
                .withMessageContaining("not a library bundle");
        assertThatExceptionOfType(FormatException.class)
                .isThrownBy(() -> Bundle.read(zip(Bundle.MARK, "farglass.library/7")))
                .withMessageContaining("farglass.library/7");
    }

    @Test
    void damageAnywhereGivesAnErrorOrTheWholeContentAndNeverAHang() throws Exception {
        Path file = folder.resolve("all.zip");
        List<MatchRecord> records = DemoLibrary.matches(Lexicon.builtIn(), 3).subList(0, 3);
        new Bundle(records, List.of()).write(file);
        byte[] good = Files.readAllBytes(file);
        for (long seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            byte[] bad = good.clone();
            if (seed % 2 == 0) {
                bad = Arrays.copyOf(good, random.nextInt(good.length));
            } else {
                for (int k = 0; k < 4; k++) {
                    bad[random.nextInt(bad.length)] ^= (byte) (1 + random.nextInt(255));
                }
            }
            Path damaged = Files.write(folder.resolve("damaged.zip"), bad);
            try {
                // what is read without complaint must be records that can be written
                Bundle.read(damaged).records().forEach(MatchJson::write);
            } catch (FormatException | IOException e) {
                assertThat(e.getMessage()).as("seed %d", seed).isNotBlank();
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"../x", ".hidden", "a/b\\c:d", "süß id", "", "試合"})
    void anyIdIsASafeFileName(String id) {
        assertThat(FileNames.of(id)).doesNotStartWith(".").matches("[A-Za-z0-9._-]{1,91}");
    }

    @Test
    void idsThatLookAlikeAsFileNamesKeepAFileEach() throws Exception {
        List<String> ids = List.of("m?", "m!", "試合", "大会", "A", "a", "x".repeat(300), "x".repeat(299), "m_");
        Path file = folder.resolve("alike.zip");
        new Bundle(ids.stream().map(Samples::record).toList(), List.of()).write(file);
        assertThat(Bundle.read(file).records()).extracting(MatchRecord::id).containsExactlyInAnyOrderElementsOf(ids);
    }
}
