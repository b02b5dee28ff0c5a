/**
 * Matches played at random from the model, plain or scored by the rules engine, to check what was solved. Entry points
 * {@link farglass.matchup.simulate.Simulator}, {@link farglass.matchup.simulate.FullSimulator}; uses {@code
 * matchup.solve}.
 */
@NullMarked
package farglass.matchup.simulate;

import org.jspecify.annotations.NullMarked;
