package farglass.draft;

import java.util.ArrayList;
import java.util.List;

/** The sure drafts from one on, up to the first that is to be looked at: what may be taken together. */
public final class DraftRun {
    private DraftRun() {}

    /**
     * @param open drafts in the order of the match
     * @param from index of the first
     * @return empty when the first is not sure itself
     */
    public static List<Draft> of(List<Draft> open, int from) {
        List<Draft> run = new ArrayList<>();
        for (int i = from; i < open.size(); i++) {
            Draft d = open.get(i);
            if (d.confidence() >= Draft.SURE) {
                run.add(d);
            } else if (i == from || !d.quiet()) {
                break;
            }
        }
        return List.copyOf(run);
    }
}
