/**
 * The score graphic of a film: which text stays where in the picture, what of it are names, points, advantages and
 * penalties, and when they change.
 */
@NullMarked
package farglass.film.score;

import org.jspecify.annotations.NullMarked;
