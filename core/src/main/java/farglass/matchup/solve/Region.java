package farglass.matchup.solve;

/**
 * A part of a match that advice speaks of.
 *
 * @param lead behind, level or ahead, by points, then advantages
 */
public record Region(Lead lead, Part part) {
    /** The last part of a match, ms before its end. */
    public static final long LAST_MS = 120_000;

    static final int COUNT = Lead.values().length * Part.values().length;

    /** How our athlete stands. */
    public enum Lead {
        BEHIND,
        LEVEL,
        AHEAD;

        /** Who leads, by points and then advantages, seen from ours. */
        public static Lead of(int points, int advantages) {
            int sign = points != 0 ? points : advantages;
            return sign < 0 ? BEHIND : sign > 0 ? AHEAD : LEVEL;
        }
    }

    /** When: the first half, the second half until two minutes are left, the last two minutes. */
    public enum Part {
        FIRST,
        SECOND,
        LAST
    }

    /** Place in the model's tables: leads in their order, parts of the match within them. */
    @SuppressWarnings("EnumOrdinal")
    static int index(int points, int advantages, Part part) {
        return Lead.of(points, advantages).ordinal() * Part.values().length + part.ordinal();
    }

    @SuppressWarnings("EnumOrdinal")
    int index() {
        return lead.ordinal() * Part.values().length + part.ordinal();
    }

    static Region of(int index) {
        return new Region(Lead.values()[index / Part.values().length], Part.values()[index % Part.values().length]);
    }
}
