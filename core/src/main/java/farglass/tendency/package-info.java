/**
 * What does this athlete do? Records become {@link farglass.tendency.Evidence} once per filter; estimators read it and
 * give results with counts, intervals, grades and tags; {@link farglass.tendency.Profile} turns them into ranked
 * claims.
 *
 * <p>Entry point: {@link farglass.tendency.Profile#of}. Uses farglass.match, farglass.stats and farglass.lexicon.
 */
@NullMarked
package farglass.tendency;

import org.jspecify.annotations.NullMarked;
