package farglass.narration;

import farglass.lexicon.Term;

/**
 * A term of the lexicon that was said.
 *
 * @param from index of its first word
 * @param to index of its last word
 * @param exact whether it was said as the lexicon has it, inflection aside
 */
record Mention(Term term, int from, int to, boolean exact) {}
