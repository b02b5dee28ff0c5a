package farglass.tendency;

import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The columns of the average under no filter, kept beside the counts they are made of. They may be behind the matches
 * by a few athletes, which is told, so that whoever reads them can put it right.
 */
public interface KeptAverage {
    /** Athletes of whom the columns held something else than their matches say when the library was read. */
    Set<String> behind();

    /**
     * A column, and of some athletes what of them is in it, both of one moment.
     *
     * @param whose athletes that are asked for; those the columns have followed since the library was read are told too
     * @return null when it cannot be made out, so that the matches have to be asked
     */
    @Nullable
    Read read(ColumnKey key, Set<String> whose);

    /**
     * What was read.
     *
     * @param counts by athlete; of one who is asked for and not in it, nothing is in the column
     */
    record Read(CountColumn column, Map<String, AthleteCounts> counts) {}
}
