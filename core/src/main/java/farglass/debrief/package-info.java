/** What was said before a match held against what happened in it. */
@NullMarked
package farglass.debrief;

import org.jspecify.annotations.NullMarked;
