/**
 * What would such an athlete do? Made-up matches from hidden styles, for the demo library and for tests that must know
 * the truth.
 *
 * <p>Entry points: {@link farglass.simulate.DemoLibrary}, {@link farglass.simulate.MatchMaker}. Seeded; no clock of its
 * own. Uses farglass.match, farglass.lexicon and farglass.phrase (who is where after an action).
 */
@NullMarked
package farglass.simulate;

import org.jspecify.annotations.NullMarked;
