/**
 * What shall we do? A plan is a tree of forks made by hand from pinned claims: ours, their answers, ours again.
 *
 * <p>Entry point: {@link farglass.plan.Plan}. Immutable; every change gives a new plan, so that undo is keeping the old
 * one. Uses farglass.tendency and farglass.matchup.
 */
@NullMarked
package farglass.plan;

import org.jspecify.annotations.NullMarked;
