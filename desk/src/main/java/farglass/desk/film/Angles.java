package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.time.ClockMap;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Which of a match's films is looked at: other cameras, other parts. */
final class Angles {
    private final Desk desk;
    private int index;

    Angles(Desk desk) {
        this.desk = desk;
    }

    /** Number of the film looked at, from 0. */
    int index(MatchRecord r) {
        return Math.max(0, Math.min(index, r.films().size() - 1));
    }

    void to(int film) {
        index = film;
    }

    /** The film looked at; null while the match has none. */
    FilmRef film(MatchRecord r) {
        return r.films().isEmpty() ? null : r.films().get(index(r));
    }

    ClockMap clock(MatchRecord r) {
        return r.films().isEmpty() ? ClockMap.EMPTY : film(r).map();
    }

    /** Where the film looked at lies; null while the match has none. */
    Path path(MatchRecord r) {
        return r.films().isEmpty() ? null : desk.filmPath(film(r));
    }

    /** The edit that puts a changed film in the place of the one looked at. */
    Edit put(MatchRecord r, FilmRef changed) {
        List<FilmRef> after = new ArrayList<>(r.films());
        after.set(index(r), changed);
        return new Edit.SetFilms(r.films(), after);
    }
}
