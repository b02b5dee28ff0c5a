package farglass.scout;

import farglass.text.Language;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What moves our chance to win most in the meeting, whether or not it departs from the others: told in the part in
 * which it is done.
 */
final class LeveragePart {
    /** Points of win chance for a tenth more: less decides nothing. */
    private static final double POINTS = 0.3;
    /** Sentences of a part that stand before it. */
    private static final int BEFORE = 3;

    private LeveragePart() {}

    /** Adds what no sentence of the part tells yet, one a part. */
    static void addTo(Known k, Stakes stakes, Map<Heading, List<Sentence>> parts) {
        for (String technique : stakes.worst()) {
            double worth = stakes.worth(technique, true).orElse(0);
            Heading heading = Heading.begunIn(k.profile().evidence().lexicon().familyOf(technique));
            List<Sentence> part = new ArrayList<>(parts.getOrDefault(heading, List.of()));
            String name = String.valueOf(k.profile().evidence().lexicon().techniqueName(technique));
            if (worth < POINTS || part.stream().anyMatch(s -> tells(s, name))) {
                continue;
            }
            k.any("technique." + technique).ifPresent(c -> {
                part.add(
                        Math.min(BEFORE, part.size()),
                        new Sentence.Builder("leverage." + technique)
                                .say(
                                        "leverage",
                                        c,
                                        Assertion.Says.COUNTED,
                                        name,
                                        Known.x(c),
                                        Known.n(c),
                                        String.format(Language.locale(), "%.1f", worth))
                                .build());
                parts.put(heading, part);
            });
        }
    }

    private static boolean tells(Sentence s, String name) {
        return s.id().startsWith("leverage.")
                || s.assertions().stream().anyMatch(a -> a.args().stream().anyMatch(w -> w.contains(name)));
    }
}
