/**
 * The typefaces that ship with the application (Open Font License), as resources: screen, page and made-up footage set
 * the same faces. Entry point: {@link farglass.type.Typeface}. Uses the JDK only.
 */
@NullMarked
package farglass.type;

import org.jspecify.annotations.NullMarked;
