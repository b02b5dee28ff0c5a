package farglass.tendency;

import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import java.time.LocalDate;

/**
 * Which matches count, and how much.
 *
 * @param attire {@code gi}, {@code no-gi}, or null for both
 * @param ruleset code, or null for all
 * @param from first date that counts, or null
 * @param to last date that counts, or null
 * @param halfLifeYears recency half-life, or null for none
 * @param asOf date that ages are counted back from, or null for the newest match
 * @param baseline whether estimates shrink toward the library's average
 */
public record Filter(
        String attire,
        String ruleset,
        LocalDate from,
        LocalDate to,
        Double halfLifeYears,
        LocalDate asOf,
        boolean baseline) {
    public static final double DEFAULT_HALF_LIFE = 3;
    public static final Filter ALL = new Filter(null, null, null, null, DEFAULT_HALF_LIFE, null, true);

    public Filter {
        if (halfLifeYears != null && !(halfLifeYears > 0)) {
            throw new IllegalArgumentException("half-life (" + halfLifeYears + " years) must be positive");
        }
    }

    /** Whether a record counts; training rounds and excerpts stay out of rates. */
    public boolean accepts(MatchRecord r) {
        LocalDate date = r.details().date();
        return r.kind() == RecordKind.MATCH
                && (attire == null || attire.equals(r.details().attire()))
                && (ruleset == null || ruleset.equals(r.details().ruleset()))
                && (from == null || date != null && !date.isBefore(from))
                && (to == null || date != null && !date.isAfter(to));
    }

    public Filter attire(String value) {
        return new Filter(value, ruleset, from, to, halfLifeYears, asOf, baseline);
    }

    public Filter dates(LocalDate first, LocalDate last) {
        return new Filter(attire, ruleset, first, last, halfLifeYears, asOf, baseline);
    }

    public Filter asOf(LocalDate date) {
        return new Filter(attire, ruleset, from, to, halfLifeYears, date, baseline);
    }
}
