package farglass.film.map;

import farglass.film.map.FilmScan.Display;
import farglass.film.text.TextLine;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Reads the displays of a clock once more by the shapes of its own digits, where the network's readings of the seconds
 * fit the time that passed.
 *
 * @param displays in film order
 * @param lines what the network read in each
 */
record ShapeReading(List<Display> displays, List<TextLine> lines) {
    /** Surer readings that follow each other show what the digits look like. */
    private static final double KNOWN = 0.8;
    /** Minutes that are read less surely are not read. */
    private static final double SURE = 0.6;
    /** So many displays must say the same minutes, and so large a share of those that say any. */
    private static final int AGREED = 3;

    /** Displays from which the shapes are learned, about. */
    private static final int ENOUGH = 200;

    private static final double UNANIMOUS = 0.95;
    private static final int MINUTE = 60;
    /** The last seconds with tenths are no minutes and seconds. */
    private static final Pattern TENTHS = Pattern.compile("[0-9]{1,2}[.,][0-9]");

    /** Whether one display can follow another in the time between them. */
    interface Follows {
        boolean test(int from, int to);
    }

    /**
     * Changes what the shapes tell clearly.
     *
     * @param shown seconds by display, below 0 where nothing was read
     * @param confidence of each
     */
    void read(int[] shown, double[] confidence, Follows follows) {
        Optional<DigitShapes> shapes = DigitShapes.of(known(shown, confidence, follows));
        if (shapes.isEmpty()) {
            return;
        }
        List<Optional<DigitShapes.Told>> told = new ArrayList<>();
        for (int i = 0; i < shown.length; i++) {
            told.add(
                    tenths(lines.get(i))
                            ? Optional.empty()
                            : shapes.get().read(displays.get(i).inside()));
        }
        for (List<Integer> same : sameMinutes(told)) {
            int digits = told.get(same.get(0)).orElseThrow().digits();
            int minutes = minutes(
                    same.stream().map(k -> minutes(lines.get(k), digits)).toList(),
                    same.stream().map(k -> told.get(k).orElseThrow().minutes()).toList());
            for (int k : minutes < 0 ? List.<Integer>of() : same) {
                shown[k] = MINUTE * minutes + told.get(k).orElseThrow().seconds();
                confidence[k] = Math.max(confidence[k], SURE);
            }
        }
    }

    /** Displays that were read surely and fit both their neighbours. */
    private List<DigitShapes.Sample> known(int[] shown, double[] confidence, Follows follows) {
        List<DigitShapes.Sample> known = new ArrayList<>();
        for (int i = 1; i + 1 < shown.length; i++) {
            boolean read = shown[i - 1] >= 0 && shown[i] >= 0 && shown[i + 1] >= 0 && confidence[i] >= KNOWN;
            if (read && !tenths(lines.get(i)) && follows.test(i - 1, i) && follows.test(i, i + 1)) {
                sample(displays.get(i), lines.get(i)).ifPresent(known::add);
            }
        }
        // a long film shows the same digits again and again
        int every = 1 + known.size() / ENOUGH;
        List<DigitShapes.Sample> some = new ArrayList<>();
        for (int i = 0; i < known.size(); i += every) {
            some.add(known.get(i));
        }
        return some;
    }

    /** Displays whose minutes look the same, whatever they are. */
    private static List<List<Integer>> sameMinutes(List<Optional<DigitShapes.Told>> told) {
        List<List<Integer>> groups = new ArrayList<>();
        for (int i = 0; i < told.size(); i++) {
            if (told.get(i).isEmpty()) {
                continue;
            }
            DigitShapes.Told one = told.get(i).get();
            List<Integer> group = null;
            for (int g = groups.size() - 1; g >= 0 && group == null; g--) {
                DigitShapes.Told first = told.get(groups.get(g).get(0)).orElseThrow();
                group = first.sameMinutes(one) ? groups.get(g) : null;
            }
            if (group == null) {
                group = new ArrayList<>();
                groups.add(group);
            }
            group.add(i);
        }
        return groups;
    }

    /**
     * The minutes of displays that show the same: what the network reads, where it reads the same nearly every time;
     * else what the shapes tell, where they do.
     */
    static int minutes(List<Integer> read, List<Integer> shape) {
        for (List<Integer> votes : List.of(read, shape)) {
            List<Integer> said = votes.stream().filter(m -> m >= 0).toList();
            for (int m : said) {
                if (said.size() >= AGREED && Collections.frequency(said, m) >= UNANIMOUS * said.size()) {
                    return m;
                }
            }
        }
        return -1;
    }

    /** Minutes that were read; -1 where it was no clock of so many digits. */
    private static int minutes(TextLine line, int digits) {
        String bare = line.text().replaceAll("[^0-9]", "");
        return bare.length() == digits && line.confidence() >= SURE
                ? Integer.parseInt(bare.substring(0, digits - 2))
                : -1;
    }

    static boolean tenths(TextLine line) {
        return TENTHS.matcher(line.text().strip()).matches();
    }

    /** The digits of a display and where they stand in its inside; empty when it is not minutes and seconds. */
    private static Optional<DigitShapes.Sample> sample(Display display, TextLine line) {
        StringBuilder digits = new StringBuilder();
        List<Double> at = new ArrayList<>();
        double whole = display.inside().width() / (1 - 2 * ScanPass.EDGE);
        for (int i = 0; i < line.text().length(); i++) {
            if (Character.isDigit(line.text().charAt(i))) {
                digits.append(line.text().charAt(i));
                at.add((line.at().get(i) - ScanPass.EDGE) * whole);
            }
        }
        boolean clock = digits.length() == 3 || digits.length() == 4;
        return clock ? Optional.of(new DigitShapes.Sample(display.inside(), digits.toString(), at)) : Optional.empty();
    }
}
