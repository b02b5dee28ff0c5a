/** The library as a file: where it lies, its backups, what they hold otherwise, and bringing it back. */
package farglass.desk.library;
