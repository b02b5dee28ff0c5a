package farglass.draft;

import java.util.List;

/** The sure drafts from one on, up to the first that is not: what may be taken together. */
public final class DraftRun {
    private DraftRun() {}

    /**
     * @param open drafts in the order of the match
     * @param from index of the first
     * @return empty when the first is not sure itself
     */
    public static List<Draft> of(List<Draft> open, int from) {
        int to = from;
        while (to < open.size() && open.get(to).confidence() >= Draft.SURE) {
            to++;
        }
        return List.copyOf(open.subList(Math.min(from, open.size()), to));
    }
}
