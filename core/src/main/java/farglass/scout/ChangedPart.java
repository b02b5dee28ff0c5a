package farglass.scout;

import farglass.profile.Claim;
import java.util.Comparator;
import java.util.List;

/** What moved between the earlier and the later half of the matches by more than chance and other opponents. */
final class ChangedPart {
    private static final int MOST = 2;

    private ChangedPart() {}

    static List<Sentence> of(Known k) {
        return k.firmly("changed.").stream()
                .filter(c -> c.departure() > 0 && c.moreThanChance())
                .sorted(Comparator.comparingDouble(Claim::departure).reversed().thenComparing(Claim::id))
                .limit(MOST)
                .map(c -> new Sentence.Builder("changed." + c.id())
                        .say(
                                (c.template().equals("change.use") ? "changed.use" : "changed.works")
                                        + (Known.above(c) ? ".more" : ".less"),
                                c,
                                Known.says(c),
                                c.args().get(1),
                                c.args().get(4),
                                c.args().get(5),
                                c.args().get(7),
                                c.args().get(8))
                        .build())
                .toList();
    }
}
