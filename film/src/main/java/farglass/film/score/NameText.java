package farglass.film.score;

import farglass.film.Box;
import java.util.Comparator;
import java.util.List;

/** What a name reads with its neighbours: without a nought right after it, with the initial or word beside it. */
final class NameText {
    /** Parts of a name stand so many heights of the line beside each other at most. */
    private static final double BESIDE = 1.2;
    /** So much of an initial may lie within what was read as the name. */
    private static final double WITHIN = 1;

    private static final double ONE_LINE = 0.6;

    private NameText() {}

    /** Whether a single letter stands there that is not what a nought or a one is read as. */
    static boolean initial(Region r) {
        String text = r.text();
        return text.matches("\\p{Lu}\\.?") && (text.length() == 2 || !"CDGILOQU".contains(text));
    }

    /**
     * @param other the other athlete's, which is no part of this one; nor is what stands nearer to it
     * @param cells where the athlete's numbers stand
     * @param words places of other words, single letters among them
     * @param onlyNoughts whether numbers were found only by taking noughts from names
     */
    static String of(Region name, Region other, List<Box> cells, List<Region> words, boolean onlyNoughts) {
        String text = bare(name, cells, onlyNoughts);
        Box box = name.box();
        for (Region r : words.stream()
                .sorted(Comparator.comparingDouble(r -> Math.abs(r.x() - name.x())))
                .toList()) {
            Box b = r.box();
            if (r == name
                    || r == other
                    || !beside(b, box)
                    || nearer(b, other.box(), box)
                    || cells.stream().anyMatch(c -> Layout.overlap(c, b))) {
                continue;
            }
            boolean before = b.x() < box.x();
            if (initial(r)) {
                String letter = r.text().substring(0, 1);
                if (!text.matches(letter + "\\b.*") && !text.matches(".*\\b" + letter + "\\.?")) {
                    text = before ? letter + ". " + text : text.replaceAll("\\s\\S\\.?$", "") + " " + letter + ".";
                }
            } else if (r.text().length() > 2 && !Layout.overlap(b, box)) {
                text = before ? r.text() + " " + text : text + " " + r.text();
                int left = Math.min(b.x(), box.x());
                int right = Math.max(b.x() + b.width(), box.x() + box.width());
                box = new Box(left, box.y(), right - left, box.height());
            }
        }
        return text;
    }

    private static boolean nearer(Box word, Box other, Box name) {
        return beside(word, other) && gap(word, other) < gap(word, name);
    }

    /** Pixels between two boxes of one row; below 0 where they overlap. */
    private static double gap(Box a, Box b) {
        return a.x() < b.x() ? b.x() - a.x() - a.width() : a.x() - b.x() - b.width();
    }

    private static boolean beside(Box a, Box name) {
        double high = Math.min(a.height(), name.height());
        double gap = gap(a, name);
        double down = Math.abs(2 * a.y() + a.height() - 2 * name.y() - name.height()) / 2.0;
        return down < ONE_LINE * high && gap > -WITHIN * high && gap < BESIDE * high;
    }

    /** Without the nought that stands right after it and was sometimes read with it. */
    private static String bare(Region name, List<Box> cells, boolean onlyNoughts) {
        String text = name.text();
        Box b = name.box();
        boolean after = cells.stream().anyMatch(c -> {
            double beside = c.x() + c.width() / 2.0 - b.x() - b.width();
            return Layout.overlap(c, new Box(c.x(), b.y(), c.width(), b.height()))
                    && beside > -1.2 * b.height()
                    && beside < 1.5 * b.height();
        });
        if (!after || !Word.endsWithNought(text)) {
            return text;
        }
        String without = text.substring(0, text.length() - 1).strip();
        // no name ends in a letter right after a point
        boolean parted = text.matches(".*\\.\\s?.");
        boolean more = text.matches(".*\\.\\s?[OD0Q]{2,}");
        return more
                ? text.replaceAll("(?<=\\.)\\s?[OD0Q]+$", "")
                : onlyNoughts || parted || name.read(without) ? without : text;
    }
}
