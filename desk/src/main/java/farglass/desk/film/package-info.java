/** What happened in this match? Watching and tagging. */
package farglass.desk.film;
