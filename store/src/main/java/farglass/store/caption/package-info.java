/** Timed text from outside. */
@NullMarked
package farglass.store.caption;

import org.jspecify.annotations.NullMarked;
