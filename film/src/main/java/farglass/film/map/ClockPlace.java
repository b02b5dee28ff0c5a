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
import java.util.Objects;
import java.util.Optional;
import java.util.function.ToIntFunction;

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
    /** Share of it that is left out above and below where the rest disturbs thin digits. */
    private static final double CLOSER = 0.1;
    /** Two lines whose middles are closer than this share of their height stand in one place. */
    private static final double NEAR = 0.8;
    /** A clock that was read this much as often as the match clock may be it. */
    private static final double NEARLY = 0.6;
    /** Share of the pictures of a place in which the same clock may be read in another too. */
    private static final double TOGETHER = 0.2;
    /** A clock that shows the film's own time this often is that of a player. */
    private static final double PLAYER = 0.9;

    private final FilmFile film;
    private final TextReader reader;
    private final List<Place> places = new ArrayList<>();

    /** A place where a clock was read, with its readings in pairs. */
    private static final class Place {
        /** Round all that was read, with a margin. */
        private Box box;
        /** Where the clock was found, each time. */
        private final List<Box> seen = new ArrayList<>();
        /** Pairs with the later reading of the whole box, of its middle rows, and of where it is mostly found. */
        private final List<List<Pair>> ways = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());

        Place(Box box) {
            this.box = box;
        }

        /** The way to read it in which the clock runs most often. */
        private int best() {
            int best = 0;
            for (int w = 1; w < ways.size(); w++) {
                best = runs(ways.get(w)) > runs(ways.get(best)) + 1 ? w : best;
            }
            return best;
        }

        List<Pair> pairs() {
            return ways.get(best());
        }

        /** What is read of the clock. */
        Box read() {
            return read(best());
        }

        private Box read(int way) {
            if (way == 0) {
                return box;
            }
            int margin = (int) Math.ceil(MARGIN * box.height());
            int top = middle(Box::y);
            int high = middle(Box::height);
            int closer = (int) (CLOSER * high);
            int left = way == 1 ? box.x() + margin : middle(Box::x);
            int wide = way == 1 ? box.width() - 2 * margin : middle(Box::width);
            return new Box(left, top + closer, Math.max(1, wide), Math.max(1, high - 2 * closer));
        }

        private int middle(ToIntFunction<Box> of) {
            return seen.stream().mapToInt(of).sorted().toArray()[seen.size() / 2];
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

    /**
     * The boxes of the match clock, that in which it is seen most first; empty when no clock runs anywhere. A graphic
     * that moves has several: clocks that run the same way and are hardly ever seen at one time.
     */
    List<Box> found() {
        return own().stream().map(Place::read).toList();
    }

    /**
     * The clock that runs beside the match clock and was read nearly as often, so that a person must say which is
     * which; empty when there is none.
     */
    Optional<Box> rival() {
        List<Place> own = own();
        return running().stream()
                .filter(p -> !own.contains(p))
                .filter(p -> runs(p) >= NEARLY * runs(own.get(0)))
                .map(Place::read)
                .findFirst();
    }

    /** Places in which a clock runs, the surest first. */
    private List<Place> running() {
        return places.stream()
                .filter(p -> p.pairs().size() >= LEAST && !player(p))
                .filter(p -> runs(p) >= 2)
                .sorted(Comparator.comparingDouble((Place p) -> runs(p)).reversed())
                .toList();
    }

    private List<Place> own() {
        List<Place> own = new ArrayList<>();
        for (Place p : running()) {
            if (own.stream().allMatch(o -> way(o) == way(p) && apart(o, p))) {
                own.add(p);
            }
        }
        return own;
    }

    /** Whether two places show a clock by turns. */
    private static boolean apart(Place a, Place b) {
        long together = a.pairs().stream()
                .filter(x -> b.pairs().stream().anyMatch(y -> y.filmMs() == x.filmMs()))
                .count();
        return together <= TOGETHER * Math.min(a.pairs().size(), b.pairs().size());
    }

    /** The way a clock runs there, 1 up, -1 down. */
    private static int way(Place p) {
        return Integer.signum(p.pairs().stream()
                .map(Pair::way)
                .filter(Objects::nonNull)
                .mapToInt(Integer::intValue)
                .sum());
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
            Optional<ClockText> clock = ClockText.loose(word.line());
            if (clock.isPresent()) {
                seen.add(place(part(word.box(), clock.get(), MARGIN), part(word.box(), clock.get(), 0)));
                shown.add(clock.get().seconds());
            }
            for (Word next : picture.words()) {
                if (parts(word, next)) {
                    seen.add(place(both(word.box(), next.box(), MARGIN), both(word.box(), next.box(), 0)));
                    shown.add(ClockText.seconds(word.text(), next.text()));
                }
            }
        }
        if (seen.isEmpty()) {
            return false;
        }
        long ms = picture.ms();
        int next = film.nearest(later(ms));
        for (int i = 0; i < seen.size(); i++) {
            Place p = seen.get(i);
            Pair pair = pair(p, 0, ms, shown.get(i), next);
            p.ways.get(0).add(pair);
            for (int w = 1; w < p.ways.size(); w++) {
                // a clock that is read as it is need not be read otherwise
                p.ways.get(w).add(pair.way() != null ? pair : pair(p, w, ms, shown.get(i), next));
            }
        }
        return places.stream().filter(p -> runs(p) >= SURELY).count() == 1
                && places.stream().filter(p -> runs(p) >= 1).count() == 1;
    }

    private Pair pair(Place p, int way, long ms, int shown, int next) throws FilmException {
        TextLine text = reader.read(film.gray(next, p.read(way)), TextReader.Kind.CLOCK);
        int later = ClockText.loose(text).map(ClockText::seconds).orElse(-1);
        return new Pair(ms, film.timeOf(next).ms(), shown, later);
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

    /** Where the clock stands in its line, with a margin at its sides in heights of the line. */
    private Box part(Box line, ClockText clock, double beside) {
        int margin = (int) Math.ceil(beside * line.height());
        int from = (int) Math.floor(line.x() + clock.from() * line.width()) - margin;
        int to = (int) Math.ceil(line.x() + clock.to() * line.width()) + margin;
        int x = Math.max(0, from);
        return new Box(x, line.y(), Math.max(1, to - x), line.height())
                .within(film.info().width(), film.info().height());
    }

    /** Whether two words may be minutes and seconds, with a colon between them that was not read. */
    private static boolean parts(Word minutes, Word seconds) {
        Box a = minutes.box();
        Box b = seconds.box();
        double gap = b.x() - a.x() - a.width();
        double high = Math.max(a.height(), b.height());
        return minutes.text().matches("[0-9]{1,2}")
                && seconds.text().matches("[0-5][0-9]")
                && Math.abs(2 * a.y() + a.height() - 2 * b.y() - b.height()) < high
                && gap > -0.5 * high
                && gap < high;
    }

    private Box both(Box minutes, Box seconds, double beside) {
        int margin = (int) Math.ceil(beside * minutes.height());
        int x = Math.max(0, minutes.x() - margin);
        int y = Math.min(minutes.y(), seconds.y());
        int right = seconds.x() + seconds.width() + margin;
        int bottom = Math.max(minutes.y() + minutes.height(), seconds.y() + seconds.height());
        return new Box(x, y, right - x, bottom - y)
                .within(film.info().width(), film.info().height());
    }

    /**
     * @param box round a clock, with a margin
     * @param close round it without one
     */
    private Place place(Box box, Box close) {
        Place found = places.stream().filter(p -> p.holds(box)).findFirst().orElse(null);
        if (found == null) {
            found = new Place(box);
            places.add(found);
        } else {
            int x = Math.min(found.box.x(), box.x());
            int y = Math.min(found.box.y(), box.y());
            int right = Math.max(found.box.x() + found.box.width(), box.x() + box.width());
            int bottom = Math.max(found.box.y() + found.box.height(), box.y() + box.height());
            found.box = new Box(x, y, right - x, bottom - y);
        }
        found.seen.add(close);
        return found;
    }

    /** Pairs in which the clock ran the way it usually runs, and a little for those in which it stood. */
    private static double runs(Place p) {
        return runs(p.pairs());
    }

    private static double runs(List<Pair> pairs) {
        int up = 0;
        int down = 0;
        int stood = 0;
        for (Pair pair : pairs) {
            Integer way = pair.way();
            up += way != null && way > 0 ? 1 : 0;
            down += way != null && way < 0 ? 1 : 0;
            stood += way != null && way == 0 ? 1 : 0;
        }
        return Math.abs(up - down) + 0.1 * stood;
    }

    private static boolean player(Place p) {
        long own = p.pairs().stream()
                .filter(x -> Math.abs(x.filmMs() / 1000.0 - x.first()) <= LOOSE_S)
                .count();
        return own >= PLAYER * p.pairs().size();
    }
}
