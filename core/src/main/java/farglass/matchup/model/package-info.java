/**
 * What the model of a match-up is made of: the states the two can be in, the ways out of each, and what each ending is
 * worth. Entry point {@link farglass.matchup.model.Model}; uses match, lexicon, rules.
 */
@NullMarked
package farglass.matchup.model;

import org.jspecify.annotations.NullMarked;
