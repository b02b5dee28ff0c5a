package farglass.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.Broadcast;
import farglass.simulate.DemoLibrary;
import farglass.store.json.MatchJson;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CliMainTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2031-04-12T12:00:00Z"), ZoneOffset.UTC);
    private static final List<MatchRecord> DEMO = DemoLibrary.matches(Lexicon.builtIn(), 5);

    @TempDir
    private Path folder;

    private static Ran run(Object... args) {
        return Ran.of(CLOCK, args);
    }

    private Path demoFolder() throws IOException {
        Path records = Files.createDirectories(folder.resolve("records"));
        for (MatchRecord r : DEMO) {
            Files.writeString(records.resolve(r.id() + ".match.json"), MatchJson.write(r));
        }
        return records;
    }

    @Test
    void importThenProfilePrintsCountsAndIntervals() throws Exception {
        Path records = demoFolder();
        Path library = folder.resolve("my.farglass");
        List<Path> two;
        try (Stream<Path> files = Files.list(records)) {
            two = files.sorted().limit(2).toList();
        }
        Ran imported = run("import", library, two.get(0), two.get(1));
        assertThat(imported.code()).isZero();
        assertThat(imported.json().get("imported")).hasSize(2);
        assertThat(imported.json().at("/imported/0/findings")).isEmpty();
        String athlete = MatchJson.read(two.get(0)).details().a().id();
        JsonNode profile =
                run("profile", "--library", library, "--athlete", athlete).json();
        assertThat(profile.get("matches").asInt()).isPositive();
        assertThat(profile.get("exposure")).isNotEmpty();
        for (JsonNode e : profile.get("exposure")) {
            assertThat(e.at("/share/lo").asDouble())
                    .isLessThanOrEqualTo(e.at("/share/mean").asDouble());
            assertThat(e.at("/share/tags")).isNotEmpty();
        }
    }

    @Test
    void theProfileHasEveryPartAndTheSameEveryTime() throws Exception {
        Path records = demoFolder();
        Object[] words = {"profile", "--library", records, "--athlete", "brisa-tolendt", "--as-of", "2031-05-03"};
        Ran first = run(words);
        assertThat(first.code()).isZero();
        JsonNode p = first.json();
        for (String part : List.of(
                "format",
                "athlete",
                "filters",
                "asOf",
                "matches",
                "exposure",
                "proportions",
                "rates",
                "sides",
                "transitions",
                "reactions",
                "dilemmas",
                "chains",
                "finishes",
                "dwell",
                "context",
                "neverSeen")) {
            assertThat(p.has(part)).as(part).isTrue();
        }
        assertThat(p.get("format").asText()).isEqualTo("farglass.profile/1");
        for (JsonNode e : p.get("proportions")) {
            for (String field :
                    List.of("x", "n", "raw", "mean", "lo", "hi", "level", "matches", "effective", "grade")) {
                assertThat(e.has(field)).as(field).isTrue();
            }
            assertThat(e.get("tags")).hasSize(e.get("n").asInt());
            assertThat(e.at("/tags/0").fieldNames()).toIterable().containsExactly("match", "tag");
        }
        for (String part : List.of("rates", "reactions", "finishes", "dwell", "context", "neverSeen", "claims")) {
            assertThat(p.get(part)).as(part).isNotEmpty();
        }
        assertThat(p.at("/rates/0").fieldNames())
                .toIterable()
                .contains("events", "exposureMs", "per10min", "lo", "hi", "tags");
        for (JsonNode row : p.get("reactions")) {
            int all = row.at("/answers/0/n").asInt();
            int seen = 0;
            for (JsonNode answer : row.get("answers")) {
                seen += answer.get("x").asInt();
            }
            assertThat(seen).as("answers to " + row.get("trigger")).isEqualTo(all);
        }
        for (JsonNode place : p.get("dwell")) {
            double last = 1;
            for (JsonNode point : place.get("curve")) {
                assertThat(point.get("s").asDouble()).isLessThanOrEqualTo(last);
                last = point.get("s").asDouble();
            }
            assertThat(place.get("exits")).isNotNull();
        }
        assertThat(p.at("/finishes/0").fieldNames()).toIterable().contains("technique", "setup", "n", "x", "medianMs");
        assertThat(first.out()).doesNotContain("NaN").doesNotContain("Infinity");
        assertThat(run(words).out()).isEqualTo(first.out());
        JsonNode gi = run("profile", "--library", records, "--athlete", "brisa-tolendt", "--attire", "gi")
                .json();
        assertThat(gi.get("matches").asInt()).isLessThan(p.get("matches").asInt());
    }

    @Test
    void theProfileIsWrittenAsTableAndOnPaper() throws Exception {
        Path records = demoFolder();
        Path csv = folder.resolve("claims.csv");
        Path dossier = folder.resolve("dossier.pdf");
        Path report = folder.resolve("report.pdf");
        Path game = folder.resolve("game.png");
        Ran ran = run(
                "profile",
                "--library",
                records,
                "--athlete",
                "odile-marrowen",
                "--csv",
                csv,
                "--dossier",
                dossier,
                "--report",
                report,
                "--game",
                game);
        assertThat(ran.code()).isZero();
        assertThat(Files.readAllBytes(game)).startsWith(new byte[] {(byte) 0x89, 'P', 'N', 'G'});
        JsonNode p = ran.json();
        List<String> lines = Files.readAllLines(csv);
        assertThat(lines.get(0)).startsWith("page,claim,sentence,unit,x,n,value,lo,hi");
        assertThat(lines).hasSizeGreaterThan(p.get("claims").size());
        assertThat(Files.readAllBytes(dossier)).startsWith("%PDF".getBytes(StandardCharsets.US_ASCII));
        assertThat(Files.readAllBytes(report)).startsWith("%PDF".getBytes(StandardCharsets.US_ASCII));
        Ran lost = run(
                "profile",
                "--library",
                records,
                "--athlete",
                "odile-marrowen",
                "--dossier",
                folder.resolve("no/d.pdf"));
        assertThat(lost.code()).isEqualTo(3);
        assertThat(lost.err()).contains("could not be written");
    }

    @Test
    void everyFormatIsWrittenAndTheBundleComesBack() throws Exception {
        Path records = demoFolder();
        Path bundle = folder.resolve("all.zip");
        assertThat(run("export", records, "--format", "bundle", bundle).code()).isZero();
        Path library = folder.resolve("from-bundle.farglass");
        assertThat(run("import", library, bundle).json().get("imported")).hasSize(DEMO.size());
        Path table = folder.resolve("tags.csv");
        run("export", library, "--format", "csv", table);
        assertThat(Files.readAllLines(table))
                .hasSize(1 + DEMO.stream().mapToInt(r -> r.tags().size()).sum());
        Path captions = folder.resolve("captions");
        run("export", library, "--format", "vtt", captions);
        assertThat(captions.resolve(DEMO.get(0).id() + ".vtt")).content().startsWith("WEBVTT");
        Path json = folder.resolve("json");
        assertThat(run("export", library, "--format", "json", json)
                        .json()
                        .get("matches")
                        .asInt())
                .isEqualTo(DEMO.size());
        assertThat(MatchJson.read(json.resolve(DEMO.get(0).id() + ".match.json")))
                .isEqualTo(DEMO.get(0));
    }

    @Test
    void aFrameIsWrittenExactlyAsShown() throws Exception {
        MatchRecord r = DEMO.get(0);
        ClockMap whole = Broadcast.of(r);
        ClockMap map = ClockMap.of(whole.segments().subList(0, 1));
        Path film = folder.resolve("f.mp4");
        Footage footage = new Footage(320, 180, 25);
        footage.make(r, map, Lexicon.builtIn(), film, x -> {}, () -> false);
        JsonNode info = run("film", "info", film).json();
        assertThat(info.fieldNames())
                .toIterable()
                .contains(
                        "width",
                        "height",
                        "frames",
                        "durationMs",
                        "codec",
                        "keyFrames",
                        "variableRate",
                        "audio",
                        "rotation");
        assertThat(info.get("frames").asInt()).isEqualTo(75);
        JsonNode guess = run("film", "map", film).json();
        assertThat(guess.at("/segments/0/kind").asText()).isEqualTo("live");
        assertThat(guess.at("/segments/0/confidence").asDouble()).isLessThan(0.5);
        assertThat(guess.get("shots").isArray()).isTrue();
        assertThat(guess.get("regions").findValuesAsText("what"))
                .as("no clock runs in three seconds")
                .doesNotContain("clock");
        assertThat(guess.get("score").isArray()).isTrue();
        assertThat(run("film", "map", film, "--box", "270,159,45,16").code())
                .as("a clock that never runs")
                .isEqualTo(3);
        Path png = folder.resolve("f.png");
        JsonNode frame = run("film", "frame", film, "--at", 1019, png).json();
        assertThat(frame.get("frame").asInt()).isEqualTo(25);
        assertThat(frame.get("ms").asInt()).isEqualTo(1000);
        BufferedImage got = ImageIO.read(png.toFile());
        BufferedImage drawn = footage.still(r, map, Lexicon.builtIn(), FilmTime.ofMs(1000));
        long off = 0;
        for (int y = 0; y < 180; y += 3) {
            for (int x = 0; x < 320; x += 3) {
                off += Math.abs((got.getRGB(x, y) >> 8 & 255) - (drawn.getRGB(x, y) >> 8 & 255));
            }
        }
        assertThat(off / (60.0 * 107)).as("mean difference of green").isLessThan(8);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "juggle",
                "score",
                "score x --ruleset chess",
                "check",
                "agree x",
                "agree x y --tolerance -3",
                "profile",
                "profile --library x",
                "profile --library x --athlete y --attire kimono",
                "profile --library x --athlete y --half-life -1",
                "profile --library x --athlete y --as-of tomorrow",
                "export x --format exe y",
                "film map x --box 1,2,3",
                "film map x --box 1,2,0,4",
                "film map x --direction sideways",
                "film frame x y --at -5"
            })
    void badArgumentsExitWith2AndPrintNothing(String line) {
        Ran ran = run((Object[]) (line.isEmpty() ? new String[0] : line.split(" ")));
        assertThat(ran.code()).isEqualTo(2);
        assertThat(ran.out()).isEmpty();
        assertThat(ran.err()).isNotBlank();
    }

    @Test
    void unreadableInputExitsWith3AndOneLine() throws Exception {
        Path bad = Files.writeString(folder.resolve("bad.match.json"), "{\"format\": 1}");
        Path library = folder.resolve("l.farglass");
        for (Ran ran : List.of(
                run("import", library, bad),
                run("import", library, folder.resolve("gone")),
                run("profile", "--library", bad, "--athlete", "x"),
                run("profile", "--library", demoFolder(), "--athlete", "nobody"),
                run("film", "info", bad),
                run("score", bad),
                run("check", bad),
                run("agree", bad, bad),
                run("film", "frame", bad, "--at", "0", folder.resolve("o.png")))) {
            assertThat(ran.code()).isEqualTo(3);
            assertThat(ran.out()).isEmpty();
            assertThat(ran.err().strip()).isNotEmpty().doesNotContain("\n").doesNotContain("Exception");
        }
        assertThat(library).as("a failed import makes no library").doesNotExist();
    }

    @Test
    void scoresAreWorkedOutExplainedAndComparedWithTheTable() throws Exception {
        List<MatchRecord> gi = DEMO.stream()
                .filter(r -> r.details().ruleset().equals("points-gi"))
                .limit(3)
                .toList();
        Path records = demoFolder();
        List<Object> args = new java.util.ArrayList<>(List.of("score"));
        gi.forEach(r -> args.add(records.resolve(r.id() + ".match.json")));
        Ran all = run(args.toArray());
        assertThat(all.code()).isZero();
        assertThat(all.json().get("files")).hasSize(3);
        for (JsonNode one : all.json().get("files")) {
            int sum = 0;
            for (JsonNode award : one.get("awards")) {
                sum += award.get("value").asInt();
                assertThat(award.get("why").asText()).isNotBlank();
            }
            assertThat(one.get("points").get("a").asInt()
                            + one.get("points").get("b").asInt())
                    .isEqualTo(sum);
            assertThat(one.get("scoreboard").get(0).get("t").asInt()).isZero();
        }
        JsonNode none =
                run("score", args.get(1), "--ruleset", "submission-only").json();
        assertThat(none.get("awards")).isEmpty();
        assertThat(none.get("result").get("method").asText()).isIn("draw", "submission");
    }

    @Test
    void findingsCarryTheirRepairsAndOneBadFileAmongManyIsListed() throws Exception {
        Path records = demoFolder();
        MatchRecord r = DEMO.get(0);
        List<farglass.match.Tag> twice = new java.util.ArrayList<>(r.tags());
        twice.add(new farglass.match.Tag.End(r.end().plus(500), farglass.match.TagInfo.NONE));
        Path doubtful = Files.writeString(folder.resolve("d.match.json"), MatchJson.write(r.withTags(twice)));
        Path bad = Files.writeString(folder.resolve("bad.match.json"), "{");
        Ran ran = run("check", doubtful, bad, records.resolve(DEMO.get(1).id() + ".match.json"));
        assertThat(ran.code()).isEqualTo(3);
        assertThat(ran.json().get("errors").get(0).get("file").asText()).endsWith("bad.match.json");
        JsonNode found = ran.json().get("files").get(0).get("findings");
        assertThat(found).anySatisfy(f -> {
            assertThat(f.get("code").asText()).isEqualTo("second-end");
            assertThat(f.get("repair").get(0).get("edit").asText()).isEqualTo("remove");
        });
    }

    @Test
    void twoRecordsOfOneMatchAreComparedAndThePlainNumbersAreNumbers() throws Exception {
        MatchRecord r = DEMO.get(0);
        Path one = Files.writeString(folder.resolve("1.match.json"), MatchJson.write(r));
        List<farglass.match.Tag> fewer = r.tags().stream()
                .filter(t -> !(t instanceof farglass.match.Tag.Action a) || a.t().ms() % 3 != 0)
                .toList();
        Path two = Files.writeString(folder.resolve("2.match.json"), MatchJson.write(r.withTags(fewer)));
        JsonNode same = run("agree", one, one).json();
        assertThat(same.get("kappa").asDouble()).isEqualTo(1);
        assertThat(same.get("f1").asDouble()).isEqualTo(1);
        JsonNode less = run("agree", one, two).json();
        assertThat(less.get("precision").asDouble()).isEqualTo(1);
        assertThat(less.get("recall").asDouble()).isLessThan(1);
        assertThat(less.get("onlyFirst")).hasSameSizeAs(less.get("differences"));
    }

    @Test
    void oneUnreadableFileAmongManyIsListedAndTheRestIsPrinted() throws Exception {
        Path records = demoFolder();
        Files.writeString(records.resolve("zz.match.json"), "{");
        Ran ran = run("profile", "--library", records, "--athlete", "brisa-tolendt");
        assertThat(ran.code()).isEqualTo(3);
        assertThat(ran.json().get("errors").get(0).asText()).contains("zz.match.json");
        assertThat(ran.json().get("matches").asInt()).isPositive();
    }

    @Test
    void importIsAllOrNothing() throws Exception {
        Path library = folder.resolve("l.farglass");
        Path good = Files.writeString(folder.resolve("g.match.json"), MatchJson.write(DEMO.get(0)));
        Path bad = Files.writeString(folder.resolve("b.match.json"), "[]");
        assertThat(run("import", library, good, bad).code()).isEqualTo(3);
        assertThat(run("import", library, good).code()).isZero();
        Ran again = run("import", library, good);
        assertThat(again.code()).isEqualTo(3);
        assertThat(again.err()).contains(DEMO.get(0).id()).contains("kept");
    }
}
