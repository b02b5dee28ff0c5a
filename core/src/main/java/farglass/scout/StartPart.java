package farglass.scout;

import farglass.profile.Claim;
import java.util.ArrayList;
import java.util.List;

/** How a match begins: who engages, how, where that leads. */
final class StartPart {
    private static final int PLACES = 2;
    private static final double SECOND_MS = 1000;

    private StartPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        List<Claim> openings = k.firmly("opening.");
        for (Claim c : openings) {
            Assertion.Says says =
                    c.equals(openings.get(0)) && Known.largest(openings) ? Assertion.Says.MOST : Known.says(c);
            if (list.isEmpty() && (says == Assertion.Says.MOST || says == Assertion.Says.MORE)) {
                list.add(opening(k, c, says));
            }
        }
        k.firm("grip.first")
                .filter(c -> Known.says(c) != Assertion.Says.COUNTED)
                .ifPresent(c -> list.add(new Sentence.Builder("start.grip")
                        .say(
                                Known.above(c) ? "start.grip.own" : "start.grip.other",
                                c,
                                Known.says(c),
                                Known.above(c)
                                        ? Known.x(c)
                                        : Long.toString(Math.round(
                                                c.estimate().n() - c.estimate().x())),
                                Known.n(c))
                        .build()));
        return list;
    }

    private static Sentence opening(Known k, Claim c, Assertion.Says says) {
        Sentence.Builder s =
                new Sentence.Builder("start." + c.id()).say("start." + c.id(), c, says, Known.x(c), Known.n(c));
        if (says == Assertion.Says.MOST) {
            s.others(c);
        } else {
            s.say("others", c, says, Known.others(c));
        }
        if (c.id().equals("opening.pull")) {
            List<Claim> to = k.firmly("pulled.");
            String key = "start.to";
            for (Claim place : to.subList(0, Math.min(PLACES, to.size()))) {
                if (place.estimate().x() >= PLACES) {
                    boolean first = place.equals(to.get(0));
                    s.say(
                            key,
                            place,
                            first && Known.largest(to) ? Assertion.Says.MOST : Assertion.Says.COUNTED,
                            place.args().get(1),
                            Known.x(place));
                    key = "start.or";
                }
            }
        }
        k.firm("takedowns.ground")
                .ifPresent(t -> s.say(
                        "start.ground",
                        t,
                        Assertion.Says.COUNTED,
                        Math.round(t.estimate().mean() / SECOND_MS)));
        return s.build();
    }
}
