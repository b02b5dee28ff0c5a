/**
 * The match-up station, and what it shares with the plan: the meeting as it is worked out in the background. Computes
 * nothing itself.
 */
package farglass.desk.matchup;
