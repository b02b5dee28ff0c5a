package farglass.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.plan.Approach;
import farglass.plan.Plan;
import farglass.simulate.DemoLibrary;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CampCommandsTest {
    @TempDir
    private static Path folder;

    private static Path plan;
    private static Path match;

    private record Ran(int code, JsonNode json, String err) {}

    @BeforeAll
    static void write() throws Exception {
        Path library = Files.createDirectory(folder.resolve("library"));
        for (MatchRecord r : DemoLibrary.matches(Lexicon.builtIn(), 5)) {
            Path file = library.resolve(r.id() + ".match.json");
            Files.writeString(file, MatchJson.write(r));
            if (r.cornerOf("ansa-kellivar").isPresent()
                    && r.cornerOf("brisa-tolendt").isPresent()) {
                match = file;
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        CliMain.run(
                new PrintStream(out, true, StandardCharsets.UTF_8),
                System.err,
                Clock.systemUTC(),
                "plan",
                "--library",
                library.toString(),
                "--us",
                "ansa-kellivar",
                "--them",
                "brisa-tolendt",
                "--ruleset",
                "submission-only",
                "--no-draws");
        plan = folder.resolve("plan.json");
        Files.write(plan, out.toByteArray());
    }

    private static Ran run(Object... args) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        int code = CliMain.run(
                new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8),
                Clock.systemUTC(),
                Stream.of(args).map(Object::toString).toArray(String[]::new));
        return new Ran(
                code,
                new ObjectMapper().readTree(out.toString(StandardCharsets.UTF_8)),
                err.toString(StandardCharsets.UTF_8));
    }

    @Test
    void minutesAreSharedOutAndLaidOnDays() throws Exception {
        Ran ran = run(
                "camp",
                "--plan",
                plan,
                "--from",
                "2031-03-02",
                "--event",
                "2031-05-03",
                "--minutes",
                40,
                "--days",
                "tue,thu");
        assertThat(ran.code()).as(ran.err()).isZero();
        JsonNode days = ran.json().get("days");
        assertThat(days.get(0).get("date").asText()).as("as it was asked for").isEqualTo("2031-03-04");
        int rounds = 0;
        for (JsonNode d : days) {
            assertThat(LocalDate.parse(d.get("date").asText()).getDayOfWeek().toString())
                    .isIn("TUESDAY", "THURSDAY");
            rounds += d.get("rounds").size();
        }
        int minutes = 0;
        for (JsonNode s : ran.json().get("skills")) {
            assertThat(s.get("skill").asText()).matches("[+-][a-z-]+");
            minutes += s.get("minutes").asInt();
        }
        assertThat(minutes).isEqualTo(ran.json().get("minutes").asInt()).isEqualTo(5 * rounds);
        assertThat(ran.json().get("gain").asDouble())
                .isPositive()
                .isLessThanOrEqualTo(ran.json().get("bound").asDouble() + 1e-9);
        assertThat(ran.json().get("care").asText()).contains("Tap early");
    }

    @Test
    void aComputedPlanIsHeldAgainstAMatch() throws Exception {
        Ran ran = run("debrief", "--plan", plan, "--match", match);
        assertThat(ran.code()).as(ran.err()).isZero();
        assertThat(ran.json().get("adherence")).hasSizeGreaterThan(3);
        assertThat(ran.json().at("/adherence/0/met").asBoolean()).isTrue();
        assertThat(ran.json().get("forecasts")).hasSizeGreaterThan(3);
        double sum = 0;
        for (JsonNode f : ran.json().get("forecasts")) {
            double p = f.get("p").asDouble();
            double o = f.get("outcome").asDouble();
            assertThat(f.get("brier").asDouble()).isEqualTo((p - o) * (p - o));
            sum += f.get("brier").asDouble();
        }
        assertThat(ran.json().get("brier").asDouble())
                .isEqualTo(sum / ran.json().get("forecasts").size(), org.assertj.core.data.Offset.offset(1e-12));
    }

    @Test
    void soIsOneMadeByHand() throws Exception {
        Path own = folder.resolve("own.json");
        Plan p = Plan.empty("p", "Plan", "ansa-kellivar", "brisa-tolendt")
                .open("at least a double leg")
                .follow("f1", "guard pull")
                .approach(Approach.USUAL.freeze(List.of(new Approach.Forecast("win", "Ansa wins", 0.5))));
        Files.writeString(own, PlanJson.write(p));
        Ran ran = run("debrief", "--plan", own, "--match", match);
        assertThat(ran.code()).as(ran.err()).isZero();
        assertThat(ran.json().get("adherence")).hasSize(2);
        assertThat(ran.json().at("/forecasts/0/brier").asDouble()).isEqualTo(0.25);
    }

    @ParameterizedTest
    @CsvSource({
        "camp --minutes 3 --days mon, 2, 3 minutes",
        "camp --minutes 40 --days someday, 2, someday",
        "camp --minutes 40 --plan MATCH, 3, farglass.match/1",
        "camp --minutes 40 --plan nowhere.json, 3, nowhere.json",
        "camp --minutes 40 --from spring, 2, spring",
        "debrief --match PLAN, 3, plan.json",
        "debrief --plan MATCH, 3, farglass.match/1"
    })
    void whatCannotBeDoneIsSaid(String words, int code, String named) throws Exception {
        List<Object> args = new java.util.ArrayList<>(List.of((Object[]) words.split(" ")));
        args.replaceAll(a -> a.equals("MATCH") ? match : a.equals("PLAN") ? plan : a);
        boolean camp = args.get(0).equals("camp");
        for (String option : camp ? List.of("--plan", "--from", "--event") : List.of("--plan", "--match")) {
            if (!args.contains(option)) {
                args.add(option);
                args.add(
                        switch (option) {
                            case "--plan" -> plan;
                            case "--match" -> match;
                            case "--from" -> "2031-04-01";
                            default -> "2031-05-03";
                        });
            }
        }
        Ran ran = run(args.toArray());
        assertThat(ran.code()).as(ran.err()).isEqualTo(code);
        assertThat(ran.err()).contains(named);
    }
}
