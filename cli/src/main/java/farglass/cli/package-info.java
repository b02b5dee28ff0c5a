/**
 * The batch commands: each prints one JSON document on standard output and exits 0, 2 (bad arguments) or 3 (unreadable
 * input, with the reason in one line). Entry point: {@link farglass.cli.CliMain}.
 */
package farglass.cli;
