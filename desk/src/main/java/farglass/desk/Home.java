package farglass.desk;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Where libraries lie: FARGLASS_HOME, else the user's data folder. */
final class Home {
    /** In front of the address of a team's library. */
    static final String TEAM = "--team";

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

    /** The address of a team's library that is asked for. */
    static Optional<String> team(List<String> args) {
        int i = args.indexOf(TEAM);
        return i >= 0 && i + 1 < args.size() ? Optional.of(args.get(i + 1)) : Optional.empty();
    }

    /** The library asked for on the command line: a path, the demo's, or the user's own. */
    static Path library(List<String> args) {
        if (args.contains("--demo")) {
            return folder().resolve("demo").resolve("demo.farglass");
        }
        if (args.contains("--shots")) {
            return folder().resolve("shots").resolve("shots.farglass");
        }
        Optional<String> team = team(args);
        if (team.isPresent() && args.size() == 2) {
            // a team's library has its mirror among the others, by where it is
            String name = team.get().replaceFirst("^[^/]*//", "").replaceFirst("\\?.*", "");
            return folder().resolve("teams").resolve(name.replaceAll("[^A-Za-z0-9.-]+", "-") + ".farglass");
        }
        return args.stream()
                .filter(a -> team.isEmpty() || !a.equals(team.get()))
                .filter(a -> !a.startsWith("--"))
                .findFirst()
                .map(Path::of)
                .orElseGet(() -> folder().resolve("library.farglass"));
    }
}
