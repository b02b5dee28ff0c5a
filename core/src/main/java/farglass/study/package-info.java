/**
 * Which films are worth the hours there are? Those that settle most of what is still open about an athlete.
 *
 * <p>Entry point: {@link farglass.study.StudyOrder}. Uses farglass.tendency.
 */
@NullMarked
package farglass.study;

import org.jspecify.annotations.NullMarked;
