/**
 * Can the record be trusted? Findings are data with a place and a message, never exceptions.
 *
 * <p>Entry point: {@link farglass.check.CodeCheck}. Uses farglass.match and farglass.lexicon.
 */
package farglass.check;
