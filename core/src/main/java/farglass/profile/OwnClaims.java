package farglass.profile;

import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import java.util.ArrayList;
import java.util.List;

/** Claims in an analyst's own words: no number but how often and in how many matches they were seen. */
public final class OwnClaims {
    private OwnClaims() {}

    /** @param tags those that lie outside the evidence's filter are left out */
    public static Claim of(Evidence evidence, String id, String sentence, List<TagRef> tags) {
        List<Trial> trials = new ArrayList<>();
        double w = 0;
        double ww = 0;
        for (Evidence.Seen seen : evidence.matches()) {
            for (TagRef ref : tags) {
                if (ref.match().equals(seen.record().id())) {
                    int at = indexOf(seen, ref.tag());
                    if (at >= 0) {
                        trials.add(seen.trial(at, true));
                        w += seen.weight();
                        ww += seen.weight() * seen.weight();
                    }
                }
            }
        }
        int matches = (int) trials.stream().map(t -> t.tag().match()).distinct().count();
        double effective = ww == 0 ? 0 : Math.min(w * w / ww, w);
        Estimate e = new Estimate(
                new Estimate.Observed(trials.size(), trials.size(), trials.size(), matches, effective),
                trials.size(),
                new Estimate.Interval(trials.size(), trials.size()),
                Grade.of(effective, matches, 1),
                new Estimate.Reference(Double.NaN, ""),
                null,
                trials.stream().map(Trial::tag).toList());
        return Claim.of(id, Claim.Topic.OWN, "own", List.of("", sentence), Claim.Unit.COUNT, e, trials);
    }

    private static int indexOf(Evidence.Seen seen, String tag) {
        for (int i = 0; i < seen.record().tags().size(); i++) {
            if (seen.record().tagName(i).equals(tag)) {
                return i;
            }
        }
        return -1;
    }
}
