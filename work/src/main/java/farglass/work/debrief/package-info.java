/**
 * How a planned match went. Entry point {@link farglass.work.debrief.DebriefService}; uses core and {@code
 * work.meeting}.
 */
@NullMarked
package farglass.work.debrief;

import org.jspecify.annotations.NullMarked;
