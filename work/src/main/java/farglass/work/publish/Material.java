package farglass.work.publish;

import farglass.film.reel.DrawingPainter;
import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.FilmRef;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.plan.Assignment;
import farglass.work.session.FilmPlaces;
import java.awt.Color;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What publications are made of: the matches as they were when it was asked for, their films, the words. Immutable. */
public final class Material {
    private static final Color AMBER = new Color(0xb4640b);
    private static final Color TEAL = new Color(0x0c6b76);
    private static final Color NEITHER = new Color(0xa63d2a);

    private final Map<String, MatchRecord> records = new HashMap<>();
    private final Map<String, String> names = new TreeMap<>();
    private final FilmPlaces films;
    private final Lexicon lexicon;
    private final Assignment assignment;
    private final LocalDate today;

    /**
     * @param films where films lie
     * @param assignment says who is ours and so drawn amber; null for none
     * @param today stands on what is printed
     */
    public Material(List<MatchRecord> all, FilmPlaces films, Lexicon lexicon, Assignment assignment, LocalDate today) {
        for (MatchRecord r : all) {
            records.putIfAbsent(r.id(), r);
            for (Corner c : Corner.values()) {
                MatchAthlete a = r.athlete(c);
                names.putIfAbsent(a.id(), a.name());
            }
        }
        this.films = films;
        this.lexicon = lexicon;
        this.assignment = assignment;
        this.today = today;
    }

    /** A match by its id. */
    public Optional<MatchRecord> match(String id) {
        return Optional.ofNullable(records.get(id));
    }

    /** Names of athletes by id. */
    public Map<String, String> names() {
        return Map.copyOf(names);
    }

    String name(String athlete) {
        return names.getOrDefault(athlete, athlete);
    }

    Path film(FilmRef film) {
        return films.of(film);
    }

    Lexicon lexicon() {
        return lexicon;
    }

    LocalDate today() {
        return today;
    }

    Corner amber(MatchRecord r) {
        return amber(assignment, r);
    }

    /**
     * The corner drawn amber. Ours is amber and the opponent under study teal; where neither of the two fights, or only
     * the opponent does, whoever stands in our athlete's place is amber.
     *
     * @param assignment says who is ours; null for none
     */
    public static Corner amber(Assignment assignment, MatchRecord r) {
        if (assignment != null) {
            Optional<Corner> ours = r.cornerOf(assignment.us());
            if (ours.isPresent()) {
                return ours.get();
            }
            for (String opponent : assignment.opponents()) {
                Optional<Corner> theirs = r.cornerOf(opponent);
                if (theirs.isPresent()) {
                    return theirs.get().other();
                }
            }
        }
        return Corner.A;
    }

    /** Whether what is told of an athlete is in our colour. */
    boolean ours(String athlete) {
        return assignment != null && assignment.us().equals(athlete);
    }

    /** What draws on the pictures of a match. */
    public static DrawingPainter painter(Corner amber) {
        return new DrawingPainter(who -> who == null ? NEITHER : who == amber ? AMBER : TEAL);
    }
}
