package farglass.desk.film;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.FilmRef;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import farglass.time.SyncPoint;
import java.util.List;
import org.junit.jupiter.api.Test;

class FilmSyncTest {
    private static final long FILM = 200_000;

    private static MatchRecord record() {
        MatchRecord.Details d = new MatchRecord.Details(
                null,
                null,
                null,
                null,
                "gi",
                "points-gi",
                300_000,
                MatchAthlete.of("a", "A", null, null),
                MatchAthlete.of("b", "B", null, null),
                null);
        return MatchRecord.of("m", d, List.of(FilmRef.of("f.mp4", FILM, ClockMap.EMPTY)), List.of());
    }

    private static SyncPoint point(long film, long match) {
        return new SyncPoint(FilmTime.ofMs(film), MatchTime.ofMs(match));
    }

    @Test
    void onePointMapsTheWholeFilmAndUndoTakesItBack() {
        MatchRecord r = record();
        FilmSync.Synced first = FilmSync.add(r, 0, point(12_000, 2_000), FILM);
        MatchRecord synced = first.edit().apply(r);
        assertThat(first.breaks()).isEmpty();
        assertThat(synced.clock().matchTime(FilmTime.ofMs(110_000))).contains(MatchTime.ofMs(100_000));
        assertThat(synced.clock().matchTime(FilmTime.ofMs(9_999))).isEmpty();
        assertThat(first.edit().inverse().apply(synced)).isEqualTo(r);
    }

    @Test
    void pointsAreKeptAndASecondOneFindsTheStoppage() {
        MatchRecord r = FilmSync.add(record(), 0, point(10_000, 0), FILM).edit().apply(record());
        FilmSync.Synced second = FilmSync.add(r, 0, point(110_000, 80_000), FILM);
        MatchRecord synced = second.edit().apply(r);
        assertThat(second.breaks()).hasSize(1);
        assertThat(second.breaks().get(0).lostMs()).isEqualTo(20_000);
        assertThat(synced.clock().segments()).anyMatch(s -> s.kind() == Segment.Kind.STOPPAGE);
        assertThat(FilmSync.points(synced.films().get(0))).hasSize(2);
    }

    @Test
    void aPointAtTheSamePlaceReplacesTheOldOne() {
        MatchRecord r = FilmSync.add(record(), 0, point(10_000, 0), FILM).edit().apply(record());
        MatchRecord again =
                FilmSync.add(r, 0, point(10_200, 1_000), FILM).edit().apply(r);
        assertThat(FilmSync.points(again.films().get(0))).containsExactly(point(10_200, 1_000));
    }
}
