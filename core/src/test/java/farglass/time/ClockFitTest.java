package farglass.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;

class ClockFitTest {
    private static SyncPoint point(long film, long match) {
        return new SyncPoint(FilmTime.ofMs(film), MatchTime.ofMs(match));
    }

    @Test
    void onePointPlacesTheWholeMatch() {
        ClockMap map =
                ClockFit.fit(List.of(point(33_000, 30_000)), 600_000, 480_000).map();
        assertThat(map.matchTime(FilmTime.ofMs(3000))).contains(MatchTime.ZERO);
        assertThat(map.matchTime(FilmTime.ofMs(63_000))).contains(MatchTime.ofMs(60_000));
        assertThat(map.matchTime(FilmTime.ofMs(1000))).isEmpty();
        assertThat(map.matchTime(FilmTime.ofMs(483_000)))
                .as("after the scheduled end")
                .isEmpty();
    }

    @Test
    void wholeSecondReadingsWithinToleranceMakeNoBreak() {
        ClockFit.Fit fit = ClockFit.fit(List.of(point(3000, 0), point(63_900, 60_000)), 600_000, 480_000);
        assertThat(fit.breaks()).isEmpty();
    }

    @Test
    void aClockThatStoodIsAStoppageOfTheRightLength() {
        ClockFit.Fit fit = ClockFit.fit(List.of(point(0, 0), point(80_000, 60_000)), 600_000, 480_000);
        assertThat(fit.breaks())
                .singleElement()
                .extracting(ClockFit.Break::lostMs)
                .isEqualTo(20_000L);
        Segment stop = fit.map().segments().stream()
                .filter(s -> s.kind() == Segment.Kind.STOPPAGE)
                .findFirst()
                .orElseThrow();
        assertThat(stop.to().ms() - stop.from().ms()).isEqualTo(20_000);
        assertThat(stop.from()).as("in the middle of the interval").isEqualTo(FilmTime.ofMs(30_000));
        assertThat(fit.map().matchTime(FilmTime.ofMs(80_000))).contains(MatchTime.ofMs(60_000));
    }

    @Test
    void aThirdPointNarrowsTheBreak() {
        ClockMap map = ClockFit.fit(
                        List.of(point(0, 0), point(50_000, 50_000), point(80_000, 60_000)), 600_000, 480_000)
                .map();
        assertThat(map.matchTime(FilmTime.ofMs(49_000))).contains(MatchTime.ofMs(49_000));
    }

    @Test
    void aClockThatJumpedIsACut() {
        ClockFit.Fit fit = ClockFit.fit(List.of(point(0, 0), point(60_000, 200_000)), 300_000, 480_000);
        assertThat(fit.breaks().get(0).lostMs()).isEqualTo(-140_000);
        assertThat(fit.map().gaps(MatchTime.ofMs(300_000)))
                .containsExactly(new ClockMap.Gap(MatchTime.ofMs(30_000), MatchTime.ofMs(170_000)));
    }

    @Test
    void readingsTurnIntoMatchTime() {
        FilmTime f = FilmTime.ofMs(10);
        assertThat(SyncPoint.read(f, 390_000, true, 480_000).match()).isEqualTo(MatchTime.ofMs(90_000));
        assertThat(SyncPoint.read(f, 90_000, false, 480_000).match()).isEqualTo(MatchTime.ofMs(90_000));
        assertThatThrownBy(() -> SyncPoint.read(f, 500_000, true, 480_000))
                .hasMessage("the clock shows 8:20, more than the match length 8:00");
    }

    @Test
    void noPointsGiveNoMap() {
        assertThat(ClockFit.fit(List.of(), 1000, 1000).map().isEmpty()).isTrue();
    }

    @Test
    void clockValuesAreReadAndWritten() {
        assertThat(Clock.parse("6:30")).hasValue(390_000);
        assertThat(Clock.parse("0:05.5")).hasValue(5500);
        assertThat(Clock.parse("12:00.125")).hasValue(720_125);
        assertThat(Clock.parse("6:75")).isEmpty();
        assertThat(Clock.parse("six")).isEmpty();
        assertThat(Clock.millis(125_042)).isEqualTo("2:05.042");
        assertThat(Clock.tenths(125_042)).isEqualTo("2:05.0");
        assertThat(Clock.seconds(59_999)).isEqualTo("0:59");
    }
}
