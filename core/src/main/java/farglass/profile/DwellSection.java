package farglass.profile;

import farglass.stats.Curve;
import farglass.stats.Estimate;
import farglass.stats.ExitCurves;
import farglass.stats.Grade;
import farglass.stats.Trial;
import farglass.tendency.DwellTimes;
import farglass.tendency.Evidence;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Predicate;

/** How long a group of places lasts and how it ends: curves, and sentences at round times. */
final class DwellSection {
    private static final long HELD_MS = 60_000;
    private static final long WITHIN_MS = 30_000;
    private static final int STAYS = 3;

    private final ClaimFactory q;
    private final String key;
    private final List<DwellTimes.Stay> stays;
    private final List<Curve> curves;

    /**
     * @param key begins the ids and the templates: {@code key.held}, {@code key.} and a cause
     * @param causes ways to end that get a curve and a sentence
     */
    DwellSection(
            ClaimFactory q,
            String key,
            List<String> causes,
            Predicate<Evidence.Visit> in,
            BiFunction<Evidence.Visit, Evidence.Visit, String> cause) {
        this.q = q;
        this.key = key;
        this.stays = DwellTimes.of(q.evidence(), in, cause);
        this.curves = stays.size() < STAYS
                ? List.of()
                : ExitCurves.of(stays.stream().map(DwellTimes.Stay::spell).toList(), causes, q.stream(key));
    }

    List<DwellTimes.Stay> stays() {
        return stays;
    }

    Section section() {
        List<Claim> claims = new ArrayList<>();
        if (curves.isEmpty()) {
            return Section.of(key, claims);
        }
        add(claims, curves.get(0), HELD_MS, Claim.Topic.HOLD, key + ".held");
        for (Curve c : curves.subList(1, curves.size())) {
            if (stays.stream().anyMatch(s -> c.cause().equals(s.cause()))) {
                add(claims, c, WITHIN_MS, Claim.Topic.EXIT, key + "." + c.cause());
            }
        }
        Map<String, List<Trial>> trials = new LinkedHashMap<>();
        for (Curve c : curves) {
            boolean held = c.cause().equals(Curve.HELD);
            trials.put(
                    c.cause(),
                    stays.stream()
                            .filter(s -> held ? s.cause() == null : c.cause().equals(s.cause()))
                            .map(s -> s.trial(!held))
                            .toList());
        }
        return Section.of(key, claims).with(new Figure.Curves(curves, trials));
    }

    private void add(List<Claim> claims, Curve curve, long ms, Claim.Topic topic, String id) {
        boolean held = curve.cause().equals(Curve.HELD);
        curve.at(ms).ifPresent(p -> {
            List<Trial> trials = stays.stream()
                    .map(s -> s.trial(
                            held ? s.ms() >= ms : s.ms() <= ms && curve.cause().equals(s.cause())))
                    .toList();
            double w = stays.stream().mapToDouble(s -> s.seen().weight()).sum();
            double ww = stays.stream()
                    .mapToDouble(s -> s.seen().weight() * s.seen().weight())
                    .sum();
            double effective = Math.min(w * w / ww, w);
            int matches =
                    (int) trials.stream().map(t -> t.tag().match()).distinct().count();
            Estimate e = new Estimate(
                    new Estimate.Observed(
                            trials.stream().filter(Trial::worked).count(),
                            trials.size(),
                            p.value(),
                            matches,
                            effective),
                    p.value(),
                    new Estimate.Interval(p.lo(), p.hi()),
                    Grade.of(effective, matches, p.hi() - p.lo()),
                    new Estimate.Reference(Double.NaN, ""),
                    null,
                    trials.stream().map(Trial::tag).toList());
            claims.add(Claim.of(id, topic, id, q.words(Long.toString(ms / 1000)), Claim.Unit.SHARE, e, trials)
                    .noted(curve.clustered() ? "note.stops" : "note.independent"));
        });
    }
}
