package farglass.film.score;

import farglass.film.Box;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Finds the score graphic among words that stay put. It has two names of one size, and what stands beside the first
 * stands beside the second in the same way: below it, moved along or mirrored. Of all pairs of names and ways, that
 * under which most numbers have their counterpart is taken.
 */
public final class Layout {
    /** Share of the pictures in which a name is read at least. */
    private static final double NAME_SEEN = 0.3;
    /** Two numbers that belong together are read in so many of the pictures together, as a share of twice all. */
    private static final double BOTH_SEEN = 0.3;
    /** Share of pictures in which a number is read, when its counterpart is never. */
    private static final double ALONE_SEEN = 0.5;
    /** Heights of text in one graphic that should be equal differ by less. */
    private static final double ALIKE = 1.6;
    /** Shares of a line's height by which a counterpart may stand beside where it should. */
    private static final double NEAR_X = 0.9;

    private static final double MIRRORED_X = 1.5;
    private static final double NEAR_Y = 0.6;
    /** Names are at most so many heights apart when they stand above each other. */
    private static final double APART = 7;
    /** Numbers stand at most so many heights above or below their name's row, where the names are stacked. */
    private static final double BESIDE = 3;
    /** The same on a card of its own for each athlete: a large number may stand between. */
    private static final double ON_CARD = 7;

    /** Points on a card are higher than the name by this factor. */
    static final double LARGE = 1.2;
    /** What has no counterpart counts for less than half of what has one. */
    private static final double ALONE = 0.8;
    /** Where nothing but ones was read on both sides, the edges of the graphic may have been. */
    private static final double EDGES = 0.5;

    /** A counterpart as far beside its place as may be counts for less by this share. */
    private static final double ASKEW = 0.4;

    /** A card is drawn twice rather than mirrored, where both fit within so many heights. */
    private static final double ONE_CARD = 0.1;

    private static final int LEAST_NAME = 3;

    private final List<Integer> pictures;
    private final List<Region> names;
    /** Words and initials that may belong to a name beside them. */
    private final List<Region> parts;

    private final List<Region> headings;
    /** Numbers; in a second search also noughts that were read as the last letter of a name. */
    private List<Region> numbers;

    private final List<Region> withNoughts;
    private boolean onlyNoughts;
    /** Middle of the clock across; -1 when there is none. */
    private final double clockX;

    /** Where the counterpart of a place is. */
    private interface Way {
        double x(double x);

        double y(double y);

        /** Whether the second name stands below the first. */
        default boolean stacked() {
            return false;
        }

        /** How far beside it may stand, in heights of the line. */
        default double near() {
            return NEAR_X;
        }
    }

    private record Shift(double dx, double dy, boolean stacked) implements Way {
        @Override
        public double x(double x) {
            return x + dx;
        }

        @Override
        public double y(double y) {
            return y + dy;
        }
    }

    private record Mirror(double middle, double dy) implements Way {
        /** Text begins at the left of its cell on both sides, so that it is never quite mirrored. */
        @Override
        public double near() {
            return MIRRORED_X;
        }

        @Override
        public double x(double x) {
            return 2 * middle - x;
        }

        @Override
        public double y(double y) {
            return y + dy;
        }
    }

    /**
     * @param weight how well its numbers are borne out, about 1 for each column
     * @param off how far beside their place its counterparts stand, in heights of a line
     */
    private record Found(Region a, Region b, Way way, List<Pair> pairs, double weight, double off) {}

    /** A number of the first athlete and its counterpart; one of them may never have been read. */
    private record Pair(Region first, @Nullable Region second, double weight) {}

    private Layout(SampledWords sampled, @Nullable Box clock) {
        List<Integer> shown = new ArrayList<>();
        for (int i = 0; i < sampled.pictures().size(); i++) {
            if (clock == null || sampled.pictures().get(i).words().stream().anyMatch(w -> overlap(w.box(), clock))) {
                shown.add(i);
            }
        }
        pictures = shown;
        clockX = clock == null ? -1 : clock.x() + clock.width() / 2.0;
        headings = Region.of(sampled, w -> ScoreKind.of(w.text()).isPresent());
        names = often(Region.of(
                        sampled, w -> w.letters() && ScoreKind.of(w.text()).isEmpty()))
                .stream()
                .filter(r -> r.text().length() >= LEAST_NAME)
                .toList();
        parts = Stream.concat(
                        names.stream(),
                        often(Region.of(sampled, Word::letters)).stream().filter(NameText::initial))
                .toList();
        numbers = numbers(sampled, clock);
        withNoughts = numbers(noughts(sampled), clock);
    }

    private List<Region> often(List<Region> regions) {
        return regions.stream()
                .filter(r -> r.seen(pictures) >= NAME_SEEN * pictures.size())
                .toList();
    }

    private static List<Region> numbers(SampledWords sampled, @Nullable Box clock) {
        return Region.of(sampled, w -> w.number().isPresent()).stream()
                .filter(r -> clock == null || !overlap(r.box(), clock))
                .toList();
    }

    /** The same words and, of those that end in what may be a nought, their last sign. */
    private static SampledWords noughts(SampledWords sampled) {
        List<SampledWords.Picture> pictures = new ArrayList<>();
        for (SampledWords.Picture p : sampled.pictures()) {
            List<Word> words = new ArrayList<>(p.words());
            p.words().forEach(w -> words.addAll(w.noughts()));
            pictures.add(new SampledWords.Picture(p.frame(), p.ms(), words));
        }
        return new SampledWords(pictures);
    }

    static boolean overlap(Box a, Box b) {
        int across = Math.min(a.x() + a.width(), b.x() + b.width()) - Math.max(a.x(), b.x());
        int down = Math.min(a.y() + a.height(), b.y() + b.height()) - Math.max(a.y(), b.y());
        return across > 0.3 * Math.min(a.width(), b.width()) && down > 0.3 * Math.min(a.height(), b.height());
    }

    /**
     * The score graphic of a film; {@link ScoreGraphic#NONE} when there is none.
     *
     * @param clock where the match clock stands; null when there is none
     * @param width of the picture, pixels
     * @param height of the picture, pixels
     */
    public static ScoreGraphic of(SampledWords sampled, @Nullable Box clock, int width, int height) {
        return new Layout(sampled, clock).find(width, height);
    }

    private ScoreGraphic find(int width, int height) {
        Found best = best(width);
        if (best == null || swallowed(best)) {
            List<Region> read = numbers;
            numbers = withNoughts;
            Found more = best(width);
            onlyNoughts = best == null
                    || (more != null && more.pairs().size() > best.pairs().size());
            best = onlyNoughts ? more : best;
            numbers = onlyNoughts ? withNoughts : read;
        }
        return best == null ? ScoreGraphic.NONE : graphic(best, width, height);
    }

    /** Whether a name has what may be a nought of the column beside it at its end, apart from its letters. */
    private static boolean swallowed(Found f) {
        return swallowed(f.a().text()) || swallowed(f.b().text());
    }

    private static boolean swallowed(String name) {
        int last = name.length();
        while (last > 0 && Word.endsWithNought(name.substring(0, last))) {
            last--;
        }
        return last > 0 && last < name.length() && !Character.isAlphabetic(name.charAt(last - 1));
    }

    private @Nullable Found best(int width) {
        Found best = null;
        for (Region a : names) {
            for (Region b : names) {
                for (Way way : ways(a, b, width)) {
                    Found f = pairs(a, b, way);
                    if (!f.pairs().isEmpty() && (best == null || better(f, best))) {
                        best = f;
                    }
                }
            }
        }
        return best;
    }

    private static boolean better(Found f, Found than) {
        double by = f.weight() - than.weight();
        boolean named = f.a().text().equals(than.a().text())
                && f.b().text().equals(than.b().text());
        if (named && f.pairs().size() == than.pairs().size()) {
            // a mirrored row of equal cells is also the same row moved along, not quite as exactly
            double cards = card(f) && !card(than) ? -ONE_CARD : !card(f) && card(than) ? ONE_CARD : 0;
            return by > f.off() - than.off() + cards;
        }
        if (Math.abs(by) > 0.2) {
            return by > 0;
        }
        // a name and its team's both stand beside the numbers: the name is larger, or above
        int size = f.a().box().height() - than.a().box().height();
        return 10 * Math.abs(size) > than.a().box().height() ? size > 0 : by > 0;
    }

    /** Whether both athletes have the same card, with a large number. */
    private static boolean card(Found f) {
        return f.way() instanceof Shift && f.pairs().stream().anyMatch(p -> RowLook.onCard(p.first(), f.a()));
    }

    /** The ways in which the second name can be the first one's counterpart; none when it is the other way round. */
    private List<Way> ways(Region a, Region b, int width) {
        double high = Math.max(a.box().height(), b.box().height());
        double low = Math.min(a.box().height(), b.box().height());
        if (a == b || high > ALIKE * low) {
            return List.of();
        }
        int leftA = a.box().x();
        int leftB = b.box().x();
        int rightA = leftA + a.box().width();
        int rightB = leftB + b.box().width();
        double dy = b.y() - a.y();
        boolean above =
                Math.min(Math.abs(leftA - leftB), Math.abs(rightA - rightB)) < high || Math.abs(a.x() - b.x()) < high;
        if (above) {
            if (dy < 0.7 * high || dy > APART * high) {
                return List.of();
            }
            // columns below each other, or each number right after its name
            return List.of(new Shift(0, dy, true), new Shift(rightB - rightA, dy, true));
        }
        if (Math.abs(dy) > NEAR_Y * high || rightA > leftB) {
            return List.of();
        }
        List<Way> ways = new ArrayList<>(List.of(
                new Shift(leftB - leftA, dy, false),
                new Shift(rightB - rightA, dy, false),
                new Shift(b.x() - a.x(), dy, false),
                new Mirror((leftA + rightB) / 2.0, dy),
                new Mirror((rightA + leftB) / 2.0, dy),
                new Mirror(clockX < 0 ? width / 2.0 : clockX, dy),
                new Mirror(width / 2.0, dy)));
        // an initial that was overlooked moves a name: the large numbers of two cards stand as the cards do
        for (Region p : large(a)) {
            for (Region q : large(b)) {
                ways.add(0, new Shift(q.x() - p.x(), q.y() - p.y(), false));
            }
        }
        return ways;
    }

    /** Large numbers on the card of an athlete. */
    private List<Region> large(Region name) {
        return numbers.stream()
                .filter(n -> RowLook.onCard(n, name))
                .filter(n -> n.seen(pictures) >= BOTH_SEEN * pictures.size())
                .toList();
    }

    private Found pairs(Region a, Region b, Way way) {
        List<Pair> pairs = new ArrayList<>();
        for (Region c : numbers) {
            if (!beside(c, a, b, way)) {
                continue;
            }
            Optional<Region> d = counterpart(c, way);
            double seen = c.seen(pictures) + (d.isPresent() ? d.get().seen(pictures) : 0);
            double share = seen / (2.0 * Math.max(1, pictures.size()));
            boolean inRow =
                    way.stacked() && Math.abs(c.y() - a.y()) < NEAR_Y * a.box().height();
            boolean alone = d.isEmpty() && (inRow || large(c, a, way)) && 2 * share >= ALONE_SEEN && !c.onlyOnes();
            if (alone || (d.isPresent() && share >= BOTH_SEEN)) {
                boolean edges = c.onlyOnes() && d.isPresent() && d.get().onlyOnes();
                double beside = d.isEmpty()
                        ? 0
                        : Math.abs(d.get().x() - way.x(c.x())) / c.box().height() / way.near();
                double borne = edges ? share * EDGES : alone ? share * ALONE : share;
                pairs.add(new Pair(c, d.orElse(null), borne * (1 - ASKEW * beside * beside)));
            }
        }
        List<Pair> kept = single(pairs);
        double weight = kept.stream().mapToDouble(Pair::weight).sum();
        double off = kept.stream()
                .filter(p -> p.second() != null)
                .mapToDouble(p -> Math.abs(p.second().x() - way.x(p.first().x()))
                        / p.first().box().height())
                .average()
                .orElse(0);
        return new Found(a, b, way, kept, weight, off);
    }

    /** Whether it is the large number of points on an athlete's own card. */
    private static boolean large(Region c, Region name, Way way) {
        return !way.stacked()
                && c.box().height() > LARGE * name.box().height()
                && Math.abs(c.x() - name.x()) < name.box().width() / 2.0;
    }

    /** Numbers too near each other to be two columns are one. */
    private static List<Pair> single(List<Pair> pairs) {
        List<Pair> kept = new ArrayList<>();
        pairs.stream()
                .sorted(Comparator.comparingDouble(Pair::weight).reversed())
                .forEach(p -> {
                    double near = 0.8 * p.first().box().height();
                    boolean free = kept.stream()
                            .allMatch(k -> apart(k.first(), p.first(), near) && apart(k.second(), p.second(), near));
                    if (free) {
                        kept.add(p);
                    }
                });
        return kept;
    }

    private static boolean apart(@Nullable Region a, @Nullable Region b, double near) {
        return a == null || b == null || Math.abs(a.x() - b.x()) > near || Math.abs(a.y() - b.y()) > near;
    }

    /** Whether a number stands by the first name rather than by the second. */
    private static boolean beside(Region c, Region a, Region b, Way way) {
        double high = a.box().height();
        if (Math.abs(c.y() - a.y()) > (way.stacked() ? BESIDE : ON_CARD) * high
                || c.box().height() > 3 * high) {
            return false;
        }
        if (way.stacked()) {
            return Math.abs(c.y() - a.y()) < Math.abs(c.y() - b.y());
        }
        // moved along, the last number of the first may stand nearer to the second name than to its own
        return way instanceof Shift ? c.x() < b.box().x() : Math.abs(c.x() - a.x()) < Math.abs(c.x() - b.x());
    }

    private Optional<Region> counterpart(Region c, Way way) {
        double x = way.x(c.x());
        double y = way.y(c.y());
        double high = c.box().height();
        return numbers.stream()
                .filter(d -> d != c)
                .filter(d -> Math.abs(d.x() - x) < way.near() * high && Math.abs(d.y() - y) < NEAR_Y * high)
                .filter(d -> Math.max(d.box().height(), high)
                        < 1.8 * Math.min(d.box().height(), high))
                .min(Comparator.comparingDouble(d -> Math.abs(d.x() - x) + Math.abs(d.y() - y)));
    }

    private ScoreGraphic graphic(Found f, int width, int height) {
        List<Pair> order = new ArrayList<>(f.pairs());
        // a row of their own is read from the left, as the first name is
        boolean beside = order.stream()
                .allMatch(p -> Math.abs(p.first().y() - f.a().y())
                        < NEAR_Y * f.a().box().height());
        boolean fromName = f.way() instanceof Mirror && beside;
        order.sort(Comparator.comparingDouble(
                p -> fromName ? Math.abs(p.first().x() - f.a().x()) : p.first().x()));
        List<ScoreGraphic.Column> columns = new ArrayList<>();
        for (Pair p : order) {
            double room = room(p, order);
            Region second = p.second();
            Box first =
                    cell(p.first().x(), p.first().y(), p.first().box(), room).within(width, height);
            double x = second == null ? f.way().x(p.first().x()) : second.x();
            double y = second == null ? f.way().y(p.first().y()) : second.y();
            Box other = cell(x, y, second == null ? p.first().box() : second.box(), room)
                    .within(width, height);
            columns.add(new ScoreGraphic.Column(first, other, heading(p.first())));
        }
        List<ScoreGraphic.Name> read = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            int athlete = i;
            Region r = i == 0 ? f.a() : f.b();
            List<Box> cells = columns.stream().map(c -> c.of(athlete)).toList();
            read.add(new ScoreGraphic.Name(
                    NameText.of(r, i == 0 ? f.b() : f.a(), cells, parts, onlyNoughts), r.box(), r.agreement()));
        }
        return new ScoreGraphic(read, columns);
    }

    /** How wide a number of the first athlete may be read without touching the next, pixels. */
    private static double room(Pair p, List<Pair> all) {
        double room = 2.2 * p.first().box().height();
        for (Pair q : all) {
            if (q != p
                    && Math.abs(q.first().y() - p.first().y()) < p.first().box().height()) {
                room = Math.min(room, Math.abs(q.first().x() - p.first().x()));
            }
        }
        return room;
    }

    private static Box cell(double x, double y, Box seen, double room) {
        double wide = Math.max(1, Math.min(room, Math.max(seen.width(), 1.6 * seen.height())));
        int left = (int) Math.max(0, Math.round(x - wide / 2));
        int top = (int) Math.max(0, Math.round(y - seen.height() / 2.0));
        return new Box(left, top, Math.max(1, (int) Math.round(wide)), seen.height());
    }

    /** What a word right above a number, or right before it, says that it counts. */
    private @Nullable ScoreKind heading(Region number) {
        double high = number.box().height();
        return headings.stream()
                .filter(h -> {
                    double up = number.y() - h.y();
                    boolean over = Math.abs(h.x() - number.x()) < high && up > 0.5 * high && up < 5 * high;
                    double before = number.x() - h.x();
                    boolean leads = Math.abs(up) < 0.5 * high && before > 0 && before < 2.5 * high;
                    return over || leads;
                })
                .min(Comparator.comparingDouble(h -> Math.abs(number.y() - h.y()) + Math.abs(number.x() - h.x())))
                .flatMap(h -> ScoreKind.of(h.text()))
                .orElse(null);
    }
}
