package farglass.film.score;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The score that a film shows.
 *
 * @param kinds what each column of the graphic counts; null for one that counts nothing known
 * @param changes of all columns, in film order
 */
public record ScoreTrack(ScoreGraphic graphic, List<@Nullable ScoreKind> kinds, List<ScoreChange> changes) {
    /** No score was read. */
    public static final ScoreTrack NONE = new ScoreTrack(ScoreGraphic.NONE, List.of(), List.of());

    public ScoreTrack {
        kinds = Collections.unmodifiableList(new ArrayList<>(kinds));
        changes = List.copyOf(changes);
    }

    /** What a change counts; null when its column counts nothing known. */
    public @Nullable ScoreKind kind(ScoreChange c) {
        return kinds.get(c.column());
    }

    /** Changes of points, advantages and penalties, in film order. */
    public List<ScoreChange> scored() {
        return changes.stream().filter(c -> kind(c) != null).toList();
    }

    /** What stands for an athlete from a film moment on. */
    public int at(ScoreKind kind, int athlete, long ms) {
        int value = 0;
        for (ScoreChange c : changes) {
            if (kind(c) == kind && c.athlete() == athlete && c.ms() <= ms) {
                value = c.after();
            }
        }
        return value;
    }

    /** The same with another meaning of a column; a kind that another column had is taken from it. */
    public ScoreTrack with(int column, @Nullable ScoreKind kind) {
        List<@Nullable ScoreKind> corrected = new ArrayList<>(kinds);
        if (kind != null) {
            corrected.replaceAll(k -> k == kind ? null : k);
        }
        corrected.set(column, kind);
        return new ScoreTrack(graphic, corrected, changes);
    }
}
