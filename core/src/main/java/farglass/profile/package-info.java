/**
 * What does this athlete do, how sure are we, and where is the film? Evidence becomes one {@link
 * farglass.profile.ClaimPage} per question; what is worth saying becomes a ranked list of {@link
 * farglass.profile.Claim}s.
 *
 * <p>Entry point: {@link farglass.profile.Profile#of}. Uses farglass.tendency and farglass.stats; words lie in the
 * bundle {@code Claims}.
 */
@NullMarked
package farglass.profile;

import org.jspecify.annotations.NullMarked;
