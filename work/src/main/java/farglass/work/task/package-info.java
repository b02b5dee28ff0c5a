/**
 * What is done beside the window: queries of which only the newest answer counts, commands that are never dropped, long
 * tasks with progress. Entry point {@link farglass.work.task.Tasks}; uses nothing of the domain.
 */
@NullMarked
package farglass.work.task;

import org.jspecify.annotations.NullMarked;
