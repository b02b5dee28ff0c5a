package farglass.cli;

import farglass.text.PlainLine;

/** Input that cannot be read; ends the command with exit code 3 and its message in one line. */
final class Unreadable extends Exception {
    Unreadable(String message) {
        super(PlainLine.message(message));
    }
}
