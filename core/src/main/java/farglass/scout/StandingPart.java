package farglass.scout;

import java.util.ArrayList;
import java.util.List;

/** What is done on the feet. */
final class StandingPart {
    private StandingPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        Choice.sentence(k, "standing.choice", "takedowns.chosen", "standing.works")
                .ifPresent(list::add);
        k.firm("against.all.takedown")
                .filter(Known::below)
                .ifPresent(c -> list.add(new Sentence.Builder("standing.defends")
                        .say("standing.defends", c, Assertion.Says.LESS, Known.x(c), Known.n(c), Known.others(c))
                        .build()));
        return list;
    }
}
