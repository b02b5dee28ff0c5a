/**
 * Where does the work live? The library (one SQLite file) and the open formats.
 *
 * <p>Entry points: {@link farglass.store.Library}, {@link farglass.store.json.MatchJson}. Uses farglass.match,
 * farglass.plan and farglass.lexicon.
 */
@NullMarked
package farglass.store;

import org.jspecify.annotations.NullMarked;
