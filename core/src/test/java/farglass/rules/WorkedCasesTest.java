package farglass.rules;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.Finding;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.phrase.Context;
import farglass.phrase.PhraseReader;
import farglass.phrase.Reading;
import farglass.time.Clock;
import farglass.time.MatchTime;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class WorkedCasesTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private static final PhraseReader READER = new PhraseReader(LEXICON);
    private static final long LENGTH = 120_000;
    /** What a hold can lack; all else was never one. */
    private static final Set<String> HELD = Set.of("hold", "stoppage", "end", "late", "not-seen");

    record Case(String title, String ruleset, List<String> phrases, List<String> expected) {
        @Override
        public String toString() {
            return title;
        }

        MatchRecord record() {
            MatchRecord r = MatchRecord.of(
                    "case",
                    new MatchRecord.Details(
                            null,
                            null,
                            null,
                            null,
                            "gi",
                            ruleset,
                            LENGTH,
                            MatchAthlete.of("a", "A", null, null),
                            MatchAthlete.of("b", "B", null, null),
                            null),
                    List.of(),
                    List.of());
            for (String line : phrases) {
                int blank = line.indexOf(' ');
                MatchTime t =
                        MatchTime.ofMs(Clock.parse(line.substring(0, blank)).orElseThrow());
                Context here =
                        new Context(r, t, PositionLine.of(r, LEXICON).current(t).orElse(null));
                Reading reading = READER.read(line.substring(blank + 1), here);
                assertThat(reading.complete())
                        .as(line + ": " + reading.problem())
                        .isTrue();
                r = Edit.addAll(r, reading.tags()).apply(r);
            }
            return r;
        }

        Score score() {
            return Scoring.of(record(), Rulesets.builtIn().of(ruleset, null).orElseThrow(), LEXICON);
        }
    }

    static List<Case> cases() throws IOException {
        List<Case> cases = new ArrayList<>();
        try (InputStream in = WorkedCasesTest.class.getResourceAsStream("cases.txt")) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                if (line.startsWith("== ")) {
                    String[] head = line.substring(3).split(" \\| ");
                    cases.add(new Case(head[0], head[1], new ArrayList<>(), new ArrayList<>()));
                } else if (!line.isBlank() && !line.startsWith("#")) {
                    Case last = cases.get(cases.size() - 1);
                    (Character.isDigit(line.charAt(0)) ? last.phrases() : last.expected()).add(line);
                }
            }
        }
        return cases;
    }

    private static List<String> explained(Score s) {
        List<String> lines = new ArrayList<>();
        s.awards()
                .forEach(a -> lines.add(String.format(
                        Locale.ROOT,
                        "award %s %s %d %s %s",
                        a.who().code(),
                        a.award(),
                        a.value(),
                        Clock.tenths(a.t().ms()),
                        Clock.tenths(a.confirmedAt().ms()))));
        s.near()
                .forEach(n -> lines.add(
                        HELD.contains(n.missing())
                                ? String.format(
                                        Locale.ROOT,
                                        "near %s %s %s %.1f",
                                        n.who().code(),
                                        n.award(),
                                        n.missing(),
                                        n.heldMs() / 1000.0)
                                : "no " + n.who().code() + " " + n.award() + " " + n.missing()));
        s.advantages().forEach(a -> lines.add("adv " + a.who().code() + " " + a.from()));
        s.penalties()
                .forEach(p -> lines.add("pen " + p.who().code() + " " + p.number() + " "
                        + p.effect().code()));
        s.findings().stream().map(Finding::code).forEach(c -> lines.add("finding " + c));
        return lines;
    }

    @ParameterizedTest
    @MethodSource("cases")
    void theScoreIsExplainedAsItShouldBe(Case c) {
        Score s = c.score();
        List<String> wanted = c.expected().stream()
                .filter(l -> !l.startsWith("score") && !l.startsWith("result"))
                .toList();
        assertThat(explained(s)).containsExactlyInAnyOrderElementsOf(wanted);
        for (String line : c.expected()) {
            if (line.startsWith("score ")) {
                assertThat("score " + s.points(Corner.A) + ":" + s.points(Corner.B) + " " + s.advantages(Corner.A) + ":"
                                + s.advantages(Corner.B))
                        .isEqualTo(line);
            } else if (line.startsWith("result ")) {
                String winner =
                        s.result().winner() == null ? "-" : s.result().winner().code();
                assertThat("result " + winner + " " + s.result().method().code())
                        .isEqualTo(line);
            }
        }
    }

    @Test
    void thereAreEnoughOfThemAndEveryRulesetHasSome() throws IOException {
        assertThat(cases()).hasSizeGreaterThanOrEqualTo(60);
        assertThat(cases()).extracting(Case::title).doesNotHaveDuplicates();
        assertThat(cases())
                .extracting(Case::ruleset)
                .contains(Rulesets.builtIn().all().stream().map(Ruleset::code).toArray(String[]::new));
    }

    @Test
    void whatIsGivenIsExplained() throws IOException {
        for (Case c : cases()) {
            Score s = c.score();
            assertThat(s.awards()).allSatisfy(a -> assertThat(a.why()).isNotBlank());
            assertThat(s.near()).allSatisfy(n -> assertThat(n.words()).isNotBlank());
            assertThat(s.scoreboard().get(s.scoreboard().size() - 1).a()).isEqualTo(s.points(Corner.A));
        }
    }

    static Stream<Ruleset> rulesets() {
        return Rulesets.builtIn().all().stream();
    }

    @ParameterizedTest
    @MethodSource("rulesets")
    void rulesetsSurviveARoundTrip(Ruleset r) throws RulesetException {
        assertThat(RulesetReader.read(RulesetReader.write(r))).isEqualTo(r);
    }
}
