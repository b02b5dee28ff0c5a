package farglass.film.score;

import farglass.film.score.NumberTrack.Change;
import farglass.film.score.NumberTrack.Reading;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A number of the graphic, read all over the film.
 *
 * @param moment tells when a change was that could not be read at once
 */
record ReadNumber(List<Reading> readings, NumberTrack track, ChangeMoment moment) {
    /** Advantages and penalties do not go up by more at once. */
    private static final int MOST = 2;

    static ReadNumber of(List<Reading> readings, ChangeMoment moment) {
        return new ReadNumber(readings, NumberTrack.of(readings), moment);
    }

    /** Its changes, knowing what it counts: advantages and penalties that jump to seven are a slanting one. */
    List<Change> changes(@Nullable ScoreKind kind) {
        boolean one = kind != null
                && kind != ScoreKind.POINTS
                && track.changes().stream().anyMatch(c -> c.after() == 7 && c.after() - c.before() > MOST);
        List<Reading> read = one ? readings.stream().map(ReadNumber::sevenIsOne).toList() : readings;
        NumberTrack told = kind == null || kind == ScoreKind.POINTS ? track : NumberTrack.of(read, 1);
        return told.changes().stream()
                .map(moment::sharpened)
                .flatMap(c -> apart(kind, c).stream())
                .toList();
    }

    /**
     * More than one call can give, behind a hidden graphic, was two calls: advantages and penalties come one by one,
     * and of points the lesser come first (a takedown or sweep, then the pass, then mount or back). What only the
     * order tells is less sure.
     */
    static List<Change> apart(@Nullable ScoreKind kind, Change c) {
        int by = c.after() - c.before();
        if (kind == null || c.fromMs() == 0 || !ScoreChange.hidden(c.fromMs(), c.ms())) {
            return List.of(c);
        }
        if (kind != ScoreKind.POINTS) {
            return by == MOST ? split(c, 1, 1) : List.of(c);
        }
        return switch (by) {
            case 5 -> split(c, 2, 0.5);
            case 6 -> split(c, 2, 0.5);
            case 7 -> split(c, 3, 0.5);
            default -> List.of(c);
        };
    }

    private static List<Change> split(Change c, int first, double sure) {
        int middle = c.before() + first;
        return List.of(
                new Change(c.fromMs(), c.ms(), c.before(), middle, sure * c.confidence()),
                new Change(c.fromMs(), c.ms(), middle, c.after(), sure * c.confidence()));
    }

    private static Reading sevenIsOne(Reading r) {
        return new Reading(
                r.ms(), r.value() == 7 ? 1 : r.value(), r.other() == 7 ? 1 : r.other(), r.longer(), r.confidence());
    }
}
