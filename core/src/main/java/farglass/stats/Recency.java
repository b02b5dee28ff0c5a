package farglass.stats;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/** How much an old match weighs: w = 2^(-age / half-life). */
public final class Recency {
    private static final double YEAR_DAYS = 365.25;
    /** Less cannot be told from nothing, and squares of it would vanish. */
    private static final double LEAST = 1e-6;

    private Recency() {}

    /**
     * @param date date of the match; null weighs like one of {@code asOf}
     * @param asOf date of the assignment
     * @param halfLifeYears positive, or null for no ageing
     * @return weight in [1e-6, 1]; matches after {@code asOf} weigh 1
     */
    public static double weight(@Nullable LocalDate date, @Nullable LocalDate asOf, @Nullable Double halfLifeYears) {
        if (date == null || asOf == null || halfLifeYears == null) {
            return 1;
        }
        double age = ChronoUnit.DAYS.between(date, asOf) / YEAR_DAYS;
        return age <= 0 ? 1 : Math.max(LEAST, Math.pow(2, -age / halfLifeYears));
    }
}
