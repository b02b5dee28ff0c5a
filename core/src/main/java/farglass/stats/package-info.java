/**
 * How sure may we be? Proportions, shares of time, side bias, never-seen bounds and the grade of evidence.
 *
 * <p>Entry points: {@link farglass.stats.Proportion}, {@link farglass.stats.TimeShare}, {@link
 * farglass.stats.SideBias}. Every result carries its counts, its interval and the tags it rests on. Distributions and
 * random numbers come from Apache Commons; there is no clock and no global state, seeds come from outside.
 */
@NullMarked
package farglass.stats;

import org.jspecify.annotations.NullMarked;
