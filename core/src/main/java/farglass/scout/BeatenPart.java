package farglass.scout;

import farglass.profile.Claim;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What beats the athlete: what the others do better than usual, bad places, punished errors. */
final class BeatenPart {
    private static final int MOST = 4;
    private static final int PUNISHED = 2;
    /** Places that are held against the athlete. */
    static final List<String> BAD_PLACES = List.of("place.pinned", "place.backGiven");

    private BeatenPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        for (String family : List.of("takedown", "pass", "sweep", "back-take", "submission")) {
            k.firm("against.all." + family)
                    .filter(Known::above)
                    .ifPresent(c -> list.add(new Sentence.Builder("beaten." + family)
                            .say("beaten." + family, c, Assertion.Says.MORE, Known.x(c), Known.n(c), Known.others(c))
                            .build()));
        }
        k.firmly("against.").stream()
                .filter(c -> c.template().equals("against.technique") && Known.above(c))
                .sorted(Comparator.comparingDouble(Claim::departure).reversed())
                .forEach(c -> list.add(new Sentence.Builder("beaten." + c.id())
                        .say(
                                "beaten.technique",
                                c,
                                Assertion.Says.MORE,
                                c.args().get(1),
                                Known.x(c),
                                Known.n(c),
                                Known.others(c))
                        .build()));
        for (String place : BAD_PLACES) {
            TimeThere.sentence(k, "beaten.", place).ifPresent(list::add);
        }
        k.firm("finish.lost")
                .filter(c -> c.estimate().x() >= PUNISHED && !Known.below(c))
                .ifPresent(c -> list.add(new Sentence.Builder("beaten.submitted")
                        .say("beaten.submitted", c, Assertion.Says.COUNTED, Known.x(c), Known.n(c))
                        .others(c)
                        .build()));
        error(k, "beaten.").ifPresent(list::add);
        return list.subList(0, Math.min(MOST, list.size()));
    }

    /**
     * The first of the errors that was punished more than once.
     *
     * @param part before the name of the sentence
     */
    static Optional<Sentence> error(Known k, String part) {
        return k.all("error.").stream()
                .filter(c -> Integer.parseInt(c.args().get(2)) >= PUNISHED)
                .findFirst()
                .map(c -> new Sentence.Builder(part + c.id())
                        .say(
                                "beaten.error",
                                c,
                                Assertion.Says.COUNTED,
                                c.args().get(1),
                                c.args().get(3),
                                c.args().get(2))
                        .build());
    }
}
