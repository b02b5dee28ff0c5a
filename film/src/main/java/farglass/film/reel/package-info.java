/**
 * Which moments shall somebody else see? Clips out of many films, each with a card that says what it is, as one film.
 *
 * <p>Entry points: {@link farglass.film.reel.Reel}, {@link farglass.film.reel.Still}. Uses farglass.film.
 */
package farglass.film.reel;
