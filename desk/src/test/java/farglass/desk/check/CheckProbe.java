package farglass.desk.check;

import java.nio.file.Path;

/** What the check station takes from outside the window, for tests. */
public final class CheckProbe {
    private CheckProbe() {}

    /** As if a record were dropped on the page. */
    public static void drop(CheckStation station, Path file) {
        station.compare(file);
    }
}
