/**
 * Can this record be trusted? The score worked out and explained, what the table called otherwise, what is doubtful and
 * how to put it right.
 *
 * <p>Entry point: {@link farglass.desk.check.CheckStation}.
 */
package farglass.desk.check;
