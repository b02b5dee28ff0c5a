package farglass.scout;

import farglass.profile.Claim;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What comes after what, told where it begins: on the feet, from the bottom or on top. */
final class SequencesPart {
    private static final int MOST = 3;
    /** Exchanges that must hold a sequence to be told. */
    private static final int HELD = 3;

    private static final int STEPS = 3;
    private static final String PREFIX = "sequence.";
    private static final String MARK = "sequence.self.";

    private SequencesPart() {}

    /** Adds the most telling ones to the parts in which they begin. */
    static void addTo(Known k, Map<Heading, List<Sentence>> parts) {
        k.inOrder(PREFIX).stream()
                .filter(c -> c.estimate().x() >= HELD && Known.above(c))
                .filter(c -> k.firm(c.id()).isPresent() && plain(c))
                .limit(MOST)
                .forEach(c -> {
                    List<Sentence> part = new ArrayList<>(parts.getOrDefault(heading(k, c), List.of()));
                    part.add(sentence(c));
                    parts.put(heading(k, c), part);
                });
    }

    /** Up to three steps of the athlete's own, none of them twice: what can be said in a breath. */
    private static boolean plain(Claim c) {
        List<String> steps = List.of(c.id().substring(PREFIX.length()).split("\\+"));
        return steps.size() <= STEPS
                && steps.stream().allMatch(s -> s.startsWith("self."))
                && steps.stream().distinct().count() == steps.size();
    }

    private static Heading heading(Known k, Claim c) {
        String first = c.id().substring(MARK.length()).split("\\+")[0];
        return Heading.begunIn(k.profile().evidence().lexicon().familyOf(first));
    }

    /** "After the guard entry, lasso sweep: 4 of 7 times (others 1%)". */
    private static Sentence sentence(Claim c) {
        String[] steps = c.args().get(1).split(" \u2192 ", 2);
        return new Sentence.Builder(c.id())
                .say(
                        "sequence",
                        c,
                        Assertion.Says.MORE,
                        steps[0],
                        steps[1].replace(" \u2192 ", ", "),
                        Known.x(c),
                        Known.n(c))
                .say("others", c, Assertion.Says.MORE, Known.others(c))
                .build();
    }
}
