/**
 * When is the match shown in this film, and which moment of it? Shot boundaries, the match clock read off the picture,
 * and from both a proposed clock map with live film, stoppages and replays, each with its confidence.
 *
 * <p>Entry point: {@link farglass.film.map.MapFinder}. Uses farglass.film and farglass.time; no character recognition
 * library: the digits of a running clock say themselves which they are ({@link farglass.film.map.DigitBook}).
 */
package farglass.film.map;
