/**
 * A team's library on a PostgreSQL server: its log of steps, its things as they are, and who may see them. Entry point
 * {@link farglass.store.server.TeamServer}. Nothing of it is loaded for a library of one's own.
 */
@NullMarked
package farglass.store.server;

import org.jspecify.annotations.NullMarked;
