/**
 * What does the film show at this moment? Decoding by exact frame, playing, stepping, looping.
 *
 * <p>Entry points: {@link farglass.film.FilmFile} (frames by number), {@link farglass.film.Player} (a thread that
 * plays). Uses farglass.time and the FFmpeg libraries; no interface code.
 */
package farglass.film;
