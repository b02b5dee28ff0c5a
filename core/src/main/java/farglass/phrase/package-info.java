/**
 * What did the analyst type? The grammar of the phrase line, its completion, and the likely next tags of a position.
 *
 * <p>Entry points: {@link farglass.phrase.PhraseReader}, {@link farglass.phrase.LikelyNext}. Uses farglass.match and
 * farglass.lexicon.
 */
@NullMarked
package farglass.phrase;

import org.jspecify.annotations.NullMarked;
