package farglass.draft;

import farglass.intake.NoteReader;
import java.util.ArrayList;
import java.util.List;

/** Drafts out of rows of old notes. */
public final class NoteDrafts {
    /** What was understood whole, and what of which a part became a note. */
    private static final double WHOLE = 0.9;

    private static final double PARTLY = 0.7;

    private NoteDrafts() {}

    /** @param from name of the notes */
    public static List<Draft> of(List<NoteReader.Row> rows, String from) {
        List<Draft> drafts = new ArrayList<>();
        for (NoteReader.Row r : rows) {
            double sure = r.problem().isEmpty() ? WHOLE : PARTLY;
            r.tags()
                    .forEach(tag ->
                            drafts.add(Draft.of(tag, null, -1, new Basis(Source.NOTES, from, sure, r.words(), -1))));
        }
        return List.copyOf(drafts);
    }
}
