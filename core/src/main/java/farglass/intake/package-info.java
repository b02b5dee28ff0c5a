/**
 * What do old notes say? A table with any columns is read through the lexicon's aliases, row by row, into tags.
 *
 * <p>Entry point: {@link farglass.intake.NoteReader}. Uses farglass.phrase, farglass.match, farglass.lexicon.
 */
@NullMarked
package farglass.intake;

import org.jspecify.annotations.NullMarked;
