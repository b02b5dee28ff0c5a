package farglass.tendency;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Which matches count, how much, and which part of them.
 *
 * @param attire {@code gi}, {@code no-gi}, or null for both
 * @param ruleset code, or null for all
 * @param from first date that counts, or null
 * @param to last date that counts, or null
 * @param halfLifeYears recency half-life, or null for none
 * @param asOf date that ages are counted back from, or null for the newest match
 * @param baseline whether estimates shrink toward the library's average
 * @param kinds kinds of record; excerpts never count
 * @param opponents whom the athlete met
 * @param matches ids of a named set of matches, or empty for all
 * @param moment part of each match
 */
public record Filter(
        @Nullable String attire,
        @Nullable String ruleset,
        @Nullable LocalDate from,
        @Nullable LocalDate to,
        @Nullable Double halfLifeYears,
        @Nullable LocalDate asOf,
        boolean baseline,
        Set<RecordKind> kinds,
        Opponents opponents,
        Set<String> matches,
        Moment moment) {
    public static final double DEFAULT_HALF_LIFE = 3;
    public static final Filter ALL = new Filter(null, null, null, null, DEFAULT_HALF_LIFE, null, true);

    public Filter {
        if (halfLifeYears != null && !(halfLifeYears > 0)) {
            throw new IllegalArgumentException("half-life (" + halfLifeYears + " years) must be positive");
        }
        kinds = Set.copyOf(kinds);
        matches = Set.copyOf(matches);
    }

    /** What counts: of matches all, of opponents all, of a match every moment. */
    public Filter(
            @Nullable String attire,
            @Nullable String ruleset,
            @Nullable LocalDate from,
            @Nullable LocalDate to,
            @Nullable Double halfLifeYears,
            @Nullable LocalDate asOf,
            boolean baseline) {
        this(
                attire,
                ruleset,
                from,
                to,
                halfLifeYears,
                asOf,
                baseline,
                Set.of(RecordKind.MATCH),
                Opponents.ALL,
                Set.of(),
                Moment.ANY);
    }

    /** Whether a record counts at all; training rounds only when asked in, excerpts never. */
    public boolean accepts(MatchRecord r) {
        LocalDate date = r.details().date();
        return accepts(CountedGroup.of(r))
                && (from == null || (date != null && !date.isBefore(from)))
                && (to == null || (date != null && !date.isAfter(to)))
                && (matches.isEmpty() || matches.contains(r.id()));
    }

    /** Whether it accepts groups of matches as a whole. */
    boolean wholeGroups() {
        return from == null && to == null && matches.isEmpty();
    }

    /** Whether it accepts the same matches as no filter at all. */
    boolean acceptsAll() {
        return wholeGroups() && attire == null && ruleset == null && kinds.equals(ALL.kinds);
    }

    /** Whether a group of matches counts at all. */
    boolean accepts(CountedGroup group) {
        return kinds.contains(group.kind())
                && group.kind() != RecordKind.EXCERPT
                && (attire == null || attire.equals(group.attire()))
                && (ruleset == null || ruleset.equals(group.ruleset()));
    }

    boolean accepts(MatchRecord r, Corner me) {
        return accepts(r) && opponents.accepts(r.athlete(me.other()));
    }

    /** The same for the others in the library: neither whom one met nor the named set is asked of them. */
    public Filter ofOthers() {
        return opponents(Opponents.ALL).matches(Set.of());
    }

    /** The same in an attire, {@code gi} or {@code no-gi}; null for either. */
    public Filter attire(@Nullable String value) {
        return new Filter(value, ruleset, from, to, halfLifeYears, asOf, baseline, kinds, opponents, matches, moment);
    }

    /** The same under a ruleset, by code; null for all. */
    public Filter ruleset(String value) {
        return new Filter(attire, value, from, to, halfLifeYears, asOf, baseline, kinds, opponents, matches, moment);
    }

    /** The same between two days, both counted; null for open ends. */
    public Filter dates(@Nullable LocalDate first, @Nullable LocalDate last) {
        return new Filter(
                attire, ruleset, first, last, halfLifeYears, asOf, baseline, kinds, opponents, matches, moment);
    }

    /** The same with another half-life of weights, years; null for no ageing. */
    public Filter halfLife(@Nullable Double years) {
        return new Filter(attire, ruleset, from, to, years, asOf, baseline, kinds, opponents, matches, moment);
    }

    /** The same seen back from another day; null for the newest match. */
    public Filter asOf(@Nullable LocalDate date) {
        return new Filter(attire, ruleset, from, to, halfLifeYears, date, baseline, kinds, opponents, matches, moment);
    }

    /** The same of other kinds of record. */
    public Filter kinds(Set<RecordKind> which) {
        return new Filter(attire, ruleset, from, to, halfLifeYears, asOf, baseline, which, opponents, matches, moment);
    }

    /** The same against others. */
    public Filter opponents(Opponents who) {
        return new Filter(attire, ruleset, from, to, halfLifeYears, asOf, baseline, kinds, who, matches, moment);
    }

    /** The same in these matches only; empty for all. */
    public Filter matches(Set<String> ids) {
        return new Filter(attire, ruleset, from, to, halfLifeYears, asOf, baseline, kinds, opponents, ids, moment);
    }

    /** The same in another part of each match. */
    public Filter moment(Moment part) {
        return new Filter(attire, ruleset, from, to, halfLifeYears, asOf, baseline, kinds, opponents, matches, part);
    }
}
