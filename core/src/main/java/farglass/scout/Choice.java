package farglass.scout;

import farglass.profile.Claim;
import java.util.List;
import java.util.Optional;

/** Which technique of a family an athlete chooses, and how it fares. */
final class Choice {
    /** A second one is named when it makes up this much of the first. */
    private static final double ALSO = 0.5;

    private Choice() {}

    /**
     * @param id names the sentence, and its template
     * @param chosen template of the claims that tell the shares of the family
     * @param works template of what is said of its success
     * @return empty when nothing is clearly chosen
     */
    static Optional<Sentence> sentence(Known k, String id, String chosen, String works) {
        List<Claim> shares = k.firmly("chosen.").stream()
                .filter(c -> c.template().equals(chosen))
                .toList();
        if (shares.isEmpty()) {
            return Optional.empty();
        }
        Claim first = shares.get(0);
        boolean one = Known.largest(shares);
        Sentence.Builder s = new Sentence.Builder(id);
        if (one) {
            s.say(id, first, Assertion.Says.MOST, first.args().get(1), Known.x(first), Known.n(first));
        } else {
            Claim second = shares.get(1);
            // two that stand clearly before all others
            if (second.estimate().x() < ALSO * first.estimate().x()
                    || (shares.size() > 2 && !Known.largest(List.of(first, shares.get(2))))) {
                return Optional.empty();
            }
            s.say(
                    id + ".two",
                    first,
                    Assertion.Says.COUNTED,
                    first.args().get(1),
                    Known.x(first),
                    second.args().get(1),
                    Known.x(second),
                    Known.n(first));
        }
        String code = first.id().substring(first.id().lastIndexOf('.') + 1);
        k.firm("technique." + code)
                .ifPresent(c -> s.say(
                                works,
                                c,
                                Assertion.Says.COUNTED,
                                Known.x(c),
                                Known.n(c),
                                first.args().get(1))
                        .others(c));
        return Optional.of(s.build());
    }
}
