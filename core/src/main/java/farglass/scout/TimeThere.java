package farglass.scout;

import java.util.Optional;

/** Time in a kind of place, where it is more than that of the others. */
final class TimeThere {
    private TimeThere() {}

    /**
     * @param part of the report, before the name of the sentence and of its words
     * @param place name of the claim
     */
    static Optional<Sentence> sentence(Known k, String part, String place) {
        return sentence(k, part + place, part, place);
    }

    /** The same under another name. */
    static Optional<Sentence> sentence(Known k, String name, String part, String place) {
        return k.firm(place)
                .filter(Known::above)
                .map(c -> new Sentence.Builder(name)
                        .say(
                                part + place,
                                c,
                                Assertion.Says.MORE,
                                Known.percent(c.estimate().mean()),
                                Known.others(c))
                        .build());
    }
}
