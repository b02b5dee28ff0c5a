package farglass.tendency;

import farglass.match.Role;
import farglass.match.Situation;
import java.util.Locale;

/**
 * What is asked of all athletes of a library together: the name of a {@link CountColumn}.
 *
 * @param of a technique, {@code @family}, trigger, step, or place and role; empty where there is only one
 */
public record ColumnKey(Kind kind, String of) {
    /** What a column tells, and the numbers of its rows. */
    public enum Kind {
        /** Attempts: those that worked, that had an outcome, and all. */
        TRIES(false),
        /** Attempts of a technique, and the time in which it could be tried, ms; of those who try it. */
        RATE(false),
        /** Attempts that worked, and live time, ms. */
        LANDED(false),
        /** Live time, ms; a row for everybody. */
        TIME(false),
        /** Attempts that worked and attempts, match by match. */
        ALIKE(false),
        /** By answer to a trigger. */
        ANSWERS(false),
        /** By way out of a place. */
        EXITS(false),
        /** Stays in a place by technique, all of them under {@link PlaceStays#ALL}. */
        STAYS(false),
        /** Live time by place and role, ms, of all athletes together. */
        PLACES(true),
        /** Exchanges by what follows a step, under an empty word those with the step, of all athletes together. */
        FOLLOWS(true);

        private final boolean summed;

        Kind(boolean summed) {
            this.summed = summed;
        }

        /** Whether one row holds the sum of all athletes. */
        public boolean summed() {
            return summed;
        }
    }

    static final ColumnKey TIME = new ColumnKey(Kind.TIME, "");
    static final ColumnKey PLACES = new ColumnKey(Kind.PLACES, "");

    static ColumnKey at(Kind kind, Situation s) {
        return new ColumnKey(kind, word(s));
    }

    static String word(Situation s) {
        return s.position() + "/" + s.role().name();
    }

    static Situation situation(String word) {
        int end = word.lastIndexOf('/');
        return new Situation(word.substring(0, end), Role.valueOf(word.substring(end + 1)));
    }

    /** The same in one word, for where columns are kept. */
    public String name() {
        return kind.name().toLowerCase(Locale.ROOT) + " " + of;
    }
}
