package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.time.Clock;
import farglass.time.MatchTime;
import farglass.time.SyncPoint;

/** Sync points said by the user: the clock as it stands on the picture, or where the match begins and ends. */
final class ClockPhrase {
    private final Desk desk;
    private final FilmView film;
    private final Angles angles;

    ClockPhrase(Desk desk, FilmView film, Angles angles) {
        this.angles = angles;
        this.desk = desk;
        this.film = film;
    }

    /** {@code clock 6:30} says what the match clock shows now; {@code clock 1:30 up} for one that counts up. */
    void read(String text) {
        String[] w = text.split("\\s+");
        if (w.length < 2 || Clock.parse(w[1]).isEmpty()) {
            desk.notices().problem(Words.of("clock.how"));
            return;
        }
        boolean down = w.length < 3 || !w[2].equals("up");
        long reading = Clock.parse(w[1]).getAsLong();
        long length = desk.openRecord().get().details().lengthMs();
        if (down && reading > length) {
            desk.notices().problem(Words.of("clock.more", w[1], Clock.seconds(length)));
            return;
        }
        sync(MatchTime.ofMs(down ? length - reading : reading));
    }

    /** Says that the film shows this match moment now. */
    void sync(MatchTime t) {
        FilmView.Moment m = film.moment().get();
        if (m == null) {
            desk.notices().problem(Words.of("clock.no-film"));
            return;
        }
        MatchRecord r = desk.openRecord().get();
        FilmSync.Synced synced = FilmSync.add(
                r,
                angles.index(r),
                new SyncPoint(m.time(), t),
                film.info().get().durationMs());
        desk.edit(synced.edit());
        if (synced.breaks().isEmpty()) {
            desk.notices().done(Words.of("clock.set", Clock.tenths(m.time().ms()), Clock.tenths(t.ms())));
        } else {
            var b = synced.breaks().get(0);
            desk.notices()
                    .problem(Words.of(
                            b.lostMs() > 0 ? "clock.stoppage" : "clock.cut",
                            Clock.tenths(Math.abs(b.lostMs())),
                            Clock.tenths(b.from().film().ms()),
                            Clock.tenths(b.to().film().ms())));
        }
    }
}
