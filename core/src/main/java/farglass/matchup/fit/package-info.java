/**
 * How often each way out is taken by whom, learned from the library with every athlete's share of evidence. Entry point
 * {@link farglass.matchup.fit.TransitionRates}; uses {@code matchup.model} and tendency.
 */
@NullMarked
package farglass.matchup.fit;

import org.jspecify.annotations.NullMarked;
