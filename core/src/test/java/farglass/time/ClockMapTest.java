package farglass.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ClockMapTest {
    /** The film of the format's own example: live, a half-speed replay, a stoppage, live again. */
    private static final ClockMap EXAMPLE = ClockMap.of(List.of(
            Segment.live(3000, 124000, 0),
            Segment.replay(124000, 139000, 112000, 0.5),
            Segment.blank(139000, 150000, Segment.Kind.STOPPAGE),
            Segment.live(150000, 228000, 121000)));

    @Test
    void liveFilmShowsItsMatchMoment() {
        assertThat(EXAMPLE.matchTime(FilmTime.ofMs(3000))).contains(MatchTime.ZERO);
        assertThat(EXAMPLE.matchTime(FilmTime.ofMs(9400))).contains(MatchTime.ofMs(6400));
        assertThat(EXAMPLE.matchTime(FilmTime.ofMs(151000))).contains(MatchTime.ofMs(122000));
    }

    @Test
    void halfSpeedReplayAdvancesHalfAsFast() {
        assertThat(EXAMPLE.matchTime(FilmTime.ofMs(124000))).contains(MatchTime.ofMs(112000));
        assertThat(EXAMPLE.matchTime(FilmTime.ofMs(126000))).contains(MatchTime.ofMs(113000));
    }

    @Test
    void stoppagesAndTheRestShowNoMatchTime() {
        assertThat(EXAMPLE.matchTime(FilmTime.ofMs(140000))).isEmpty();
        assertThat(EXAMPLE.matchTime(FilmTime.ofMs(1000))).isEmpty();
        assertThat(EXAMPLE.matchTime(FilmTime.ofMs(228000)))
                .as("segments are half-open")
                .isEmpty();
    }

    @Test
    void inverseGivesTheLiveMomentFirstThenReplays() {
        assertThat(EXAMPLE.filmTimes(MatchTime.ofMs(113000)))
                .containsExactly(FilmTime.ofMs(116000), FilmTime.ofMs(126000));
        assertThat(EXAMPLE.filmTimes(MatchTime.ofMs(130000))).containsExactly(FilmTime.ofMs(159000));
        assertThat(EXAMPLE.filmTimes(MatchTime.ofMs(300000))).isEmpty();
    }

    @Test
    void matchTimeWithoutLiveFilmIsAGap() {
        ClockMap map = ClockMap.of(List.of(Segment.live(0, 10000, 5000), Segment.live(10000, 20000, 40000)));
        assertThat(map.gaps(MatchTime.ofMs(60000)))
                .containsExactly(
                        new ClockMap.Gap(MatchTime.ZERO, MatchTime.ofMs(5000)),
                        new ClockMap.Gap(MatchTime.ofMs(15000), MatchTime.ofMs(40000)),
                        new ClockMap.Gap(MatchTime.ofMs(50000), MatchTime.ofMs(60000)));
        assertThat(EXAMPLE.gaps(MatchTime.ofMs(199000))).isEmpty();
    }

    @Test
    void overlapsAreRefused() {
        assertThatThrownBy(() -> ClockMap.of(List.of(Segment.live(0, 1000, 0), Segment.live(900, 2000, 5000))))
                .hasMessageContaining("film segments overlap at 0:00.900");
        assertThatThrownBy(() -> ClockMap.of(List.of(Segment.live(0, 1000, 0), Segment.live(1000, 2000, 500))))
                .hasMessageContaining("live segments overlap at match time 0:00.500");
    }

    @Test
    void impossibleSegmentsAreRefused() {
        assertThatThrownBy(() -> Segment.live(5, 5, 0)).hasMessageContaining("must end");
        assertThatThrownBy(() -> Segment.replay(0, 5, 0, 0)).hasMessageContaining("(0, 4]");
        assertThatThrownBy(() -> Segment.replay(0, 5, 0, Double.NaN)).hasMessageContaining("(0, 4]");
        assertThatThrownBy(() -> MatchTime.ofMs(-1)).hasMessageContaining("must not be negative");
        assertThatThrownBy(() -> FilmTime.ofMs(-1)).hasMessageContaining("must not be negative");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void thereAndBackLeadsToTheSameMoment(long seed) {
        UniformRandomProvider rng = RandomSource.SPLIT_MIX_64.create(seed);
        List<Segment> segments = new ArrayList<>();
        long film = rng.nextInt(5000);
        long match = 0;
        for (int i = 0; i < 6; i++) {
            long length = 1000L + rng.nextInt(30_000);
            segments.add(Segment.live(film, film + length, match));
            film += length;
            match += length + rng.nextInt(3000);
            if (rng.nextBoolean()) {
                segments.add(Segment.replay(film, film + 4000, Math.max(0, match - 2500), 0.5));
                film += 4000;
            }
        }
        ClockMap map = ClockMap.of(segments);
        for (int i = 0; i < 200; i++) {
            MatchTime t = MatchTime.ofMs(rng.nextLong(match));
            for (FilmTime f : map.filmTimes(t)) {
                assertThat(Math.abs(map.matchTime(f).orElseThrow().since(t)))
                        .as("seed %d, match time %s, film time %s", seed, t, f)
                        .isLessThanOrEqualTo(1);
            }
        }
    }
}
