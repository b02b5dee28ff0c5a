/** The first pass over a match: what of it must be seen at its own speed, and whether the skeleton stands. */
@NullMarked
package farglass.skim;

import org.jspecify.annotations.NullMarked;
