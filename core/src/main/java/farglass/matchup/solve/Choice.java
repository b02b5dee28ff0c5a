package farglass.matchup.solve;

import farglass.matchup.model.ModelState;

/**
 * A piece of advice: in this place, at this score and in this part of the match, do this rather than what comes
 * naturally.
 *
 * @param minutes of an average match in which it applies
 * @param ms match time of the moment, with no penalty called, at which it applies most
 * @param points ours minus theirs at that moment
 * @param advantages ours minus theirs at that moment
 */
public record Choice(
        ModelState place, Region region, Option option, double minutes, long ms, int points, int advantages) {}
