/**
 * What an athlete is told before the match: claims, forks, conduct and notes in the order of the plan, with their
 * moments.
 */
@NullMarked
package farglass.brief;

import org.jspecify.annotations.NullMarked;
