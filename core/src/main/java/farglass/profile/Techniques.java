package farglass.profile;

import farglass.lexicon.Technique;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.GammaPrior;
import farglass.stats.SideBias;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** What is asked of any family of techniques: how often each works, how often it is tried, to which side. */
final class Techniques {
    /** Attempts below which a technique gets no claim of its own. */
    static final int ATTEMPTS = 3;

    private Techniques() {}

    /** Success of every own technique of some families, most tried first. */
    static List<Claim> success(ClaimFactory q, Predicate<String> families) {
        List<Claim> claims = new ArrayList<>();
        byTechnique(q, a -> families.test(a.family())).forEach((code, acts) -> {
            List<Trial> trials = acts.stream()
                    .filter(Evidence.Act::decided)
                    .map(Evidence.Act::trial)
                    .toList();
            if (trials.size() >= ATTEMPTS) {
                String family = acts.get(0).family();
                claims.add(q.proportion(
                        "technique." + code,
                        Claim.Topic.TECHNIQUE,
                        "technique." + family,
                        q.words(q.lexicon().techniqueName(code)),
                        trials,
                        q.success(code),
                        q.rho(family),
                        acts.size() - trials.size()));
            }
        });
        return mostFirst(claims);
    }

    /** How often every own technique of some families is tried while it could be. */
    static List<Claim> rates(ClaimFactory q, Predicate<String> families) {
        List<Claim> claims = new ArrayList<>();
        byTechnique(q, a -> families.test(a.family())).forEach((code, acts) -> {
            Technique t = q.lexicon().technique(code).orElse(null);
            if (t != null && acts.size() >= ATTEMPTS) {
                Claim c = q.technique(
                        "rate." + code,
                        Claim.Topic.RATE,
                        "rate.technique",
                        t,
                        acts.stream().map(Evidence.Act::trial).toList());
                if (c != null) {
                    claims.add(c);
                }
            }
        });
        mostFirst(claims);
        claims.addAll(landed(q, families));
        return claims;
    }

    /** How often every own technique of some families works, in all the time of the matches. */
    private static List<Claim> landed(ClaimFactory q, Predicate<String> families) {
        List<Claim> claims = new ArrayList<>();
        byTechnique(q, a -> families.test(a.family())).forEach((code, acts) -> {
            List<Trial> worked = acts.stream()
                    .filter(a -> a.action().completed())
                    .map(Evidence.Act::trial)
                    .toList();
            if (acts.size() >= ATTEMPTS) {
                Claim c = q.rate(
                        "lands." + code,
                        Claim.Topic.RATE,
                        "lands.technique",
                        q.words(q.lexicon().techniqueName(code)),
                        worked,
                        (place, role) -> true,
                        GammaPrior.jeffreys());
                if (c != null) {
                    claims.add(c.against(q.landedMean(code), CoreWords.of("prior.average"))
                            .shown(Claim.Prominence.DETAIL));
                }
            }
        });
        return mostFirst(claims);
    }

    /** What the others try against the athlete: a whole family of techniques, then each of them. */
    static List<Claim> against(ClaimFactory q, String family) {
        List<Evidence.Act> all = q.evidence().acts(a -> !a.own() && a.family().equals(family) && a.decided());
        List<Claim> claims = new ArrayList<>();
        if (all.size() >= ATTEMPTS) {
            claims.add(q.proportion(
                    "against.all." + family,
                    Claim.Topic.TECHNIQUE,
                    "against.all." + family,
                    q.words(),
                    all.stream().map(Evidence.Act::trial).toList(),
                    q.familySuccess(family),
                    q.rho(family),
                    0));
            Claim suffered = q.rate(
                    "suffers.all." + family,
                    Claim.Topic.RATE,
                    "suffers.all." + family,
                    q.words(),
                    all.stream()
                            .filter(a -> a.action().completed())
                            .map(Evidence.Act::trial)
                            .toList(),
                    (place, role) -> true,
                    q.landed(family));
            if (suffered != null) {
                claims.add(suffered.shown(Claim.Prominence.DETAIL));
            }
        }
        claims.addAll(against(q, family::equals));
        return claims;
    }

    private static List<Claim> against(ClaimFactory q, Predicate<String> families) {
        List<Claim> claims = new ArrayList<>();
        group(q.evidence().acts(a -> !a.own() && families.test(a.family()))).forEach((code, acts) -> {
            List<Trial> trials = acts.stream()
                    .filter(Evidence.Act::decided)
                    .map(Evidence.Act::trial)
                    .toList();
            if (trials.size() >= ATTEMPTS) {
                String family = acts.get(0).family();
                claims.add(q.proportion(
                        "against." + code,
                        Claim.Topic.TECHNIQUE,
                        "against.technique",
                        q.words(q.lexicon().techniqueName(code)),
                        trials,
                        q.success(code),
                        q.rho(family),
                        acts.size() - trials.size()));
            }
        });
        return mostFirst(claims);
    }

    /** Which techniques of a family are chosen. */
    static List<Claim> chosen(ClaimFactory q, String family, String template) {
        List<Evidence.Act> all = q.evidence().ownOf(family);
        List<Claim> claims = new ArrayList<>();
        if (all.size() < ATTEMPTS) {
            return claims;
        }
        all.stream()
                .map(a -> a.action().technique())
                .distinct()
                .sorted()
                .forEach(code -> claims.add(q.plain(
                                "chosen." + code,
                                Claim.Topic.TECHNIQUE,
                                template,
                                q.words(q.lexicon().techniqueName(code)),
                                all.stream()
                                        .map(a -> a.trial(a.action().technique().equals(code)))
                                        .toList())
                        .shown(Claim.Prominence.DETAIL)));
        return mostFirst(claims);
    }

    /**
     * Side bias of a family, by the side on which attempts begin, then by the side where they ended when some changed
     * direction; empty below three sided attempts.
     */
    static List<Claim> sides(ClaimFactory q, String family) {
        List<Claim> claims = new ArrayList<>();
        List<Evidence.Act> acts = q.evidence().ownOf(family);
        side(q, family, "side." + family, "side." + family + ".", acts, true, claims);
        if (acts.stream().anyMatch(a -> a.action().sides().size() > 1)) {
            side(q, family, "side.last." + family, "side.last." + family + ".", acts, false, claims);
        }
        return claims;
    }

    private static void side(
            ClaimFactory q,
            String family,
            String id,
            String template,
            List<Evidence.Act> acts,
            boolean first,
            List<Claim> claims) {
        List<Evidence.Act> sided = acts.stream()
                .filter(a -> Evidence.sided(which(a.action(), first)))
                .toList();
        if (sided.size() < ATTEMPTS) {
            return;
        }
        long right = sided.stream()
                .filter(a -> which(a.action(), first) == Side.RIGHT)
                .count();
        Side preferred = right * 2 >= sided.size() ? Side.RIGHT : Side.LEFT;
        List<Trial> trials = sided.stream()
                .map(a -> a.trial(which(a.action(), first) == preferred))
                .toList();
        int hidden = (int) acts.stream()
                .filter(a -> which(a.action(), first) == Side.NOT_VISIBLE)
                .count();
        Claim c = q.proportion(
                id,
                Claim.Topic.SIDE,
                template + preferred.code(),
                q.words(),
                trials,
                BetaPrior.fixed(0.5, 4, CoreWords.of("prior.no-side")),
                q.baseline().sideRho(family),
                hidden);
        double effect = Clustering.designEffect(
                (double) trials.size() / Math.max(1, c.estimate().matches()),
                q.baseline().sideRho(family));
        double toPreferred =
                trials.stream().filter(Trial::worked).mapToDouble(Trial::weight).sum() / effect;
        double away = trials.stream()
                        .filter(t -> !t.worked())
                        .mapToDouble(Trial::weight)
                        .sum()
                / effect;
        boolean isRight = preferred == Side.RIGHT;
        SideBias bias = SideBias.of(
                (int) right,
                sided.size() - (int) right,
                isRight ? toPreferred : away,
                isRight ? away : toPreferred,
                c.estimate().grade());
        claims.add(Claim.of(c.id(), c.topic(), c.template(), c.args(), c.unit(), c.estimate(), trials)
                .sided(bias)
                .withoutUnsure(c.withoutUnsure())
                .hiding(hidden));
    }

    private static @Nullable Side which(Tag.Action a, boolean first) {
        return first ? a.firstSide() : a.side();
    }

    /** The athlete's own, by code. */
    static Map<String, List<Evidence.Act>> byTechnique(ClaimFactory q, Predicate<Evidence.Act> wanted) {
        return group(q.evidence().own(wanted));
    }

    private static Map<String, List<Evidence.Act>> group(List<Evidence.Act> acts) {
        Map<String, List<Evidence.Act>> map = new TreeMap<>();
        acts.forEach(a -> map.computeIfAbsent(a.action().technique(), k -> new ArrayList<>())
                .add(a));
        return map;
    }

    static List<Claim> mostFirst(List<Claim> claims) {
        claims.sort(Comparator.comparing((Claim c) -> c.estimate().grade())
                .thenComparing(
                        Comparator.comparingDouble((Claim c) -> c.estimate().x())
                                .reversed())
                .thenComparing(Claim::id));
        return claims;
    }
}
