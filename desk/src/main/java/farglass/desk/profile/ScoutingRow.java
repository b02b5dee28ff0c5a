package farglass.desk.profile;

import farglass.plan.ReportEdit;
import farglass.scout.Edge;
import farglass.scout.Sentence;
import java.util.Optional;

/** A row of the report on screen. */
sealed interface ScoutingRow {
    /** The begin of a part. */
    record Heading(String text) implements ScoutingRow {}

    /** Words in place of what is not there. */
    record Said(String text) implements ScoutingRow {}

    /**
     * A sentence of a part.
     *
     * @param part what it is moved within
     * @param edit what the analyst made of it
     * @param edge what it is worth, for dangers and openings
     */
    record Told(String part, Sentence sentence, ReportEdit edit, Optional<Edge> edge) implements ScoutingRow {}
}
