package farglass.match;

import static farglass.match.Records.at;
import static farglass.match.Records.does;
import static farglass.match.Records.end;
import static farglass.match.Records.guard;
import static farglass.match.Records.held;
import static farglass.match.Records.resume;
import static farglass.match.Records.s;
import static farglass.match.Records.start;
import static farglass.match.Records.stop;
import static farglass.match.Records.tries;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.lexicon.Lexicon;
import farglass.simulate.DemoLibrary;
import farglass.time.ClockMap;
import farglass.time.Segment;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PositionLineTest {
    private static final Lexicon LEXICON = Lexicon.builtIn();

    private static List<Span> spans(MatchRecord r) {
        return PositionLine.of(r, LEXICON).spans();
    }

    @Test
    void spansTileTheMatchAndNameTheirCause() {
        List<Span> spans = spans(Records.of(
                start(),
                at(0, "STD"),
                does(6, Corner.A, "guard-pull", "LAS"),
                guard(6, "LAS", Corner.A),
                tries(20, Corner.A, "lasso-sweep"),
                does(40, Corner.A, "lasso-sweep", "SDC"),
                held(42, "SDC", Corner.A),
                end(60)));
        assertThat(spans).extracting(Span::position).containsExactly("STD", "LAS", "SDC");
        assertThat(spans).extracting(Span::lengthMs).containsExactly(6000L, 36_000L, 18_000L);
        assertThat(spans).extracting(Span::byAction).containsExactly(-1, 2, 5);
        assertThat(spans).extracting(Span::exit).containsExactly(Span.Exit.MOVED, Span.Exit.MOVED, Span.Exit.ENDED);
    }

    @Test
    void aCompletedActionElsewhereIsNotTheCause() {
        List<Span> spans = spans(Records.of(
                guard(0, "CLG", Corner.A), does(5, Corner.A, "hip-bump-sweep", "MNT"), held(9, "SDC", Corner.B)));
        assertThat(spans.get(0).position()).isEqualTo("CLG");
        assertThat(PositionLine.of(
                                Records.of(
                                        guard(0, "CLG", Corner.A),
                                        does(5, Corner.A, "hip-bump-sweep", "MNT"),
                                        held(9, "SDC", Corner.B),
                                        end(12)),
                                LEXICON)
                        .spans()
                        .get(1)
                        .byAction())
                .isEqualTo(-1);
    }

    @Test
    void restartInTheSamePlaceContinuesTheSpan() {
        List<Span> spans = spans(
                Records.of(guard(0, "CLG", Corner.A), stop(10), resume(10, null), held(20, "SDC", Corner.B), end(30)));
        assertThat(spans).extracting(Span::position).containsExactly("CLG", "SDC");
        assertThat(spans.get(0).lengthMs()).isEqualTo(20_000);
        assertThat(spans.get(0).censored()).isFalse();
    }

    @Test
    void restartElsewhereCensors() {
        List<Span> spans = spans(Records.of(held(0, "MNT", Corner.A), stop(10), resume(10, "STD"), end(30)));
        assertThat(spans).extracting(Span::position).containsExactly("MNT", "STD");
        assertThat(spans.get(0).exit()).isEqualTo(Span.Exit.STOPPED);
        assertThat(spans.get(0).censored()).isTrue();
    }

    @Test
    void aPositionTagAtTheRestartReplacesTheResume() {
        List<Span> spans =
                spans(Records.of(guard(0, "CLG", Corner.A), stop(10), resume(10, null), at(10, "STD"), end(30)));
        assertThat(spans).extracting(Span::position).containsExactly("CLG", "STD");
    }

    @Test
    void withoutAnEndTheLastSpanIsOpen() {
        List<Span> spans = spans(Records.of(at(0, "STD"), tries(7, Corner.A, "double-leg")));
        assertThat(spans).singleElement().extracting(Span::exit).isEqualTo(Span.Exit.OPEN);
        assertThat(spans.get(0).to()).isEqualTo(s(7));
    }

    @Test
    void nothingAfterTheEndCounts() {
        assertThat(spans(Records.of(at(0, "STD"), end(10), held(20, "MNT", Corner.A))))
                .extracting(Span::position)
                .containsExactly("STD");
    }

    @Test
    void filmThatStartsInTheMiddleTruncatesTheFirstSpan() {
        List<Span> spans = spans(Records.of(held(50, "SDC", Corner.A), end(60)));
        assertThat(spans.get(0).leftTruncated()).isTrue();
        assertThat(spans(Records.of(at(0, "STD"), end(60))).get(0).leftTruncated())
                .isFalse();
    }

    @Test
    void missingGuardIsTheAthleteBelow() {
        Span span = spans(Records.of(held(0, "HQ", Corner.B), end(5))).get(0);
        assertThat(span.guard()).isEqualTo(Corner.A);
    }

    @Test
    void aLockKeepsThePlaceUnderIt() {
        Tag.Position lock = Tag.Position.of(s(10), "LCK", Corner.A, null)
                .builder()
                .technique("armbar")
                .threat(2)
                .build();
        List<Span> spans = spans(Records.of(held(0, "MNT", Corner.A), lock, end(20)));
        assertThat(spans.get(1).position()).isEqualTo("LCK");
        assertThat(spans.get(1).place()).isEqualTo("MNT");
    }

    @Test
    void missingFilmCensorsAndTruncates() {
        MatchRecord r = Records.of(at(0, "STD"), guard(20, "CLG", Corner.A), end(60));
        FilmRef film = FilmRef.of(
                "f.mp4",
                60_000L,
                ClockMap.of(List.of(Segment.live(0, 30_000, 0), Segment.live(30_000, 50_000, 40_000))));
        List<Span> spans = spans(r.withFilms(List.of(film)));
        assertThat(spans).extracting(Span::position).containsExactly("STD", "CLG", "CLG");
        assertThat(spans.get(1).to()).isEqualTo(s(30));
        assertThat(spans.get(1).exit()).isEqualTo(Span.Exit.GAP);
        assertThat(spans.get(2).from()).isEqualTo(s(40));
        assertThat(spans.get(2).leftTruncated()).isTrue();
        FilmRef other = FilmRef.of("g.mp4", 60_000L, ClockMap.of(List.of(Segment.live(0, 60_000, 0))));
        assertThat(spans(r.withFilms(List.of(film, other))))
                .as("what one film misses another shows")
                .hasSize(2);
    }

    @ParameterizedTest
    @CsvSource({"MNT,A,,0.75", "MNT,B,,-0.75", "CLG,B,A,0", "HFG,B,A,-0.15", "SAD,A,A,0.3", "STD,,,0", "ZZZ,A,,0"})
    void standingIsTheHoldersValueOrItsNegative(String code, Corner holder, Corner guard, double value) {
        MatchRecord r = Records.of(Tag.Position.of(s(0), code, holder, guard), end(5));
        assertThat(PositionLine.standing(spans(r).get(0), r, LEXICON)).isCloseTo(value, within(1e-9));
    }

    @Test
    void aThreateningLockStandsHighest() {
        Tag.Position lock = Tag.Position.of(s(0), "LCK", Corner.B, null)
                .builder()
                .technique("armbar")
                .threat(3)
                .base("CLG")
                .build();
        MatchRecord r = Records.of(lock, end(5));
        assertThat(PositionLine.standing(spans(r).get(0), r, LEXICON)).isEqualTo(-0.97);
    }

    @Test
    void everyMadeUpMatchIsTiledWithoutHolesOrOverlaps() {
        for (MatchRecord r : DemoLibrary.matches(LEXICON, 7)) {
            List<Span> spans = spans(r.withFilms(List.of()));
            assertThat(spans.get(0).from().ms()).isZero();
            for (int i = 1; i < spans.size(); i++) {
                assertThat(spans.get(i).from())
                        .as("%s span %d", r.id(), i)
                        .isEqualTo(spans.get(i - 1).to());
            }
            assertThat(spans.get(spans.size() - 1).to()).as(r.id()).isEqualTo(r.end());
            PositionLine line = PositionLine.of(r.withFilms(List.of()), LEXICON);
            for (Span span : spans) {
                assertThat(line.at(span.from())).contains(span);
            }
        }
    }
}
