package farglass.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.check.CodeCheck;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Method;
import farglass.match.PositionLine;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.List;
import org.junit.jupiter.api.Test;

class DemoLibraryTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();
    private final List<MatchRecord> library = DemoLibrary.matches(LEXICON, DemoLibrary.SEED);

    @Test
    void hasEnoughMatchesOfEverybody() {
        assertThat(library)
                .hasSizeGreaterThanOrEqualTo(24)
                .extracting(MatchRecord::id)
                .doesNotHaveDuplicates();
        for (String id : List.of("ansa-kellivar", "brisa-tolendt", "odile-marrowen", "juno-fastrel")) {
            assertThat(library.stream().filter(r -> r.cornerOf(id).isPresent()))
                    .as(id)
                    .hasSizeGreaterThanOrEqualTo(9);
        }
        assertThat(library.stream().filter(r -> !r.films().isEmpty())).hasSize(DemoLibrary.FILMED);
        assertThat(library).extracting(r -> r.details().attire()).contains("gi", "no-gi");
    }

    @Test
    void isTheSameEveryTimeAndAnotherForAnotherSeed() {
        assertThat(DemoLibrary.matches(LEXICON, DemoLibrary.SEED)).isEqualTo(library);
        assertThat(DemoLibrary.matches(LEXICON, 2)).isNotEqualTo(library);
    }

    @Test
    void usesOnlyWordsOfTheLexicon() {
        assertThat(library)
                .allSatisfy(r -> assertThat(CodeCheck.findings(r, LEXICON)).isEmpty());
    }

    @Test
    void everyActionStartsWhereItsTechniqueMay() {
        for (MatchRecord r : library) {
            PositionLine line = PositionLine.of(r.withFilms(List.of()), LEXICON);
            for (int i = 0; i < r.tags().size(); i++) {
                if (r.tags().get(i) instanceof Tag.Action a) {
                    int index = i;
                    Span here = line.spans().stream()
                            .filter(s -> s.from().compareTo(a.t()) <= 0 && s.tag() < index)
                            .reduce((x, y) -> y)
                            .orElseThrow();
                    assertThat(LEXICON.technique(a.technique()).orElseThrow().from())
                            .as("%s: %s at %s", r.id(), a.technique(), a.t())
                            .contains(here.position());
                }
            }
        }
    }

    @Test
    void resultsFollowFromTheTags() {
        for (MatchRecord r : library) {
            var result = r.details().result();
            assertThat(result.at()).isEqualTo(r.end());
            if (result.method() == Method.SUBMISSION) {
                Tag.Action last = (Tag.Action) r.tags().stream()
                        .filter(t -> t instanceof Tag.Action a && a.completed())
                        .reduce((x, y) -> y)
                        .orElseThrow();
                assertThat(last.technique()).isEqualTo(result.technique());
                assertThat(last.by()).isEqualTo(result.winner());
            } else if (result.method() == Method.POINTS) {
                int lead =
                        points(r, result.winner()) - points(r, result.winner().other());
                assertThat(lead).as(r.id()).isPositive();
            }
        }
    }

    private static int points(MatchRecord r, Corner who) {
        return r.tags().stream()
                .filter(t -> t instanceof Tag.Call c && c.who() == who && c.value() != null)
                .mapToInt(t -> ((Tag.Call) t).value())
                .sum();
    }

    @Test
    void noTechniqueIsUsedWhereItsRulesForbidIt() {
        for (MatchRecord r : library) {
            assertThat(r.tags().stream().filter(Tag.Action.class::isInstance).map(Tag.Action.class::cast))
                    .allSatisfy(a -> assertThat(LEXICON.technique(a.technique())
                                    .orElseThrow()
                                    .restricted())
                            .doesNotContain(r.details().ruleset()));
        }
    }

    @Test
    void theBroadcastShowsAllOfTheMatchOnceAndSomeOfItAgain() {
        for (MatchRecord r : library) {
            ClockMap map = Broadcast.of(r);
            assertThat(map.gaps(r.end())).as(r.id()).isEmpty();
            assertThat(map.segments()).extracting(Segment::kind).contains(Segment.Kind.REPLAY, Segment.Kind.STOPPAGE);
            MatchTime nearEnd = r.end().plus(-1000);
            assertThat(map.filmTimes(nearEnd))
                    .as("live and in the replay of the finish")
                    .hasSizeGreaterThan(1);
            assertThat(map.matchTime(FilmTime.ZERO)).isEmpty();
        }
    }

    @Test
    void findingsNameUnknownCodesAndLeaveThem() {
        MatchRecord r = farglass.match.Records.of(
                farglass.match.Records.at(0, "ZZZ"),
                farglass.match.Records.tries(3, Corner.A, "moon-sweep"),
                farglass.match.Records.at(4, "not-visible"));
        assertThat(CodeCheck.findings(r, LEXICON))
                .extracting(f -> f.code() + " " + f.tag() + " " + f.message())
                .containsExactly(
                        "unknown-code 0 The lexicon has no position \"ZZZ\". It is kept as it is.",
                        "unknown-code 1 The lexicon has no technique \"moon-sweep\". It is kept as it is.");
    }
}
