/**
 * When is the match shown in this film, and which moment of it? Shot boundaries, the match clock read off the picture,
 * and from both a proposed clock map with live film, stoppages and replays, each with its confidence.
 *
 * <p>Entry point: {@link farglass.film.map.MapFinder}. Uses farglass.film, farglass.film.text and
 * farglass.time.
 */
package farglass.film.map;
