package farglass.draft;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;

/** Where two sources, or a source and the record, give the same act or call to different athletes. */
public final class DraftConflict {
    private DraftConflict() {}

    /** The moments, in the order of the drafts; each pair once. */
    public static List<MatchTime> moments(MatchRecord record, List<Draft> open, Lexicon lexicon) {
        DraftMatch match = new DraftMatch(lexicon);
        List<MatchTime> moments = new ArrayList<>();
        for (int i = 0; i < open.size(); i++) {
            Draft d = open.get(i);
            for (int j = i + 1; j < open.size(); j++) {
                Draft e = open.get(j);
                boolean others =
                        e.bases().stream().noneMatch(b -> b.sameOrigin(d.bases().get(0)));
                if (others && match.contradict(d.tag(), e.tag())) {
                    moments.add(d.tag().t());
                }
            }
            for (Tag tag : record.tags()) {
                if (match.contradict(d.tag(), tag)) {
                    moments.add(d.tag().t());
                }
            }
        }
        return List.copyOf(moments);
    }
}
