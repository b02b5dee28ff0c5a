/**
 * Two athletes laid over one another, and what to tell ours: the plan, how sure it is, what else could be done. Entry
 * point {@link farglass.matchup.advise.Meeting}; uses all of matchup.
 */
@NullMarked
package farglass.matchup.advise;

import org.jspecify.annotations.NullMarked;
