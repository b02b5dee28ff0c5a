/** What came of it? A plan held against the match that took place, and the season. */
package farglass.desk.debrief;
