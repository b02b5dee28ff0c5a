/**
 * What meets what when two athletes meet, and what is best done about it?
 *
 * <p>Entry point: {@link farglass.matchup.Meeting}, which fits the rates of both from the library, solves the match as a
 * finite-horizon decision problem over places, score and clock, and says how sure that is. {@link farglass.matchup.Simulator}
 * plays the same model as a race of clocks. Uses farglass.tendency, farglass.rules and farglass.stats.
 */
package farglass.matchup;
