/** The window around the stations: state, rail, notices, tasks, words and look. */
package farglass.desk.shell;
