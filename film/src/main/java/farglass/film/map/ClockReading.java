package farglass.film.map;

/**
 * What the match clock on the picture says from a film moment on.
 *
 * @param ms film time, ms
 * @param clock seconds on the clock, or null where no clock can be read
 * @param confidence 0..1
 */
public record ClockReading(long ms, Integer clock, double confidence) {}
