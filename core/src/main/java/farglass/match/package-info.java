/**
 * What happened in a match: the record, its tags, the position line they draw, and the edits that change it.
 *
 * <p>Entry points: {@link farglass.match.MatchRecord}, {@link farglass.match.PositionLine}, {@link
 * farglass.match.Edit}. All values are immutable. Uses farglass.time and farglass.lexicon.
 */
@NullMarked
package farglass.match;

import org.jspecify.annotations.NullMarked;
