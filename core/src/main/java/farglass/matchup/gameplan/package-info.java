/**
 * The page that a corner takes along, worked out from a proposal and the film: how both begin, where to be and how to
 * get there, what they do and what helps against it.
 */
@NullMarked
package farglass.matchup.gameplan;

import org.jspecify.annotations.NullMarked;
