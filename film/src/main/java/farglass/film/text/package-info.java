/**
 * Text in pictures: where it stands ({@link farglass.film.text.TextFinder}) and what it says
 * ({@link farglass.film.text.TextReader}), by two small neural networks that ship with the application and are loaded
 * when they are first asked for. Knows nothing of clocks, scores or films.
 */
package farglass.film.text;
