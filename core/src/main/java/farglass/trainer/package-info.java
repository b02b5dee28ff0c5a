/**
 * How well does somebody tag? Made-up matches whose truth is known, and what a record of one is worth against it.
 *
 * <p>Entry points: {@link farglass.trainer.Exercise}, {@link farglass.trainer.Mark}. Uses farglass.simulate and
 * farglass.agreement.
 */
@NullMarked
package farglass.trainer;

import org.jspecify.annotations.NullMarked;
