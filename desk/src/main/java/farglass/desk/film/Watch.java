package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.match.MatchRecord;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.nio.file.Files;
import java.util.List;
import java.util.Optional;

/** Where in the match the film stands, or the clock at the mat side. */
final class Watch {
    private final Desk desk;
    private final FilmView film;
    private final Angles angles;
    private final MatClock mat;

    Watch(Desk desk, FilmView film, Angles angles, MatClock mat) {
        this.desk = desk;
        this.film = film;
        this.angles = angles;
        this.mat = mat;
    }

    /** The match moment on screen; where the clock stands still, the moment at which it stopped. */
    Optional<MatchTime> now() {
        MatchRecord r = desk.openRecord().get();
        FilmView.Moment m = film.moment().get();
        if (r == null) {
            return Optional.empty();
        }
        if (m == null) {
            boolean bare = r.films().isEmpty() || !Files.exists(angles.path(r));
            return bare ? Optional.of(mat.now()) : Optional.empty();
        }
        ClockMap clock = angles.clock(r);
        Optional<MatchTime> exact = clock.matchTime(m.time());
        return exact.isPresent() ? exact : standing(clock, m.time());
    }

    private static Optional<MatchTime> standing(ClockMap clock, FilmTime f) {
        return clock.segments().stream()
                .filter(s -> s.kind() == Segment.Kind.LIVE && s.to().compareTo(f) <= 0)
                .reduce((x, y) -> y)
                .map(Segment::matchEnd);
    }

    /** Now, less the time this user takes to see and begin typing while it runs. */
    Optional<MatchTime> stamp() {
        boolean live = film.player() == null && mat.running();
        double speed = film.playing().get() ? film.speed().get() : live ? 1 : 0;
        long delay = Math.round(desk.preferences().reactionMs() * speed);
        return now().map(t -> t.plus(-delay));
    }

    boolean inReplay() {
        MatchRecord r = desk.openRecord().get();
        FilmView.Moment m = film.moment().get();
        return m != null
                && angles.clock(r)
                        .at(m.time())
                        .map(s -> s.kind() == Segment.Kind.REPLAY)
                        .orElse(false);
    }

    /** Goes to a match moment; false when no film moves by it. */
    boolean seek(MatchTime t) {
        mat.set(t);
        ClockMap clock = angles.clock(desk.openRecord().get());
        List<FilmTime> places = clock.filmTimes(t);
        if (film.player() != null && !places.isEmpty()) {
            film.player().seek(places.get(0));
            return true;
        }
        if (film.player() != null && clock.isEmpty()) {
            film.player().seek(FilmTime.ofMs(t.ms()));
            return true;
        }
        return false;
    }
}
