/**
 * What is best in every state, score and second: backward induction, and the chances that follow forward. Entry point
 * {@link farglass.matchup.solve.BackwardInduction}; uses {@code matchup.model} and rules.
 */
@NullMarked
package farglass.matchup.solve;

import org.jspecify.annotations.NullMarked;
