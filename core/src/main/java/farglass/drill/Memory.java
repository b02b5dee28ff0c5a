package farglass.drill;

import java.time.LocalDate;

/**
 * How well one drill is remembered: SM-2 (Wozniak 1990).
 *
 * @param ease factor from one interval to the next, at least 1.3
 * @param intervalDays days from the last answer to the next, 0 while new
 * @param repetitions right answers in a row
 * @param due day from which on it is asked again
 */
public record Memory(double ease, int intervalDays, int repetitions, LocalDate due) {
    private static final double LEAST_EASE = 1.3;
    private static final double FIRST_EASE = 2.5;
    private static final int PASSED = 3;
    private static final int SECOND_INTERVAL = 6;
    private static final double AT_ONCE_S = 2;
    private static final double SOON_S = 4;

    /** Never asked. */
    public static Memory fresh(LocalDate today) {
        return new Memory(FIRST_EASE, 0, 0, today);
    }

    /**
     * Quality of an answer: 5 right within 2 s, 4 within 4 s, 3 right later, 1 wrong, 0 none.
     *
     * @param right null when no answer came
     */
    public static int quality(Boolean right, double seconds) {
        if (right == null) {
            return 0;
        }
        if (!right) {
            return 1;
        }
        return seconds < AT_ONCE_S ? 5 : seconds < SOON_S ? 4 : 3;
    }

    /** @param quality 0 to 5; below 3 it is learned anew, its ease unchanged */
    public Memory answered(int quality, LocalDate today) {
        if (quality < 0 || quality > 5) {
            throw new IllegalArgumentException("quality (" + quality + ") must lie in 0..5");
        }
        if (quality < PASSED) {
            return new Memory(ease, 1, 0, today.plusDays(1));
        }
        double next = Math.max(LEAST_EASE, ease + 0.1 - (5 - quality) * (0.08 + (5 - quality) * 0.02));
        int interval = repetitions == 0 ? 1 : repetitions == 1 ? SECOND_INTERVAL : (int) Math.ceil(intervalDays * next);
        return new Memory(next, interval, repetitions + 1, today.plusDays(interval));
    }
}
