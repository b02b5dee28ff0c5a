package farglass.film.score;

import farglass.film.Box;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;

/** A place of the picture in which text stands in several pictures of a film. */
final class Region {
    /** Two words whose middles are closer than this share of their height stand in one place. */
    private static final double NEAR = 0.6;
    /** Numbers of one and two digits begin in one place or end in one, so that their middles move. */
    private static final double NEAR_ACROSS = 0.8;

    /** Lines of one place are about as high; one this much higher has taken in its neighbour. */
    private static final double ALIKE = 1.5;

    /** Wider than so many heights is a word, and what is narrower by this factor a part of it: an initial after it. */
    private static final double LONG = 2.5;

    private final List<Integer> pictures = new ArrayList<>();
    private final List<Word> words = new ArrayList<>();
    /** Places of the words that a test lets through, one for each group of words that stay put. */
    static List<Region> of(SampledWords sampled, Predicate<Word> which) {
        List<Region> regions = new ArrayList<>();
        for (int i = 0; i < sampled.pictures().size(); i++) {
            for (Word w : sampled.pictures().get(i).words()) {
                if (which.test(w)) {
                    Region at = regions.stream()
                            .filter(r -> r.holds(w.box()))
                            .findFirst()
                            .orElse(null);
                    if (at == null) {
                        at = new Region();
                        regions.add(at);
                    }
                    at.add(i, w);
                }
            }
        }
        return regions;
    }

    private boolean holds(Box b) {
        Box box = box();
        double low = Math.min(box.height(), b.height());
        double across = Math.min(
                Math.abs(2 * box.x() + box.width() - 2 * b.x() - b.width()) / 2.0,
                Math.min(Math.abs(box.x() - b.x()), Math.abs(box.x() + box.width() - b.x() - b.width())));
        double down = Math.abs(2 * box.y() + box.height() - 2 * b.y() - b.height()) / 2.0;
        double wide = Math.max(box.width(), b.width());
        boolean part = wide > LONG * low && wide > LONG * Math.min(box.width(), b.width());
        return !part
                && across < NEAR_ACROSS * low
                && down < NEAR * low
                && Math.max(box.height(), b.height()) < ALIKE * low;
    }

    private void add(int picture, Word w) {
        words.add(w);
        if (pictures.isEmpty() || pictures.get(pictures.size() - 1) != picture) {
            pictures.add(picture);
        }
    }

    /**
     * Middle of all that was read here: a single line found too high or too long does not move it. At the right a
     * quarter of the lines is enough, because a nought is easily read with the name before it.
     */
    Box box() {
        int left = at(0.5, w -> w.box().x());
        int top = at(0.5, w -> w.box().y());
        int right = at(0.25, w -> w.box().x() + w.box().width());
        int bottom = at(0.5, w -> w.box().y() + w.box().height());
        return new Box(left, top, Math.max(1, right - left), Math.max(1, bottom - top));
    }

    private int at(double share, ToIntFunction<Word> of) {
        return words.stream().mapToInt(of).sorted().toArray()[(int) (share * words.size())];
    }

    /** Whether anything was read here that way. */
    boolean read(String text) {
        return words.stream().anyMatch(w -> bare(w.text()).equals(bare(text)));
    }

    /** Whether it was read as a one every time, as the edge of a graphic is. */
    boolean onlyOnes() {
        return words.stream().allMatch(w -> bare(w.text()).equals("1"));
    }

    /** Pictures of a set in which something was read here. */
    long seen(List<Integer> of) {
        return pictures.stream().filter(of::contains).count();
    }

    /** Middle across, pixels. */
    double x() {
        return box().x() + box().width() / 2.0;
    }

    /** Middle down, pixels. */
    double y() {
        return box().y() + box().height() / 2.0;
    }

    /**
     * What stands here most often, spaces, points and case aside; of its ways to be read the most usual one, and that
     * with a space or a point before that without, which are easily overlooked.
     */
    String text() {
        Map<String, Double> bare = new HashMap<>();
        for (Word w : words) {
            bare.merge(bare(w.text()), w.confidence(), Double::sum);
        }
        String best = bare.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse("");
        Map<String, Double> ways = new HashMap<>();
        for (Word w : words) {
            if (bare(w.text()).equals(best)) {
                double marks = (w.text().contains(".") ? 3 : 1) * (w.text().contains(" ") ? 2 : 1);
                ways.merge(w.text(), w.confidence() * marks, Double::sum);
            }
        }
        return spelled(ways.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(""));
    }

    /**
     * A name without what no name has: a stroke after a letter is an l, and one that begins a word before n an I; an
     * initial has a space beside it.
     */
    static String spelled(String text) {
        return text.replaceAll("(?<=\\p{L})[!|]", "l")
                .replaceAll("\\bl(?=[bcdfghjkmnpqrstvwxz])", "I")
                .replaceAll("^(\\p{Lu})\\.(?=\\p{L})", "$1. ")
                .replaceAll("(?<=\\p{Lu}{3}|\\p{Ll})(\\p{Lu})\\.$", " $1.");
    }

    /** Share of what was read here that agrees with {@link #text}, weighed by confidence, 0..1. */
    double agreement() {
        String text = bare(text());
        double all = 0;
        double same = 0;
        for (Word w : words) {
            all += w.confidence();
            same += bare(w.text()).equals(text) ? w.confidence() : 0;
        }
        return all == 0 ? 0 : same / all;
    }

    private static String bare(String text) {
        return spelled(text).replaceAll("[\\s.]", "").toUpperCase(Locale.ROOT);
    }
}
