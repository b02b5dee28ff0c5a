package farglass.profile;

import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.match.Tag;
import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.stats.NeverSeen;
import farglass.tendency.Baseline;
import farglass.tendency.Evidence;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** What was never seen, and how often it may still happen: absence of film is not absence of skill. */
final class NotSeenPage {
    private static final double SHOWN_MS = 600_000;
    private static final double EXPOSED_MS = 300_000;
    private static final int TECHNIQUES = 12;

    private final ClaimFactory q;

    private NotSeenPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new NotSeenPage(q).page();
    }

    private ClaimPage page() {
        return new ClaimPage(
                Question.NOT_SEEN,
                List.of(
                        Section.of("never.kinds", kinds()),
                        Section.of("never.techniques", techniques()),
                        Section.of("never.places", places())));
    }

    /** Kinds of attack never tried in any match seen whole. */
    private List<Claim> kinds() {
        List<Claim> claims = new ArrayList<>();
        int complete = (int) q.evidence().matches().stream()
                .filter(s -> !s.line().spans().isEmpty()
                        && s.line().spans().stream().noneMatch(span -> span.leftTruncated())
                        && s.record().tags().stream().anyMatch(Tag.End.class::isInstance))
                .count();
        if (complete == 0 || !q.evidence().filter().moment().everything()) {
            return claims;
        }
        Map<String, Predicate<Evidence.Act>> subjects = new LinkedHashMap<>();
        subjects.put("never.leg", a -> attacks(a, "leg"));
        subjects.put("never.arm", a -> attacks(a, "arm"));
        subjects.put("never.choke", a -> attacks(a, "neck"));
        for (String family : List.of("takedown", "guard-pull", "back-take")) {
            subjects.put("never." + family, a -> family.equals(a.family()));
        }
        subjects.forEach((key, wanted) -> {
            if (q.evidence().own(wanted).isEmpty()) {
                double upper = NeverSeen.perMatch(complete);
                claims.add(never(key, key, q.words(), Claim.Unit.SHARE, complete, complete, upper));
            }
        });
        return claims;
    }

    private Claim never(
            String id, String template, List<String> words, Claim.Unit unit, double n, int matches, double upper) {
        Estimate e = new Estimate(
                new Estimate.Observed(0, n, 0, matches, matches),
                0,
                new Estimate.Interval(0, upper, 0.95),
                Grade.of(matches, matches, unit == Claim.Unit.SHARE ? upper : 0),
                new Estimate.Reference(Double.NaN, CoreWords.of("prior.bound")),
                null,
                List.of());
        return Claim.of(id, Claim.Topic.NOT_SEEN, template, words, unit, e, List.of());
    }

    private boolean attacks(Evidence.Act a, String limb) {
        return q.lexicon()
                .technique(a.action().technique())
                .filter(t -> t.family().equals("submission"))
                .map(Technique::limb)
                .filter(limb::equals)
                .isPresent();
    }

    /** Attacks that were possible for a long time and never tried, longest first. */
    private List<Claim> techniques() {
        List<Claim> claims = new ArrayList<>();
        for (Technique t : q.lexicon().techniques()) {
            if (!PositionGroups.ATTACKS.contains(t.family())
                    || !q.evidence().ownWith(t.code()).isEmpty()) {
                continue;
            }
            Map<Evidence.Seen, long[]> there = q.evidence().time((place, role) -> Baseline.possible(t, place, role));
            double ms = there.values().stream().mapToDouble(m -> m[0]).sum();
            int matches = there.size();
            if (ms >= EXPOSED_MS) {
                claims.add(never(
                        "never.technique." + t.code(),
                        "never.technique",
                        q.words(t.name()),
                        Claim.Unit.PER_TEN_MINUTES,
                        ms,
                        matches,
                        NeverSeen.rate(ms / SHOWN_MS)));
            }
        }
        claims.sort(Comparator.comparingDouble((Claim c) -> -c.estimate().n()).thenComparing(Claim::id));
        return claims.subList(0, Math.min(TECHNIQUES, claims.size()));
    }

    /** Coverage: per family of positions the time seen, and those of its positions that never came up. */
    private List<Claim> places() {
        Map<String, List<Position>> families = new TreeMap<>();
        q.lexicon()
                .positions()
                .forEach(p -> families.computeIfAbsent(p.family(), k -> new ArrayList<>())
                        .add(p));
        List<Claim> claims = new ArrayList<>();
        if (q.evidence().exposureMs() == 0) {
            return claims;
        }
        families.forEach((family, positions) -> {
            List<String> seen =
                    q
                            .evidence()
                            .visits((place, role) ->
                                    q.evidence().placeFamily(place).equals(family))
                            .stream()
                            .map(p -> p.span().place())
                            .distinct()
                            .toList();
            String missing = positions.stream()
                    .filter(p -> !seen.contains(p.code()))
                    .map(Position::name)
                    .collect(Collectors.joining(", "));
            if (!missing.isEmpty() && positions.size() > 1) {
                claims.add(q.share(
                                "coverage." + family,
                                Claim.Topic.PLACE,
                                "never.place",
                                q.words(
                                        CoreWords.code(family),
                                        missing,
                                        Integer.toString(seen.size()),
                                        Integer.toString(positions.size())),
                                (place, role) -> q.evidence().placeFamily(place).equals(family),
                                (place, role) -> true)
                        .shown(Claim.Prominence.COVERAGE));
            }
        });
        return claims;
    }
}
