/**
 * Keeps a mirror and its team's library at the same while a window is open. Entry point {@link
 * farglass.work.team.TeamLink}; uses store.
 */
@NullMarked
package farglass.work.team;

import org.jspecify.annotations.NullMarked;
