package farglass.narration;

/**
 * An action that was named, whether it happened or not.
 *
 * @param code of the technique, or of its family
 * @param family whether only the family was named
 * @param from, to first and last word
 * @param exact whether it was heard as it is written
 * @param verb whether it was said as something that is done: "passes the guard"
 */
record NamedAct(String code, boolean family, int from, int to, boolean exact, boolean verb) {}
