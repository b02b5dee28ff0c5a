/**
 * How a match-up is asked for: window, command line and debrief ask here and so ask the same. Entry point {@link
 * farglass.work.meeting.MeetingService}.
 */
@NullMarked
package farglass.work.meeting;

import org.jspecify.annotations.NullMarked;
