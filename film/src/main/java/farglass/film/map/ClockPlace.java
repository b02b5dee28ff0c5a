package farglass.film.map;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.score.SampledWords;
import farglass.film.score.Word;
import farglass.film.text.TextLine;
import farglass.film.text.TextReader;
import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Where the match clock stands in a film that nobody has drawn a box for. Text is looked for in some pictures all over
 * the film; what reads like a clock is read once more a little later in the same place. Of the places, that of a match
 * clock is the one whose clock runs, in one direction, and now and then stands or is hidden; a bar of a player runs
 * with the film itself from nought and is no clock of the match.
 */
final class ClockPlace {
    /** A clock that runs has moved by so much when it is read once more, ms. */
    private static final long LATER_MS = 2000;
    /** It seldom runs without a stop or a cut for longer. */
    private static final long LATEST_MS = 8000;

    private static final double LOOSE_S = 1.01;
    /** Readings of a place below which nothing can be told. */
    private static final int LEAST = 3;
    /** Pairs in which a clock ran that say it is one. */
    private static final int SURELY = 5;
    /** Share of a clock's height that is kept round it. */
    private static final double MARGIN = 0.25;
    /** Two lines whose middles are closer than this share of their height stand in one place. */
    private static final double NEAR = 0.8;
    /** A clock that shows the film's own time this often is that of a player. */
    private static final double PLAYER = 0.9;

    private final FilmFile film;
    private final TextReader reader;
    private final List<Place> places = new ArrayList<>();

    /** A place where a clock was read, with its readings in pairs. */
    private static final class Place {
        private Box box;
        private final List<Pair> pairs = new ArrayList<>();

        Place(Box box) {
            this.box = box;
        }

        boolean holds(Box b) {
            double near = NEAR * Math.max(box.height(), b.height());
            return Math.abs(2 * box.x() + box.width() - 2 * b.x() - b.width()) < 2 * near
                    && Math.abs(2 * box.y() + box.height() - 2 * b.y() - b.height()) < 2 * near;
        }
    }

    /**
     * A clock read twice.
     *
     * @param filmMs of the first reading
     * @param first seconds shown
     * @param second seconds shown a little later; -1 when it could not be read
     */
    private record Pair(long filmMs, long laterMs, int first, int second) {
        /** 1 when it ran up, -1 down, 0 when it stood; null when it did anything else. */
        Integer way() {
            double passed = (laterMs - filmMs) / 1000.0;
            if (second < 0) {
                return null;
            }
            if (second == first) {
                return 0;
            }
            boolean runs = Math.abs(Math.abs(second - first) - passed) <= LOOSE_S;
            return runs ? Integer.signum(second - first) : null;
        }
    }

    ClockPlace(FilmFile film, TextReader reader) {
        this.film = film;
        this.reader = reader;
    }

    /** The box of the match clock; empty when no clock runs anywhere. */
    Optional<Box> best() {
        return places.stream()
                .filter(p -> p.pairs.size() >= LEAST && !player(p))
                .filter(p -> running(p) >= 2)
                .max(Comparator.comparingDouble(ClockPlace::running))
                .map(p -> p.box);
    }

    /**
     * Takes the clocks of a picture, and reads them once more a little later.
     *
     * @return whether the match clock is known for sure: one runs, and nothing else does
     */
    boolean look(SampledWords.Picture picture) throws FilmException {
        List<Place> seen = new ArrayList<>();
        List<Integer> shown = new ArrayList<>();
        for (Word word : picture.words()) {
            Optional<ClockText> clock = ClockText.of(word.line());
            if (clock.isPresent()) {
                seen.add(place(part(word.box(), clock.get())));
                shown.add(clock.get().seconds());
            }
        }
        if (seen.isEmpty()) {
            return false;
        }
        long ms = picture.ms();
        int next = film.nearest(later(ms));
        for (int i = 0; i < seen.size(); i++) {
            TextLine text = reader.read(film.gray(next, seen.get(i).box), TextReader.Kind.CLOCK);
            int later = ClockText.of(text).map(ClockText::seconds).orElse(-1);
            seen.get(i).pairs.add(new Pair(ms, film.timeOf(next).ms(), shown.get(i), later));
        }
        return places.stream().filter(p -> running(p) >= SURELY).count() == 1
                && places.stream().filter(p -> running(p) >= 1).count() == 1;
    }

    /** A frame some seconds later: a key frame when there is one soon, for time. */
    private int later(long ms) {
        long end = film.info().durationMs() - 1;
        int key = film.keyFrameBefore(film.frameAt(FilmTime.ofMs(Math.min(end, ms + LATEST_MS))));
        if (film.timeOf(key).ms() - ms >= LATER_MS) {
            return key;
        }
        return film.frameAt(FilmTime.ofMs(Math.min(end, ms + LATER_MS)));
    }

    /** Where the clock stands in its line, with a margin. */
    private Box part(Box line, ClockText clock) {
        int margin = (int) Math.ceil(MARGIN * line.height());
        int from = (int) Math.floor(line.x() + clock.from() * line.width()) - margin;
        int to = (int) Math.ceil(line.x() + clock.to() * line.width()) + margin;
        int x = Math.max(0, from);
        return new Box(x, line.y(), Math.max(1, to - x), line.height())
                .within(film.info().width(), film.info().height());
    }

    private Place place(Box box) {
        for (Place p : places) {
            if (p.holds(box)) {
                int x = Math.min(p.box.x(), box.x());
                int y = Math.min(p.box.y(), box.y());
                int right = Math.max(p.box.x() + p.box.width(), box.x() + box.width());
                int bottom = Math.max(p.box.y() + p.box.height(), box.y() + box.height());
                p.box = new Box(x, y, right - x, bottom - y);
                return p;
            }
        }
        Place p = new Place(box);
        places.add(p);
        return p;
    }

    /** Pairs in which the clock ran the way it usually runs, and a little for those in which it stood. */
    private static double running(Place p) {
        int up = 0;
        int down = 0;
        int stood = 0;
        for (Pair pair : p.pairs) {
            Integer way = pair.way();
            up += way != null && way > 0 ? 1 : 0;
            down += way != null && way < 0 ? 1 : 0;
            stood += way != null && way == 0 ? 1 : 0;
        }
        return Math.abs(up - down) + 0.1 * stood;
    }

    private static boolean player(Place p) {
        long own = p.pairs.stream()
                .filter(x -> Math.abs(x.filmMs() / 1000.0 - x.first()) <= LOOSE_S)
                .count();
        return own >= PLAYER * p.pairs.size();
    }
}
