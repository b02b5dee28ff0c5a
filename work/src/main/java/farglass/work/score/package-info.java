/** What was read of a score off a film, and who it is about. */
@NullMarked
package farglass.work.score;

import org.jspecify.annotations.NullMarked;
