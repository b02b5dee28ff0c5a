/**
 * What is the one difference? Two moments side by side, aligned at a frame each, played locked.
 *
 * <p>Entry point: {@link farglass.desk.pair.PairSheet}.
 */
package farglass.desk.pair;
