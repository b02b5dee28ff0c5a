package farglass.narration;

/**
 * A word as it was said.
 *
 * @param said as it was written
 * @param bare lower case, letters and digits alone, without a possessive ending
 * @param owned whether it had a possessive ending
 * @param ms film time at which it was said
 * @param pause how it ends
 */
record Word(String said, String bare, boolean owned, long ms, Pause pause) {
    /** What follows a word. */
    enum Pause {
        NONE,
        /** A comma, or the like. */
        SHORT,
        /** The end of a sentence, or of what was said in one breath. */
        LONG
    }
}
