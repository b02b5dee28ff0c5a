/**
 * What does the analyst want to know? A question in the words of the phrase line becomes a filter and a subject
 * ({@link farglass.ask.Asked}), with what was understood and what was not. {@code farglass.profile.Answer} answers it
 * in claims.
 */
@NullMarked
package farglass.ask;

import org.jspecify.annotations.NullMarked;
