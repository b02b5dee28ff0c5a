package farglass.desk.matchup;

import farglass.desk.shell.Desk;
import farglass.match.Tag;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.work.publish.Moments;
import java.util.ArrayList;
import java.util.List;

/** Turns the tags a figure rests on into moments that can be played. */
public final class Clips {
    private Clips() {}

    /** Tags that have gone since are left out. */
    public static List<Trial> of(Desk desk, List<TagRef> tags) {
        List<Trial> trials = new ArrayList<>();
        for (TagRef ref : tags) {
            desk.match(ref.match()).ifPresent(r -> {
                int i = Moments.index(r, ref);
                if (i >= 0) {
                    boolean worked = r.tags().get(i) instanceof Tag.Action a && a.completed();
                    trials.add(new Trial(ref, i, r.tags().get(i).t(), worked, 1, false));
                }
            });
        }
        return trials;
    }
}
