/** What somebody said over a match, read into what may have happened in it: grammar, lexicon and counts. */
@NullMarked
package farglass.narration;

import org.jspecify.annotations.NullMarked;
