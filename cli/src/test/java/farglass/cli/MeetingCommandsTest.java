package farglass.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.store.json.MatchJson;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeetingCommandsTest {
    @TempDir
    private static Path folder;

    private record Ran(int code, JsonNode json, String err) {}

    @BeforeAll
    static void write() throws Exception {
        for (MatchRecord r : DemoLibrary.matches(Lexicon.builtIn(), 5)) {
            Files.writeString(folder.resolve(r.id() + ".match.json"), MatchJson.write(r));
        }
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

    private static Object[] with(Object command, Object... more) {
        List<Object> words = new java.util.ArrayList<>(
                List.of(command, "--library", folder, "--us", "ansa-kellivar", "--them", "odile-marrowen"));
        words.addAll(List.of(more));
        return words.toArray();
    }

    @Test
    void aPlanHasItsPartsAndEveryChanceIsOne() throws Exception {
        Ran ran = run(with("plan", "--ruleset", "submission-only", "--seed", 4));
        assertThat(ran.code()).isZero();
        JsonNode p = ran.json();
        for (String part :
                List.of("settings", "endings", "timeInState", "policy", "tree", "leverage", "seek", "avoid")) {
            assertThat(p.get(part)).as(part).isNotEmpty();
        }
        assertThat(p.get("assumptions")).isNotEmpty();
        for (String win : List.of("natural", "planned")) {
            assertThat(p.at("/" + win + "/win").asDouble())
                    .isBetween(
                            p.at("/" + win + "/lo").asDouble(),
                            p.at("/" + win + "/hi").asDouble());
        }
        assertThat(p.at("/answered/win").asDouble())
                .isGreaterThanOrEqualTo(p.at("/cautious/win").asDouble() - 1e-6);
        assertThat(p.at("/page/0/part").asText()).isEqualTo("IDEA");
        assertThat(p.at("/page/1/lines/0/tags/0/match").isTextual())
                .as("what stands on the page has its tags")
                .isTrue();
        assertThat(p.at("/policy/0/option").asText()).matches("hold|press .+");
        assertThat(p.at("/guide/0/helps").asDouble()).isGreaterThanOrEqualTo(0.8);
    }

    @Test
    void anOwnPlanIsValuedBesideTheComputedOne() throws Exception {
        Ran ran = run(with(
                "plan",
                "--ruleset",
                "submission-only",
                "--no-draws",
                "--own",
                "half guard sweep, never half guard sweep",
                "--own",
                "stay calm"));
        JsonNode own = ran.json().get("own");
        assertThat(own.get("natural").asDouble())
                .isCloseTo(ran.json().at("/natural/win").asDouble(), within(0.02));
        assertThat(own.get("win").asDouble()).isBetween(0.01, 0.99);
        assertThat(own.get("lo").isNull()).as("no draws were made").isTrue();
        assertThat(own.get("decisions")).hasSize(3);
        assertThat(own.at("/decisions/0/decisions/0/action").asText()).isEqualTo("press half-guard-sweep");
        assertThat(own.at("/decisions/0/tags")).isNotEmpty();
        assertThat(own.at("/decisions/1/never/0/technique").asText()).isEqualTo("half-guard-sweep");
        assertThat(own.at("/decisions/1/worth").isNumber()).isTrue();
        assertThat(own.at("/decisions/2/unvalued").asText()).isEqualTo("NO_ACTION");
        assertThat(own.at("/decisions/2/worth").isNull()).isTrue();
    }

    @Test
    void matchesAreSimulatedAndWritten() throws Exception {
        Path out = folder.resolve("made");
        Ran model = run(with("simulate", "--ruleset", "late-points", "--n", 40_000, "--seed", 2));
        Ran full = run(with(
                "simulate", "--ruleset", "late-points", "--n", 3_000, "--seed", 2, "--rules", "full", "--write", out));
        assertThat(model.code()).isZero();
        assertThat(full.json().get("n").asInt()).isEqualTo(3_000);
        double error = full.json().get("se").asDouble();
        assertThat(full.json().get("win").asDouble())
                .isCloseTo(model.json().get("win").asDouble(), within(4 * error + 0.01));
        try (Stream<Path> files = Files.list(out)) {
            List<Path> written = files.toList();
            assertThat(written).hasSize(1_000);
            MatchRecord r = MatchJson.read(written.get(0));
            assertThat(r.details().a().name()).isEqualTo("Ansa Kellivar");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "plan, --ruleset, chess, 2, chess",
        "simulate, --n, 0, 2, --n",
        "simulate, --rules, odd, 2, odd",
        "plan, --them, nobody, 3, nobody",
        "plan, --minutes, 99, 2, --minutes"
    })
    void whatCannotBeDoneIsSaid(String command, String option, String value, int code, String named) throws Exception {
        List<Object> words = new java.util.ArrayList<>(List.of(command, "--library", folder, "--us", "ansa-kellivar"));
        if (!option.equals("--them")) {
            words.addAll(List.of("--them", "odile-marrowen"));
        }
        if (!option.equals("--ruleset")) {
            words.addAll(List.of("--ruleset", "points-gi"));
        }
        if (command.equals("simulate") && !option.equals("--n")) {
            words.addAll(List.of("--n", 10));
        }
        words.addAll(List.of(option, value));
        Ran ran = run(words.toArray());
        assertThat(ran.code()).isEqualTo(code);
        assertThat(ran.err()).contains(named);
    }
}
