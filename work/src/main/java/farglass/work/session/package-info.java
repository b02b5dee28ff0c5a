/**
 * What holds while somebody works on a library: its content as it is shown, the team's terms and rulesets, one index,
 * and every change. Entry point {@link farglass.work.session.Session}; uses core, store and {@code work.task}.
 */
@NullMarked
package farglass.work.session;

import org.jspecify.annotations.NullMarked;
