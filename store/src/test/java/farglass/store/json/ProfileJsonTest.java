package farglass.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.lexicon.Lexicon;
import farglass.match.Role;
import farglass.profile.Claim;
import farglass.profile.ClaimWriter;
import farglass.profile.Profile;
import farglass.profile.Question;
import farglass.profile.Tables;
import farglass.simulate.DemoLibrary;
import farglass.store.WholeFile;
import farglass.store.table.ClaimTable;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import farglass.tendency.Moment;
import farglass.tendency.Opponents;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A profile as a document and as a table, read back by libraries of their own. */
class ProfileJsonTest {
    private static final LibraryIndex INDEX =
            LibraryIndex.of(DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED), Lexicon.builtIn());

    private static JsonNode document(Filter f) throws Exception {
        Profile p = Profile.of(INDEX, "odile-marrowen", f, 1);
        return new ObjectMapper().readTree(new ProfileJson(p, Tables.of(p, 1)).text());
    }

    @Test
    void everyNumberHasItsCountsItsIntervalAndItsTags() throws Exception {
        JsonNode d = document(Filter.ALL);
        for (String part : List.of("proportions", "sides", "context", "claims", "guards", "openings")) {
            assertThat(d.get(part)).as(part).isNotEmpty();
            for (JsonNode row : d.get(part)) {
                assertThat(row.hasNonNull("claim")).as(part).isTrue();
                assertThat(row.hasNonNull("sentence")).as(part).isTrue();
                assertThat(row.hasNonNull("grade")).as(part + row).isTrue();
                assertThat(row.has("lo") && row.has("hi") && row.has("tags"))
                        .as(part)
                        .isTrue();
                if (row.hasNonNull("check")) {
                    assertThat(row.get("check").fieldNames()).toIterable().containsExactly("lo", "hi");
                }
                if (row.hasNonNull("lo") && row.hasNonNull("hi")) {
                    assertThat(row.get("lo").asDouble())
                            .isLessThanOrEqualTo(row.get("hi").asDouble());
                }
            }
        }
    }

    @Test
    void theReportTellsItsSentencesWithClaimsTagsAndGrade() throws Exception {
        JsonNode d = document(Filter.ALL);
        JsonNode report = d.get("report");
        assertThat(report.fieldNames()).toIterable().containsExactly("sections", "dangers", "openings");
        int asserted = 0;
        for (JsonNode section : report.get("sections")) {
            assertThat(section.get("name").asText()).isNotBlank();
            assertThat(section.get("sentences")).isNotEmpty();
            for (JsonNode s : section.get("sentences")) {
                assertThat(s.fieldNames()).toIterable().containsExactly("text", "claims", "tags", "grade");
                assertThat(s.get("text").asText()).endsWith(".");
                assertThat(s.get("grade").asText()).isIn("strong", "fair", "thin");
                asserted += s.get("claims").isEmpty() ? 0 : 1;
            }
        }
        assertThat(asserted).isGreaterThan(6);
        for (JsonNode danger : report.get("dangers")) {
            assertThat(danger.fieldNames()).toIterable().containsExactly("text", "worth", "answer", "tags");
            assertThat(danger.get("worth").asDouble()).isPositive();
            assertThat(danger.get("tags")).isNotEmpty();
        }
    }

    @Test
    void sequencesStandWithTheirStepsWhetherOrNotTheyAreMoreThanChance() throws Exception {
        JsonNode d = document(Filter.ALL);
        assertThat(d.get("sequences")).isNotEmpty();
        for (JsonNode s : d.get("sequences")) {
            assertThat(s.get("onward")).hasSize(s.get("steps").size() - 1);
            assertThat(s.get("tags")).hasSize(s.get("exchanges").asInt());
            assertThat(s.get("moreThanChance").isBoolean()).isTrue();
            int last = s.get("onward").size() - 1;
            assertThat(s.get("onward").get(last).get("x").asInt())
                    .isEqualTo(s.get("exchanges").asInt());
        }
    }

    @Test
    void techniquesHaveTheirLadderAndSidesTheirWord() throws Exception {
        JsonNode d = document(Filter.ALL);
        boolean named = false;
        for (JsonNode row : d.get("proportions")) {
            if (row.hasNonNull("technique")) {
                named = true;
                assertThat(row.get("ladder")).hasSize(4);
                assertThat(row.hasNonNull("family")).isTrue();
                int rungs = 0;
                for (JsonNode n : row.get("ladder")) {
                    rungs += n.asInt();
                }
                assertThat(rungs).isLessThanOrEqualTo(row.get("n").asInt());
            }
        }
        assertThat(named).isTrue();
        for (JsonNode row : d.get("sides")) {
            assertThat(row.get("pRight").asDouble()).isBetween(0.0, 1.0);
            assertThat(row.get("word").asText()).matches("[a-z-]+");
        }
    }

    @Test
    void transitionsFromAPlaceAddUpToItsExits() throws Exception {
        JsonNode d = document(Filter.ALL);
        Set<String> stands = new HashSet<>();
        for (JsonNode t : d.get("transitions")) {
            stands.add(t.get("from").asText() + " " + t.get("role").asText());
        }
        for (String stand : stands) {
            int x = 0;
            int n = 0;
            for (JsonNode t : d.get("transitions")) {
                if (stand.equals(t.get("from").asText() + " " + t.get("role").asText())) {
                    x += t.get("x").asInt();
                    n = t.get("n").asInt();
                }
            }
            assertThat(x).as(stand).isEqualTo(n);
        }
    }

    @Test
    void theFilterIsToldAndAnEmptyOneGivesEmptyListsAndNoNumberThatIsNone() throws Exception {
        Filter narrow = Filter.ALL
                .attire("no-gi")
                .dates(LocalDate.of(2029, 1, 1), LocalDate.of(2030, 1, 1))
                .opponents(new Opponents(Set.of("juno-fastrel"), "left", null, null, null))
                .moment(new Moment(Role.GUARD, Moment.Standing.BEHIND, Moment.Part.LAST_TWO_MINUTES));
        JsonNode d = document(narrow);
        JsonNode f = d.get("filters");
        assertThat(f.get("attire").asText()).isEqualTo("no-gi");
        assertThat(f.get("from").asText()).isEqualTo("2029-01-01");
        assertThat(f.get("opponents").get(0).asText()).isEqualTo("juno-fastrel");
        assertThat(f.get("lead").asText()).isEqualTo("left");
        assertThat(f.get("score").asText()).isEqualTo("behind");
        assertThat(f.get("clock").asText()).isEqualTo("last-two-minutes");
        assertThat(d.get("matches").asInt()).isZero();
        assertThat(d.get("claims")).isEmpty();
        assertThat(d.get("dwell")).isEmpty();
        assertThat(d.toString()).doesNotContain("NaN").doesNotContain("Infinity");
    }

    @Test
    void theTableHasEveryClaimOfEveryPageOnce() throws Exception {
        Profile p = Profile.of(INDEX, "odile-marrowen", Filter.ALL, 1);
        StringWriter out = new StringWriter();
        ClaimTable.write(p, out);
        Set<String> wanted = new HashSet<>();
        for (Question q : Question.values()) {
            p.page(q).claims().forEach(c -> wanted.add(c.id()));
        }
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(out.toString()))
                .getRecords();
        assertThat(rows).hasSize(wanted.size());
        assertThat(rows).extracting(r -> r.get("claim")).doesNotHaveDuplicates();
        ClaimWriter writer = new ClaimWriter(Locale.ENGLISH);
        Claim first = p.page(Question.GUARDS).claims().get(0);
        CSVRecord row = rows.stream()
                .filter(r -> r.get("claim").equals(first.id()))
                .findFirst()
                .orElseThrow();
        assertThat(row.get("sentence")).isEqualTo(writer.sentence(first));
        assertThat(Double.parseDouble(row.get("value")))
                .isEqualTo(first.estimate().mean());
        assertThat(row.get("tags").split(" ")).hasSize(first.trials().size());
        assertThat(row.get("page")).isEqualTo("Guards");
    }

    @Test
    void aFileIsThereWholeOrNotAtAll(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("a.txt");
        WholeFile.write(file, "first");
        WholeFile.write(file, "second");
        assertThat(file).hasContent("second");
        Path taken = Files.createDirectory(folder.resolve("taken"));
        Files.writeString(taken.resolve("x"), "x");
        assertThatIOException().isThrownBy(() -> WholeFile.write(taken, "third"));
        assertThatIOException().isThrownBy(() -> WholeFile.write(folder.resolve("no/b.txt"), "fourth"));
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactlyInAnyOrder(file, taken);
        }
    }
}
