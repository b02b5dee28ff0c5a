package farglass.film.score;

import farglass.film.Box;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Where the score stands in the picture. The first athlete is the one above or to the left.
 *
 * @param names of the two athletes, first and second; empty when none can be read
 * @param columns numbers that both athletes have, in the order in which they stand beside the first one's name
 */
public record ScoreGraphic(List<Name> names, List<Column> columns) {
    /** No score is shown, or none can be read. */
    public static final ScoreGraphic NONE = new ScoreGraphic(List.of(), List.of());

    /** @param confidence share of the readings that agree, 0..1 */
    public record Name(String text, Box box, double confidence) {}

    /**
     * A number that both athletes have.
     *
     * @param first where it stands for the first athlete
     * @param heading what the graphic says that it counts; null when it says nothing
     */
    public record Column(Box first, Box second, @Nullable ScoreKind heading) {
        /** Where it stands for the first athlete (0) or the second (1). */
        public Box of(int athlete) {
            return athlete == 0 ? first : second;
        }
    }

    /** Whether another can be the same one in another place: it has as many columns and one of the names, in order. */
    boolean like(ScoreGraphic other) {
        return !columns.isEmpty() && columns.size() == other.columns.size() && named(other);
    }

    /** Whether another has one of the names, in order. */
    boolean named(ScoreGraphic other) {
        for (int i = 0; i < 2; i++) {
            if (bare(names.get(i)).equals(bare(other.names.get(i)))) {
                return true;
            }
        }
        return false;
    }

    private static String bare(Name name) {
        return name.text().replaceAll("\\W", "").toUpperCase(Locale.ROOT);
    }

    public ScoreGraphic {
        names = List.copyOf(names);
        columns = List.copyOf(columns);
    }
}
