package farglass.desk.library;

import farglass.desk.shell.Words;
import farglass.work.team.TeamStatus;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.stream.Collectors;

/** How a library stands to its team's, in a sentence. */
public final class TeamText {
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("HH:mm");

    private TeamText() {}

    /** For the sheet. */
    public static String state(TeamStatus s) {
        if (s.reached() && s.came() != null) {
            return Words.of("team.coming", percent(s));
        }
        if (s.reached()) {
            return s.waiting() == 0 ? Words.of("team.up-to-date") : Words.of("team.waiting", s.waiting());
        }
        String since = s.reachedAt() == null
                ? Words.of("team.never")
                : Words.of("team.since", WHEN.format(s.reachedAt().atZone(ZoneId.systemDefault())));
        return since + " " + Words.of("team.waiting", s.waiting());
    }

    /**
     * For the rail: state, what is to be decided, and who else is at the match.
     *
     * @param match the open match, or null
     */
    public static String line(TeamStatus s, String match) {
        String line = s.reached() ? reached(s) : Words.of("team.rail.away", s.waiting());
        if (s.role() != null && !s.role().bringsMatches()) {
            line += "\n" + Words.of(s.role().plans() ? "team.rail.coach" : "team.rail.athlete");
        }
        if (s.clashes() > 0) {
            line += "\n" + Words.of("team.rail.clashes", s.clashes());
        }
        List<TeamStatus.Present> here = s.present().stream()
                .filter(p -> match != null && match.equals(p.match()))
                .toList();
        if (!here.isEmpty()) {
            line += "\n"
                    + Words.of(
                            "team.rail.here",
                            here.stream().map(TeamStatus.Present::name).collect(Collectors.joining(", ")));
        }
        return line;
    }

    private static String reached(TeamStatus s) {
        if (s.came() != null) {
            return Words.of("team.rail.coming", percent(s));
        }
        return s.waiting() == 0 ? Words.of("team.rail") : Words.of("team.rail.waiting", s.waiting());
    }

    private static long percent(TeamStatus s) {
        return s.came() == null ? 100 : Math.round(100 * s.came());
    }
}
