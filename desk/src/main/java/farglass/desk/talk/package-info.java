/**
 * How is a moment explained? Speaking over the film, with everything that is shown meanwhile.
 *
 * <p>Entry point: {@link farglass.desk.talk.Speaking}.
 */
package farglass.desk.talk;
