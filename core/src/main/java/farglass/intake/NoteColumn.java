package farglass.intake;

import farglass.lexicon.Lexicon;
import farglass.match.Coded;
import farglass.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What a column of old notes holds. */
public enum NoteColumn implements Coded {
    IGNORE,
    TIME,
    WHO,
    WHAT,
    SIDE,
    RESULT,
    TO,
    NOTE;

    private static final Map<NoteColumn, List<String>> HEADS = Map.of(
            TIME, List.of("time", "clock", "min", "tempo", "timestamp", "at"),
            WHO, List.of("who", "athlete", "fighter", "name", "by", "quem", "player"),
            WHAT, List.of("what", "action", "technique", "move", "event", "tag", "position", "golpe"),
            SIDE, List.of("side", "direction", "lado"),
            RESULT, List.of("result", "outcome", "success", "level", "worked", "resultado"),
            TO, List.of("to", "into", "end", "ended", "lands"),
            NOTE, List.of("note", "notes", "comment", "comments", "remark", "text", "obs"));

    private static final double MOST_OF_THEM = 0.6;

    /**
     * What each column probably holds: by its head, else by what stands in it. No role but {@link #NOTE} and {@link
     * #IGNORE} is given twice.
     *
     * @param names names of the two athletes
     */
    public static List<NoteColumn> guess(
            List<String> head, List<List<String>> rows, Collection<String> names, Lexicon lexicon) {
        List<NoteColumn> roles = new ArrayList<>();
        for (int c = 0; c < head.size(); c++) {
            NoteColumn role = byHead(head.get(c));
            if (role == IGNORE) {
                role = byContent(column(rows, c), names, lexicon);
            }
            boolean single = role != NOTE && role != IGNORE;
            roles.add(single && roles.contains(role) ? IGNORE : role);
        }
        return roles;
    }

    private static NoteColumn byHead(String head) {
        String h = head.strip().toLowerCase(Locale.ROOT);
        return HEADS.entrySet().stream()
                .filter(e -> e.getValue().contains(h))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(IGNORE);
    }

    private static List<String> column(List<List<String>> rows, int c) {
        return rows.stream()
                .map(r -> c < r.size() ? r.get(c).strip() : "")
                .filter(s -> !s.isEmpty())
                .toList();
    }

    private static NoteColumn byContent(List<String> cells, Collection<String> names, Lexicon lexicon) {
        if (cells.isEmpty()) {
            return IGNORE;
        }
        double times = share(cells, s -> Clock.parse(s).isPresent());
        double sides = share(cells, s -> s.matches("(?i)l|r|left|right|both"));
        double who = share(cells, s -> names.stream().anyMatch(n -> ofName(n, s)));
        double terms = share(cells, s -> !lexicon.lookUp(s).isEmpty());
        if (times >= MOST_OF_THEM) {
            return TIME;
        }
        if (sides >= MOST_OF_THEM) {
            return SIDE;
        }
        if (who >= MOST_OF_THEM) {
            return WHO;
        }
        return terms >= MOST_OF_THEM ? WHAT : IGNORE;
    }

    private static boolean ofName(String name, String cell) {
        String c = cell.toLowerCase(Locale.ROOT);
        return name.equalsIgnoreCase(cell)
                || List.of(name.toLowerCase(Locale.ROOT).split("\\s+")).contains(c);
    }

    private static double share(List<String> cells, java.util.function.Predicate<String> is) {
        return (double) cells.stream().filter(is).count() / cells.size();
    }
}
