/**
 * What does a coach want to know of this athlete? The claims of a {@link farglass.profile.Profile} become one page of
 * sentences in a fixed order, the dangers and the openings, each with its counts and its tags.
 *
 * <p>Entry point: {@link farglass.scout.ScoutingReport#of}. Computes no statistic of its own; words lie in the bundle
 * {@code Report}.
 */
@NullMarked
package farglass.scout;

import org.jspecify.annotations.NullMarked;
