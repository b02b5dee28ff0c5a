/**
 * Text from outside that is to be shown: one line, without control characters, of bounded length. Entry point {@link
 * farglass.text.PlainLine}. Uses nothing else.
 */
@NullMarked
package farglass.text;

import org.jspecify.annotations.NullMarked;
