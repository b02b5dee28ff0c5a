/** Sentences of the use cases. Entry point {@link farglass.work.words.WorkWords}. */
@NullMarked
package farglass.work.words;

import org.jspecify.annotations.NullMarked;
