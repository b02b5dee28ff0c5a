/** How a planned match went. Entry point {@link farglass.work.debrief.DebriefService}; uses core and {@code work.meeting}. */
package farglass.work.debrief;
