package farglass.desk.film;

import farglass.desk.pair.PairSide;
import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.time.Clock;
import farglass.time.Dates;
import java.util.List;
import java.util.Optional;

/** Two moments to be held side by side: the first is marked, the second one lays them out. */
final class Pairing {
    private final Desk desk;
    private final FilmView film;
    private final Angles angles;
    private PairSide held;

    Pairing(Desk desk, FilmView film, Angles angles) {
        this.desk = desk;
        this.film = film;
        this.angles = angles;
    }

    record Sides(PairSide first, PairSide second) {}

    /** Marks the moment on screen; when another one is marked already, both. */
    Optional<Sides> hold() {
        MatchRecord r = desk.openRecord().get();
        FilmView.Moment m = film.moment().get();
        if (r == null || m == null) {
            desk.notices().problem(Words.of("clock.no-film"));
            return Optional.empty();
        }
        PairSide here = side(r, m);
        if (held == null || (held.film().equals(here.film()) && held.at().equals(here.at()))) {
            held = here;
            desk.notices().done(Words.of("pair.held"));
            return Optional.empty();
        }
        Sides sides = new Sides(held, here);
        held = null;
        return Optional.of(sides);
    }

    private PairSide side(MatchRecord r, FilmView.Moment m) {
        FilmRef shown = angles.film(r);
        String date = r.details().date() == null ? "" : Dates.words(r.details().date()) + ", ";
        String clock = angles.clock(r)
                .matchTime(m.time())
                .map(t -> Clock.tenths(t.ms()))
                .orElse(Words.of("film.unsynced"));
        boolean swapped = desk.amber(r) == Corner.B;
        List<Drawing> drawings =
                Drawings.of(shown).stream().map(d -> swapped ? d.swapped() : d).toList();
        String caption = Words.of(
                "pair.caption", r.details().a().surname(), r.details().b().surname(), date, clock);
        return new PairSide(desk.filmPath(shown), m.time(), caption, drawings);
    }
}
