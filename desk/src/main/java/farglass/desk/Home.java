package farglass.desk;

import java.nio.file.Path;
import java.util.List;

/** Where libraries lie: FARGLASS_HOME, else the user's data folder. */
final class Home {
    private Home() {}

    static Path folder() {
        String home = System.getenv("FARGLASS_HOME");
        if (home != null && !home.isBlank()) {
            return Path.of(home);
        }
        String data = System.getenv("XDG_DATA_HOME");
        return data != null && !data.isBlank()
                ? Path.of(data, "farglass")
                : Path.of(System.getProperty("user.home"), ".local", "share", "farglass");
    }

    /** The library asked for on the command line: a path, the demo's, or the user's own. */
    static Path library(List<String> args) {
        if (args.contains("--demo")) {
            return folder().resolve("demo").resolve("demo.farglass");
        }
        if (args.contains("--shots")) {
            return folder().resolve("shots").resolve("shots.farglass");
        }
        return args.stream()
                .filter(a -> !a.startsWith("--"))
                .findFirst()
                .map(Path::of)
                .orElseGet(() -> folder().resolve("library.farglass"));
    }
}
