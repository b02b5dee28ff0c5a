/** The window around the stations: state, rail, notices, background work, words and look. */
package farglass.desk.shell;
