/**
 * What do the words mean: positions, techniques, grips, their families, names, aliases and standing values.
 *
 * <p>Entry point: {@link farglass.lexicon.Lexicon#builtIn()}. The data is a JSON resource (farglass.lexicon/1); Jackson
 * reads it. Uses the JDK and Jackson only.
 */
@NullMarked
package farglass.lexicon;

import org.jspecify.annotations.NullMarked;
