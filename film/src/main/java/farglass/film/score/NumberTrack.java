package farglass.film.score;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What a number on the picture was over the film, from readings some of which are wrong: the course under which the
 * readings and the changes together cost least (Viterbi's algorithm; Rabiner, Proceedings of the IEEE 77, 1989).
 *
 * @param changes in film order; a first number other than nought is a change from nought
 * @param support how well the readings bear it out: 0 when none says so, 1 when all surely do
 */
record NumberTrack(List<Change> changes, double support) {
    /** A sure reading of something else costs so much (log chances). */
    private static final double MISREAD = 3;
    /** The less likely of two ways to read it. */
    private static final double OTHERWISE = 0.15;
    /** A seven taken for a one. */
    private static final double SEVEN = 0.3;
    /** Two ones taken for one. */
    private static final double ELEVEN = 0.1;
    /** Nothing read where something should stand. */
    private static final double UNREAD = 0.3;
    /** Weight of a reading that says the same as the one before. */
    private static final double AGAIN = 0.5;
    /** One change that a score can make. */
    private static final double USUAL = 4;
    /** No change, while the reading of a second digit changes. */
    private static final double UNMOVED = 3;
    /** Any other change upwards. */
    private static final double UP = 6.5;
    /** More than two calls give together. */
    private static final double FAR = 12;
    /** A score taken back. */
    private static final double DOWN = 7;
    /** A film that begins with a number other than nought. */
    private static final double BEGUN = 2.5;
    /** Points that one action gives at most. */
    private static final int MOST = 4;
    /** A change that the readings after it bear out less is none. */
    private static final double DOUBTFUL = 0.2;
    /** Readings after a change from which its confidence is told. */
    private static final int AFTER = 6;

    /**
     * A reading.
     *
     * @param value -1 when nothing could be read
     * @param other what it may be instead; the same when there is no doubt
     * @param longer what it may be when its second digit stands beside the place of one; -1 when nothing
     * @param confidence 0..1
     */
    record Reading(long ms, int value, int other, int longer, double confidence) {
        boolean says(int number) {
            return value == number || may(number) || (number == 11 && oneStroke());
        }

        /** Whether nothing but a one was read, as of two ones that stand close. */
        boolean oneStroke() {
            return value == 1 && other == 1 && (longer < 0 || longer == 11);
        }

        boolean may(int number) {
            return other == number || (longer >= 0 && longer == number);
        }

        boolean same(Reading r) {
            return value == r.value && other == r.other && longer == r.longer;
        }
    }

    /**
     * A change.
     *
     * @param fromMs when the old number was last read; 0 for a number that stood there when it was first read
     * @param ms when the new one was first read
     * @param confidence 0..1
     */
    record Change(long fromMs, long ms, int before, int after, double confidence) {}

    static NumberTrack of(List<Reading> readings) {
        return of(readings, MOST);
    }

    /** @param most that one call gives of what is counted */
    static NumberTrack of(List<Reading> readings, int most) {
        int[] course = course(readings, most);
        return new NumberTrack(changes(readings, course), support(readings, course));
    }

    private static double support(List<Reading> readings, int[] course) {
        double sum = 0;
        for (int i = 0; i < course.length; i++) {
            sum += readings.get(i).says(course[i]) ? readings.get(i).confidence() : 0;
        }
        return course.length == 0 ? 0 : sum / course.length;
    }

    private static List<Change> changes(List<Reading> readings, int[] course) {
        List<Change> changes = new ArrayList<>();
        int last = -1;
        long lastMs = 0;
        for (int i = 0; i < course.length; i++) {
            if (!readings.get(i).says(course[i])) {
                continue;
            }
            int before = last < 0 ? 0 : last;
            if (course[i] != before) {
                double sure = sure(readings, course, i);
                if (sure < DOUBTFUL) {
                    continue;
                }
                changes.add(new Change(lastMs, readings.get(i).ms(), before, course[i], sure));
            }
            last = course[i];
            lastMs = readings.get(i).ms();
        }
        return changes;
    }

    /** Share of the next readings that say so, times how sure they are. */
    private static double sure(List<Reading> readings, int[] course, int from) {
        double sum = 0;
        int n = 0;
        for (int i = from; i < course.length && n < AFTER && course[i] == course[from]; i++) {
            n++;
            sum += readings.get(i).says(course[i]) ? readings.get(i).confidence() : 0;
        }
        return n == 0 ? 0 : sum / n;
    }

    private static int[] course(List<Reading> readings, int most) {
        SortedSet<Integer> read = new TreeSet<>();
        readings.forEach(r -> read.addAll(List.of(r.value(), r.other(), r.longer())));
        read.remove(-1);
        if (read.contains(1) && !read.subSet(11 - most, 11).isEmpty()) {
            read.add(11);
        }
        int n = readings.size();
        int[] course = new int[n];
        if (read.isEmpty()) {
            Arrays.fill(course, -2);
            return course;
        }
        int[] values = read.stream().mapToInt(Integer::intValue).toArray();
        double[] cost = new double[values.length];
        for (int s = 0; s < values.length; s++) {
            cost[s] = values[s] == 0 ? 0 : BEGUN;
        }
        int[][] from = new int[n][values.length];
        for (int i = 0; i < n; i++) {
            double[] next = new double[values.length];
            for (int s = 0; s < values.length; s++) {
                int best = s;
                double unmoved = i > 0 ? unmoved(readings.get(i - 1), readings.get(i)) : 0;
                for (int b = 0; i > 0 && b < values.length; b++) {
                    if (cost[b] + change(values[b], values[s], most, unmoved)
                            < cost[best] + change(values[best], values[s], most, unmoved)) {
                        best = b;
                    }
                }
                from[i][s] = best;
                next[s] = cost[best]
                        + change(values[best], values[s], most, unmoved)
                        + weight(readings, i) * mistake(readings.get(i), values[s]);
            }
            cost = next;
        }
        int at = 0;
        for (int s = 1; s < values.length; s++) {
            at = cost[s] < cost[at] ? s : at;
        }
        for (int i = n - 1; i >= 0; i--) {
            course[i] = values[at];
            at = from[i][at];
        }
        return course;
    }

    /** What is read the same way again is hardly new evidence: the same picture is misread the same way. */
    private static double weight(List<Reading> readings, int i) {
        boolean again = i > 0 && readings.get(i).same(readings.get(i - 1));
        return again ? AGAIN : 1;
    }

    private static double mistake(Reading r, int value) {
        if (r.value() < 0) {
            return UNREAD;
        }
        if (r.value() == value) {
            return 0;
        }
        if (r.may(value)) {
            return OTHERWISE;
        }
        // a seven is read as a one in some typefaces, all the time
        boolean seven = value == 7 && r.value() == 1 && r.other() == 1;
        // and two ones as one
        boolean eleven = value == 11 && r.oneStroke();
        return seven ? SEVEN : eleven ? ELEVEN : MISREAD * r.confidence();
    }

    /** What it costs to say that nothing has changed while the second digit did, as from 11 to 13. */
    private static double unmoved(Reading before, Reading now) {
        boolean moved = before.longer() >= 0 && now.longer() >= 0 && before.longer() != now.longer();
        return moved ? UNMOVED * Math.min(before.confidence(), now.confidence()) : 0;
    }

    private static double change(int before, int after, int most, double unmoved) {
        if (before == after) {
            return unmoved;
        }
        if (after < before) {
            return DOWN;
        }
        if (after - before <= most) {
            return USUAL;
        }
        return after - before <= 2 * most ? UP : FAR;
    }
}
