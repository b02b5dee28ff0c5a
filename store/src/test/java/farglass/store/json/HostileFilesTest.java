package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Ruleset;
import farglass.rules.RulesetException;
import farglass.rules.RulesetReader;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.RecordSource;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Ten thousand broken match files: each is read as what it says, or refused with the place that is wrong. */
class HostileFilesTest {
    private static final int FILES = 10_000;
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final String[] PIECES = {
        "null",
        "-1",
        "1e999",
        "\"\"",
        "[]",
        "{}",
        "true",
        "\"not-visible\"",
        "9223372036854775808",
        "\"\\u0000\"",
        "[[[[[[[[[[",
        "}",
        "\"a\"",
        "0.5",
        "NaN"
    };

    @TempDir
    private Path folder;

    /** A record with one tag of every type, short enough to be read ten thousand times. */
    private static String document() {
        MatchRecord r = DemoLibrary.matches(LEXICON, DemoLibrary.SEED).stream()
                .filter(x -> !x.films().isEmpty())
                .findFirst()
                .orElseThrow();
        List<Tag> few = new ArrayList<>();
        for (Tag t : r.tags()) {
            if (few.size() < 14 || t instanceof Tag.Stop || t instanceof Tag.Resume || t instanceof Tag.End) {
                few.add(t);
            }
        }
        return MatchJson.write(r.withTags(few));
    }

    private static String broken(String text, UniformRandomProvider rng) {
        StringBuilder s = new StringBuilder(text);
        for (int k = 1 + rng.nextInt(3); k > 0 && !s.isEmpty(); k--) {
            int at = rng.nextInt(s.length());
            int length = Math.min(s.length() - at, 1 + rng.nextInt(12));
            switch (rng.nextInt(6)) {
                case 0 -> s.setLength(at);
                case 1 -> s.delete(at, at + length);
                case 2 -> s.insert(at, PIECES[rng.nextInt(PIECES.length)]);
                case 3 -> s.setCharAt(at, (char) rng.nextInt(32, 127));
                case 4 -> s.insert(at, s.substring(at, at + length));
                default -> replaceValue(s, at, rng);
            }
        }
        return s.toString();
    }

    /** Puts something else in the place of a whole value, which stays well-formed more often. */
    private static void replaceValue(StringBuilder s, int from, UniformRandomProvider rng) {
        int colon = s.indexOf(": ", from);
        if (colon < 0) {
            colon = s.indexOf(":", from);
        }
        if (colon < 0) {
            return;
        }
        int end = colon + 1;
        while (end < s.length() && ",}]\n".indexOf(s.charAt(end)) < 0) {
            end++;
        }
        s.replace(colon + 1, end, PIECES[rng.nextInt(PIECES.length)]);
    }

    @Test
    void everyFileIsReadOrRefusedWithItsPlace() {
        String document = document();
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(41);
        int read = 0;
        int refused = 0;
        int placed = 0;
        for (int i = 0; i < FILES; i++) {
            String text = broken(document, rng);
            try {
                MatchRecord r = MatchJson.read(text);
                // what was taken in can be written and read again as the same
                assertThat(MatchJson.read(MatchJson.write(r))).as("file %d", i).isEqualTo(r);
                read++;
            } catch (FormatException e) {
                assertThat(e.getMessage()).as("file %d", i).isNotBlank().doesNotContain("Exception");
                placed += e.getMessage().startsWith("/") ? 1 : 0;
                refused++;
            } catch (RuntimeException e) {
                throw new AssertionError("file " + i + " of seed 41 broke the reader:\n" + text, e);
            }
        }
        assertThat(read).as("some are harmless").isGreaterThan(FILES / 50);
        assertThat(refused).isGreaterThan(FILES / 2);
        assertThat(placed).as("all refused ones name a place").isEqualTo(refused);
    }

    @Test
    void noneOfThemIsTakenInHalf() throws Exception {
        String document = document();
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(42);
        Path library = folder.resolve("l.farglass");
        Clock clock = Clock.systemUTC();
        for (int i = 0; i < 25; i++) {
            Path dir = Files.createDirectory(folder.resolve("d" + i));
            Files.writeString(dir.resolve("good.match.json"), document, StandardCharsets.UTF_8);
            Files.writeString(dir.resolve("bad.match.json"), broken(document, rng), StandardCharsets.UTF_8);
            RecordSource.Loaded loaded = RecordSource.load(dir, clock);
            assertThat(loaded.records().size() + loaded.errors().size()).isEqualTo(2);
            assertThat(loaded.errors()).allSatisfy(e -> assertThat(e).contains(".match.json"));
        }
        try (Library l = Library.open(library, clock)) {
            assertThat(l.matches()).isEmpty();
        }
    }

    @Test
    void brokenRulesetsAreRefusedWithTheirPlaceToo() {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(43);
        String document = RulesetReader.write(Rulesets.builtIn().all().get(0));
        int read = 0;
        for (int i = 0; i < 2000; i++) {
            String text = broken(document, rng);
            try {
                Ruleset r = RulesetReader.read(text);
                assertThat(RulesetReader.read(RulesetReader.write(r))).isEqualTo(r);
                read++;
            } catch (RulesetException e) {
                assertThat(e.getMessage()).startsWith("/").doesNotContain("Exception");
            } catch (RuntimeException e) {
                throw new AssertionError("ruleset " + i + " of seed 43 broke the reader:\n" + text, e);
            }
        }
        assertThat(read).isPositive();
    }

    @Test
    void aBrokenLibraryFileIsLeftAsItIs() throws IOException {
        Path file = Files.writeString(folder.resolve("x.farglass"), "no library at all");
        try (Library l = Library.open(file, Clock.systemUTC())) {
            throw new AssertionError("opened " + l.file());
        } catch (LibraryException e) {
            assertThat(e.getMessage()).contains("left as it is");
        }
        assertThat(file).hasContent("no library at all");
    }
}
