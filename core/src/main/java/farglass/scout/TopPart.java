package farglass.scout;

import farglass.profile.Claim;
import java.util.ArrayList;
import java.util.List;

/** How guards are passed, and what is done from pins. */
final class TopPart {
    private static final int ATTACKS = 2;

    private TopPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        for (String place : List.of("place.topGuard", "place.pinning", "place.backOf")) {
            TimeThere.sentence(k, "top.", place).ifPresent(list::add);
        }
        Choice.sentence(k, "top.choice", "passing.chosen", "top.works").ifPresent(list::add);
        List<Claim> tries = k.firmly("tries.").stream()
                .filter(c -> c.id().contains(".holder.") && Known.above(c))
                .limit(ATTACKS)
                .toList();
        for (Claim c : tries) {
            list.add(new Sentence.Builder("top.from." + c.id())
                    .say(
                            k.guard(c) ? "top.against" : "top.from",
                            c,
                            Assertion.Says.MORE,
                            c.args().get(1),
                            c.args().get(2),
                            Known.x(c),
                            Known.n(c),
                            Known.others(c))
                    .build());
        }
        k.firm("against.all.sweep")
                .filter(Known::below)
                .ifPresent(c -> list.add(new Sentence.Builder("top.defends")
                        .say("top.defends", c, Assertion.Says.LESS, Known.x(c), Known.n(c), Known.others(c))
                        .build()));
        return list;
    }
}
