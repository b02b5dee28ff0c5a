/**
 * What becomes of a change that was made while somebody else changed the same record: {@link farglass.team.Rebase}
 * makes an edit for the record as it is now, and tells where both changed the same field. Uses farglass.match.
 */
@NullMarked
package farglass.team;

import org.jspecify.annotations.NullMarked;
