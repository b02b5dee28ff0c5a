/**
 * Where in the film is a moment of the match, and the other way round?
 *
 * <p>Entry point: {@link farglass.time.ClockMap}; {@link farglass.time.ClockFit} makes one from sync points. Uses the
 * JDK only.
 */
@NullMarked
package farglass.time;

import org.jspecify.annotations.NullMarked;
