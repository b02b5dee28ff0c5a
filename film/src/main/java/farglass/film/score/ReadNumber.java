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
        NumberTrack told = one
                ? NumberTrack.of(readings.stream().map(ReadNumber::sevenIsOne).toList())
                : track;
        return told.changes().stream().map(moment::sharpened).toList();
    }

    private static Reading sevenIsOne(Reading r) {
        return new Reading(
                r.ms(), r.value() == 7 ? 1 : r.value(), r.other() == 7 ? 1 : r.other(), r.longer(), r.confidence());
    }
}
