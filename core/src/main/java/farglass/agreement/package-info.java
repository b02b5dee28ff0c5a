/**
 * Would a second analyst have tagged the same? Two records of one match are laid over each other: agreement second by
 * second, and tag by tag.
 *
 * <p>Entry point: {@link farglass.agreement.Agreement}. Uses farglass.match, farglass.lexicon, farglass.time.
 */
@NullMarked
package farglass.agreement;

import org.jspecify.annotations.NullMarked;
