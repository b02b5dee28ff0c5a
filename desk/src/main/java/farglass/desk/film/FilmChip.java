package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.text.Language;
import farglass.time.Clock;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Label;

/** The chip on the picture: what is shown here, how fast, which frame, and what the stopwatch says. */
final class FilmChip extends Label {
    FilmChip() {
        getStyleClass().add("film-chip");
    }

    /** @param r the open record, or null */
    void show(MatchRecord r, Angles angles, FilmView film, MatClock mat, Looping looping) {
        FilmView.Moment m = film.moment().get();
        if (m == null || r == null) {
            boolean bare = r != null && film.player() == null;
            setVisible(bare);
            setText(
                    bare
                            ? Words.of(
                                    mat.running() ? "film.mat.runs" : "film.mat.stands",
                                    Clock.countdown(
                                            r.details().lengthMs() - mat.now().ms()))
                            : "");
            return;
        }
        ClockMap clock = angles.clock(r);
        String kind = clock.isEmpty()
                ? Words.of("film.unsynced")
                : clock.at(m.time())
                        .map(s -> Words.of("film.kind." + s.kind().name().toLowerCase(Locale.ROOT)))
                        .orElse(Words.of("film.unsynced"));
        String speed =
                String.format(Language.locale(), "%.3f", film.speed().get()).replaceAll("[.,]?0+$", "");
        setVisible(true);
        setText(Words.of(
                        "film.chip",
                        kind,
                        speed,
                        m.frame(),
                        Clock.tenths(m.time().ms()))
                + (r.films().size() > 1
                        ? Words.of("film.angle", angles.index(r) + 1, r.films().size())
                        : "")
                + (film.muted().get() ? Words.of("film.muted") : "")
                + elapsed(clock, looping.watched(), m.time()));
    }

    /** Film and match time since the stopwatch was started. */
    private static String elapsed(ClockMap clock, FilmTime since, FilmTime now) {
        if (since == null) {
            return "";
        }
        Optional<MatchTime> a = clock.matchTime(since);
        Optional<MatchTime> b = clock.matchTime(now);
        String match = a.isEmpty() || b.isEmpty() ? "?" : signed(b.get().since(a.get()));
        return Words.of("film.watch", signed(now.ms() - since.ms()), match);
    }

    private static String signed(long ms) {
        return String.format(Language.locale(), "%+.2f s", ms / 1000.0);
    }
}
