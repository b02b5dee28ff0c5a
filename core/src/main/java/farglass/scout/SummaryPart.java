package farglass.scout;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The whole athlete in one sentence: where the match is played, with what, and what is hard against it. */
final class SummaryPart {
    private SummaryPart() {}

    /** @param parts all other parts, whose first assertions it takes up */
    static List<Sentence> of(Known k, Map<Heading, List<Sentence>> parts) {
        Sentence.Builder s = new Sentence.Builder("summary");
        boolean begun = place(k, parts, s);
        begun |= weapon(k, parts, s, begun);
        begun |= defence(parts, s, begun);
        if (!begun) {
            s.say("summary.none", null, Assertion.Says.COUNTED, k.matches());
        }
        return List.of(s.build());
    }

    private static boolean place(Known k, Map<Heading, List<Sentence>> parts, Sentence.Builder s) {
        boolean pulls = has(parts, "start.opening.pull").isPresent();
        boolean guard = k.firm("place.guard").filter(Known::above).isPresent();
        Optional<Sentence> top = has(parts, "top.place.topGuard").or(() -> has(parts, "top.place.pinning"));
        if (pulls || (guard && top.isEmpty())) {
            if (pulls) {
                take(has(parts, "start.opening.pull").orElseThrow(), s, "summary.pulls");
            } else {
                s.say("summary.guard", k.firm("place.guard").orElseThrow(), Assertion.Says.MORE);
            }
            has(parts, "bottom.guards")
                    .ifPresent(g -> g.assertions().stream()
                            .filter(c -> c.template().equals("bottom.guards"))
                            .forEach(c -> s.say(
                                    "summary.plays",
                                    c.claim(),
                                    c.says(),
                                    c.args().get(0))));
            return true;
        }
        Optional<Sentence> shoots = has(parts, "start.opening.takedown");
        if (top.isPresent() || shoots.isPresent()) {
            take(top.or(() -> shoots).orElseThrow(), s, top.isPresent() ? "summary.top" : "summary.takedown");
            return true;
        }
        return false;
    }

    private static boolean weapon(Known k, Map<Heading, List<Sentence>> parts, Sentence.Builder s, boolean begun) {
        for (String id : List.of("finishes.choice", "top.choice", "bottom.choice", "standing.choice")) {
            Optional<Sentence> choice =
                    has(parts, id).filter(x -> x.assertions().get(0).says() == Assertion.Says.MOST);
            if (choice.isPresent()) {
                Assertion first = choice.get().assertions().get(0);
                s.say(
                        begun ? "summary.weapon." + id : "summary.weapon.first." + id,
                        first.claim(),
                        Assertion.Says.MOST,
                        first.args().get(0));
                return true;
            }
        }
        // the most telling one, wherever in the match it begins
        Optional<Sentence> sequence = k.inOrder("sequence.").stream()
                .flatMap(c -> has(parts, c.id()).stream())
                .findFirst();
        sequence.ifPresent(x -> {
            Assertion first = x.assertions().get(0);
            s.say(
                    begun ? "summary.sequence" : "summary.sequence.first",
                    first.claim(),
                    first.says(),
                    first.args().get(0),
                    first.args().get(1));
        });
        return sequence.isPresent();
    }

    private static boolean defence(Map<Heading, List<Sentence>> parts, Sentence.Builder s, boolean begun) {
        for (String id : List.of("bottom.defends", "standing.defends", "top.defends", "finishes.defends")) {
            Optional<Sentence> hard = has(parts, id);
            if (hard.isPresent()) {
                take(hard.get(), s, (begun ? "summary.hard." : "summary.hard.first.") + id);
                return true;
            }
        }
        return false;
    }

    private static void take(Sentence from, Sentence.Builder s, String template) {
        Assertion first = from.assertions().get(0);
        s.say(template, first.claim(), first.says());
    }

    private static Optional<Sentence> has(Map<Heading, List<Sentence>> parts, String id) {
        return parts.values().stream()
                .flatMap(List::stream)
                .filter(x -> x.id().equals(id))
                .findFirst();
    }
}
