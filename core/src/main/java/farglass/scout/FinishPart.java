package farglass.scout;

import farglass.profile.Claim;
import java.util.ArrayList;
import java.util.List;

/** What ends matches. */
final class FinishPart {
    private static final int NAMED = 3;

    private FinishPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        k.firm("finish.wins").ifPresent(c -> list.add(wins(k, c)));
        Choice.sentence(k, "finishes.choice", "finishes.chosen", "finishes.works")
                .ifPresent(list::add);
        k.firm("against.all.submission")
                .filter(Known::below)
                .ifPresent(c -> list.add(new Sentence.Builder("finishes.defends")
                        .say("finishes.defends", c, Assertion.Says.LESS, Known.x(c), Known.n(c), Known.others(c))
                        .build()));
        return list;
    }

    private static Sentence wins(Known k, Claim wins) {
        Sentence.Builder s = new Sentence.Builder("finishes.wins")
                .say(
                        wins.estimate().x() > 0 ? "finishes.wins" : "finishes.none",
                        wins,
                        Assertion.Says.COUNTED,
                        Known.x(wins),
                        Known.n(wins))
                .others(wins);
        String key = "finishes.by";
        for (Claim by : k.all("finish.by.").stream().limit(NAMED).toList()) {
            s.say(key, by, Assertion.Says.COUNTED, by.args().get(1), Known.x(by));
            key = "finishes.by.more";
        }
        return s.build();
    }
}
