package farglass.scout;

import farglass.profile.Claim;
import farglass.stats.Estimate;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.List;

/** What changes with the score and the clock. */
final class MomentsPart {
    /** Standard deviations apart at which two rates are told apart: six are looked at. */
    private static final double APART = 2.2;
    /** A change of pace of less than a quarter is nothing to act upon. */
    private static final double FACTOR = 1.25;

    private static final double WIDTH = 2 * 1.645;
    private static final double MINUTE_MS = 60_000;

    private MomentsPart() {}

    static List<Sentence> of(Known k) {
        List<Sentence> list = new ArrayList<>();
        compare(k, "behind", "when.score.behind", "when.score.level", list);
        compare(k, "ahead", "when.score.ahead", "when.score.level", list);
        compare(k, "late", "when.clock.last-third", "when.clock.first-third", list);
        return list;
    }

    private static void compare(Known k, String when, String here, String there, List<Sentence> list) {
        k.firm(here + ".pace")
                .ifPresent(a -> k.firm(there + ".pace").ifPresent(b -> {
                    double factor = a.estimate().mean() / b.estimate().mean();
                    double z = Math.log(factor) / Math.hypot(logSd(a.estimate()), logSd(b.estimate()));
                    if (Math.abs(z) > APART && Math.max(factor, 1 / factor) > FACTOR) {
                        boolean more = z > 0;
                        list.add(new Sentence.Builder("moments." + when)
                                .say(
                                        "moments." + when + (more ? ".more" : ".less"),
                                        a,
                                        more ? Assertion.Says.MORE : Assertion.Says.LESS,
                                        Known.x(a),
                                        minutes(a),
                                        Known.x(b),
                                        minutes(b))
                                .than(b)
                                .build());
                    }
                }));
    }

    private static double logSd(Estimate e) {
        return e.lo() <= 0 ? Double.POSITIVE_INFINITY : Math.log(e.hi() / e.lo()) / WIDTH;
    }

    private static String minutes(Claim c) {
        return String.format(Language.locale(), "%.0f", c.estimate().n() / MINUTE_MS);
    }
}
