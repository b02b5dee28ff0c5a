/**
 * Can the record be trusted? Findings are data with a place and a message, never exceptions.
 *
 * <p>Entry points: {@link farglass.check.RecordCheck}, {@link farglass.check.SecondLook}, {@link
 * farglass.check.SecondPass}. Uses farglass.match, farglass.lexicon, farglass.phrase and farglass.rules.
 */
@NullMarked
package farglass.check;

import org.jspecify.annotations.NullMarked;
