/**
 * What was shown while somebody spoke about a film? A spoken breakdown as a track over the film: play, pause, step,
 * draw and speak.
 *
 * <p>Entry point: {@link farglass.talk.Talk}. Uses farglass.match, farglass.time.
 */
@NullMarked
package farglass.talk;

import org.jspecify.annotations.NullMarked;
