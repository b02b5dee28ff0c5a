/**
 * Which moments shall somebody else see, in which order, cut how? Moments are chosen by what is tagged, trimmed, put in
 * order and written as one film with the list of its clips.
 *
 * <p>Entry points: {@link farglass.desk.reel.ReelSheet}.
 */
package farglass.desk.reel;
