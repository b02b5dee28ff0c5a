package farglass.time;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Maps and fits over seeded random broadcasts; a failure names its seed. */
class ClockPropertyTest {
    private static ClockMap broadcast(Random random) {
        List<Segment> segments = new ArrayList<>();
        long film = random.nextInt(8000);
        if (film > 0) {
            segments.add(Segment.blank(0, film, Segment.Kind.OTHER));
        }
        long match = 0;
        for (int i = 0; i < 2 + random.nextInt(5); i++) {
            long length = 5000L + random.nextInt(60_000);
            segments.add(Segment.live(film, film + length, match));
            film += length;
            match += length;
            if (random.nextBoolean()) {
                long wait = 2000L + random.nextInt(20_000);
                segments.add(Segment.blank(film, film + wait, Segment.Kind.STOPPAGE));
                film += wait;
            } else {
                match += random.nextBoolean() ? 3000 + random.nextInt(30_000) : 0;
            }
            if (random.nextBoolean()) {
                long shown = 2000L + random.nextInt(4000);
                segments.add(Segment.replay(film, film + 2 * shown, Math.max(0, match - 30_000 - shown), 0.5));
                film += 2 * shown;
            }
        }
        return ClockMap.of(segments);
    }

    @Test
    void thereAndBackAgainIsTheSameMoment() {
        for (long seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            ClockMap map = broadcast(random);
            long end = map.segments().get(map.segments().size() - 1).to().ms();
            for (int i = 0; i < 50; i++) {
                FilmTime f = FilmTime.ofMs(random.nextInt((int) end));
                Optional<MatchTime> t = map.matchTime(f);
                if (t.isPresent()) {
                    List<FilmTime> back = map.filmTimes(t.get());
                    assertThat(back.stream().anyMatch(x -> Math.abs(x.ms() - f.ms()) <= 2))
                            .as("seed %d at %s", seed, f)
                            .isTrue();
                    for (FilmTime x : back) {
                        assertThat(Math.abs(map.matchTime(x).orElseThrow().since(t.get())))
                                .as("seed %d at %s", seed, f)
                                .isLessThanOrEqualTo(1);
                    }
                    boolean live =
                            map.segments().stream().anyMatch(s -> s.kind() == Segment.Kind.LIVE && s.covers(t.get()));
                    if (live) {
                        assertThat(map.at(back.get(0)).orElseThrow().kind())
                                .as("seed %d: the live moment comes first", seed)
                                .isEqualTo(Segment.Kind.LIVE);
                    }
                }
            }
        }
    }

    @Test
    void gapsAndLiveFilmTileTheMatch() {
        for (long seed = 0; seed < 200; seed++) {
            ClockMap map = broadcast(new Random(seed));
            MatchTime end = MatchTime.ofMs(400_000);
            long gaps = map.gaps(end).stream()
                    .mapToLong(g -> g.to().since(g.from()))
                    .sum();
            long live = map.segments().stream()
                    .filter(s -> s.kind() == Segment.Kind.LIVE)
                    .mapToLong(s -> Math.max(0, Math.min(end.ms(), s.matchEnd().ms()) - s.at().ms()))
                    .sum();
            assertThat(gaps + live).as("seed %d", seed).isEqualTo(end.ms());
        }
    }

    @Test
    void aFitGoesThroughEverySyncPointAndRunsAtFullSpeed() {
        for (long seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            List<SyncPoint> points = new ArrayList<>();
            long film = random.nextInt(20_000);
            long match = random.nextInt(10_000);
            for (int i = 0; i < 1 + random.nextInt(6); i++) {
                points.add(new SyncPoint(FilmTime.ofMs(film), MatchTime.ofMs(match)));
                long step = 10_000L + random.nextInt(60_000);
                int kind = random.nextInt(3);
                film += step;
                match += kind == 0 ? step : kind == 1 ? step / 2 : step + 8000;
            }
            ClockFit.Fit fit = ClockFit.fit(points, film + 10_000, match + 60_000);
            for (SyncPoint p : points) {
                Optional<MatchTime> t = fit.map().matchTime(p.film());
                assertThat(t).as("seed %d at %s", seed, p.film()).isPresent();
                assertThat(Math.abs(t.get().since(p.match())))
                        .as("seed %d", seed)
                        .isLessThanOrEqualTo(1400);
            }
            assertThat(fit.map().segments().stream().filter(s -> s.kind() == Segment.Kind.LIVE))
                    .as("seed %d", seed)
                    .allMatch(s -> s.speed() == 1);
        }
    }

    @ParameterizedTest
    @CsvSource({"0, 0:00", "1, 0:01", "999, 0:01", "1000, 0:01", "1001, 0:02", "359999, 6:00", "-5, 0:00"})
    void aClockThatCountsDownShowsASecondBegun(long left, String shown) {
        assertThat(Clock.countdown(left)).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({"6:30, 390000", "0:05, 5000", "12:03.5, 723500", "1:02.345, 62345", "1:2, 62000"})
    void clocksAreRead(String text, long ms) {
        assertThat(Clock.parse(text)).hasValue(ms);
    }

    @ParameterizedTest
    @CsvSource({"6", "6:75", "a:bc", "1:2:3", "-1:00", "''"})
    void whatIsNoClockIsNotRead(String text) {
        assertThat(Clock.parse(text)).isEmpty();
    }

    @Test
    void timesAreWrittenToTheMillisecond() {
        assertThat(Clock.millis(83_456)).isEqualTo("1:23.456");
        assertThat(Clock.tenths(83_456)).isEqualTo("1:23.4");
        assertThat(Clock.seconds(600_000)).isEqualTo("10:00");
    }
}
