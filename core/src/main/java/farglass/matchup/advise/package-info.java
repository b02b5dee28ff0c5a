/**
 * Two athletes laid over one another, and what to tell ours: the plan, how sure it is, what else could be done. Entry point {@link
 * farglass.matchup.advise.Meeting}; uses all of matchup.
 */
package farglass.matchup.advise;
