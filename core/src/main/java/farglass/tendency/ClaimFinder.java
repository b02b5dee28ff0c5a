package farglass.tendency;

import farglass.lexicon.Technique;
import farglass.match.Method;
import farglass.match.Result;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.stats.BetaPrior;
import farglass.stats.Clustering;
import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.stats.NeverSeen;
import farglass.stats.Proportion;
import farglass.stats.SideBias;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;

/** Asks the evidence the questions of a profile and writes down every answer as a {@link Claim}. */
final class ClaimFinder {
    /** Attempts below which a technique gets no claim of its own. */
    private static final int ATTEMPTS = 3;

    private static final int SIDED_ATTEMPTS = 3;
    private static final List<String> SIDED = List.of("pass", "sweep", "takedown");
    private static final List<String> NOT_TECHNIQUES = List.of("grip", "feint");

    private final Evidence evidence;
    private final Baseline baseline;
    private final List<Evidence> others;
    private final String surname;
    private final long seed;

    /** @param others the same evidence of every other athlete, for the library's shares of time */
    ClaimFinder(Evidence evidence, Baseline baseline, List<Evidence> others, String name, long seed) {
        this.evidence = evidence;
        this.baseline = baseline;
        this.others = others;
        this.surname = name.substring(name.lastIndexOf(' ') + 1);
        this.seed = seed;
    }

    List<Claim> find() {
        List<Claim> claims = new ArrayList<>();
        if (evidence.matches().isEmpty()) {
            return claims;
        }
        openings(claims);
        places(claims);
        guards(claims);
        sides(claims);
        techniques(claims);
        finishes(claims);
        neverSeen(claims);
        return claims;
    }

    private Claim proportion(
            String id,
            Claim.Topic topic,
            String template,
            List<String> args,
            List<Trial> trials,
            BetaPrior prior,
            double rho,
            int hidden) {
        long stream = seed + id.hashCode();
        Estimate all = Proportion.of(trials, prior, rho, stream);
        Double sure = null;
        if (trials.stream().anyMatch(Trial::unsure)) {
            sure = Proportion.of(trials.stream().filter(t -> !t.unsure()).toList(), prior, rho, stream)
                    .mean();
        }
        return new Claim(id, topic, template, args, all, null, trials, sure, hidden);
    }

    /** Who engages first, and how: one trial per match seen from its start. */
    private void openings(List<Claim> claims) {
        List<Trial> pulls = new ArrayList<>();
        List<Trial> shots = new ArrayList<>();
        List<Trial> waits = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            if (seen.line().spans().isEmpty() || seen.line().spans().get(0).leftTruncated()) {
                continue;
            }
            evidence.acts(act -> act.seen() == seen && engages(act.action())).stream()
                    .findFirst()
                    .ifPresent(first -> {
                        boolean pull = "guard-pull".equals(evidence.family(first.action()));
                        pulls.add(first.trial(first.own() && pull));
                        shots.add(first.trial(first.own() && !pull));
                        waits.add(first.trial(!first.own()));
                    });
        }
        Map<String, List<Trial>> openings = new LinkedHashMap<>();
        openings.put("opening.pull", pulls);
        openings.put("opening.takedown", shots);
        openings.put("opening.other", waits);
        openings.forEach((key, trials) -> {
            if (trials.stream().anyMatch(Trial::worked)) {
                claims.add(proportion(
                        key, Claim.Topic.OPENING, key, List.of(surname), trials, BetaPrior.jeffreys(), 0, 0));
            }
        });
    }

    private boolean engages(Tag.Action a) {
        String family = evidence.family(a);
        return family.equals("takedown") || family.equals("guard-pull");
    }

    /** Share of live time by kind of place and role. */
    private void places(List<Claim> claims) {
        Map<String, List<Evidence.Place>> groups = new TreeMap<>();
        for (Evidence.Place p : evidence.places(p -> true)) {
            groups.computeIfAbsent(group(p), k -> new ArrayList<>()).add(p);
        }
        groups.forEach((key, places) -> {
            if (!key.equals("place.other")) {
                claims.add(share(
                        key, Claim.Topic.PLACE, key, List.of(surname), places, p -> true, p -> group(p).equals(key)));
            }
        });
    }

    private String group(Evidence.Place p) {
        String family = evidence.lexicon()
                .position(p.span().place())
                .map(farglass.lexicon.Position::family)
                .orElse("other");
        boolean ahead = p.role().equals("holder");
        return switch (family) {
            case "standing" -> "place.standing";
            case "seated", "closed-half", "open-guard", "leg-entanglement", "passing" ->
                p.role().equals("guard") ? "place.guard" : ahead ? "place.topGuard" : "place.other";
            case "pin" -> ahead ? "place.pinning" : "place.pinned";
            case "back-turtle" -> ahead ? "place.backOf" : "place.backGiven";
            default -> "place.other";
        };
    }

    private Claim share(
            String id,
            Claim.Topic topic,
            String template,
            List<String> args,
            List<Evidence.Place> places,
            Predicate<Evidence.Place> denominator,
            Predicate<Evidence.Place> wanted) {
        List<Trial> trials = places.stream().map(p -> p.trial(true)).toList();
        return new Claim(
                id,
                topic,
                template,
                args,
                Places.share(evidence, places, denominator)
                        .against(Places.ratio(others, wanted, denominator), "average of the others in the library"),
                null,
                trials,
                null,
                0);
    }

    /** Which guards, as shares of the time in guard. */
    private void guards(List<Claim> claims) {
        Predicate<Evidence.Place> inGuard = p -> p.role().equals("guard") && !passing(p);
        Map<String, List<Evidence.Place>> byGuard = new TreeMap<>();
        for (Evidence.Place p : evidence.places(inGuard)) {
            byGuard.computeIfAbsent(p.span().place(), k -> new ArrayList<>()).add(p);
        }
        byGuard.forEach((code, places) -> claims.add(share(
                "guard." + code,
                Claim.Topic.GUARD,
                "guard.used",
                List.of(surname, evidence.lexicon().positionName(code)),
                places,
                inGuard,
                p -> p.span().place().equals(code))));
    }

    private boolean passing(Evidence.Place p) {
        return evidence.lexicon()
                .position(p.span().place())
                .map(pos -> pos.family().equals("passing"))
                .orElse(false);
    }

    /** Side bias per family, by the side on which attempts begin. */
    private void sides(List<Claim> claims) {
        for (String family : SIDED) {
            List<Evidence.Act> acts = evidence.acts(a -> a.own() && family.equals(evidence.family(a.action())));
            List<Evidence.Act> sided = acts.stream()
                    .filter(a ->
                            a.action().firstSide() == Side.RIGHT || a.action().firstSide() == Side.LEFT)
                    .toList();
            if (sided.size() < SIDED_ATTEMPTS) {
                continue;
            }
            long right = sided.stream()
                    .filter(a -> a.action().firstSide() == Side.RIGHT)
                    .count();
            Side preferred = right * 2 >= sided.size() ? Side.RIGHT : Side.LEFT;
            List<Trial> trials = sided.stream()
                    .map(a -> a.trial(a.action().firstSide() == preferred))
                    .toList();
            int hidden = (int) acts.stream()
                    .filter(a -> a.action().firstSide() == Side.NOT_VISIBLE)
                    .count();
            String template = "side." + family + "." + preferred.code();
            Claim c = proportion(
                    "side." + family,
                    Claim.Topic.SIDE,
                    template,
                    List.of(surname),
                    trials,
                    BetaPrior.fixed(0.5, 4, "no side preferred"),
                    baseline.rho(family),
                    hidden);
            claims.add(new Claim(
                    c.id(),
                    c.topic(),
                    c.template(),
                    c.args(),
                    c.estimate(),
                    bias(sided, (int) right, family, c.estimate().grade()),
                    c.trials(),
                    c.withoutUnsure(),
                    c.hidden()));
        }
    }

    private SideBias bias(List<Evidence.Act> sided, int right, String family, Grade grade) {
        long matches =
                sided.stream().map(a -> a.seen().record().id()).distinct().count();
        double effect = Clustering.designEffect((double) sided.size() / matches, baseline.rho(family));
        double w = sided.stream().mapToDouble(a -> a.seen().weight()).sum();
        double wr = sided.stream()
                .filter(a -> a.action().firstSide() == Side.RIGHT)
                .mapToDouble(a -> a.seen().weight())
                .sum();
        return SideBias.of(right, sided.size() - right, wr / effect, (w - wr) / effect, grade);
    }

    private void techniques(List<Claim> claims) {
        Map<String, List<Evidence.Act>> byTechnique = new TreeMap<>();
        for (Evidence.Act a : evidence.acts(Evidence.Act::own)) {
            if (!NOT_TECHNIQUES.contains(evidence.family(a.action()))) {
                byTechnique
                        .computeIfAbsent(a.action().technique(), k -> new ArrayList<>())
                        .add(a);
            }
        }
        byTechnique.forEach((code, acts) -> {
            List<Trial> trials = acts.stream()
                    .filter(a -> Evidence.outcomeSeen(a.action()))
                    .map(a -> a.trial(a.action().completed()))
                    .toList();
            if (trials.size() < ATTEMPTS) {
                return;
            }
            String family = evidence.family(acts.get(0).action());
            BetaPrior prior =
                    evidence.filter().baseline() ? baseline.success(code, evidence.athlete()) : BetaPrior.jeffreys();
            claims.add(proportion(
                    "technique." + code,
                    Claim.Topic.TECHNIQUE,
                    "technique." + family,
                    List.of(surname, evidence.lexicon().techniqueName(code)),
                    trials,
                    prior,
                    baseline.rho(family),
                    acts.size() - trials.size()));
        });
    }

    private void finishes(List<Claim> claims) {
        List<Trial> wins = new ArrayList<>();
        List<Trial> losses = new ArrayList<>();
        Map<String, List<Integer>> winsBy = new TreeMap<>();
        List<Trial> finishes = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            Result result = seen.record().details().result();
            if (result == null) {
                continue;
            }
            boolean submission = result.method() == Method.SUBMISSION;
            boolean won = submission && result.winner() == seen.corner();
            Trial trial = endTrial(seen, won);
            wins.add(trial);
            losses.add(endTrial(
                    seen, submission && result.winner() == seen.corner().other()));
            if (won && result.technique() != null) {
                winsBy.computeIfAbsent(result.technique(), k -> new ArrayList<>())
                        .add(finishes.size());
                finishes.add(trial);
            }
        }
        if (!wins.isEmpty()) {
            claims.add(proportion(
                    "finish.wins",
                    Claim.Topic.FINISH,
                    "finish.wins",
                    List.of(surname),
                    wins,
                    BetaPrior.jeffreys(),
                    0,
                    0));
        }
        if (losses.stream().anyMatch(Trial::worked)) {
            claims.add(proportion(
                    "finish.lost",
                    Claim.Topic.FINISH,
                    "finish.lost",
                    List.of(surname),
                    losses,
                    BetaPrior.jeffreys(),
                    0,
                    0));
        }
        winsBy.forEach((technique, places) -> {
            List<Trial> trials = new ArrayList<>();
            for (int i = 0; i < finishes.size(); i++) {
                Trial t = finishes.get(i);
                trials.add(new Trial(t.tag(), t.index(), t.t(), places.contains(i), t.weight(), t.unsure()));
            }
            claims.add(proportion(
                    "finish.by." + technique,
                    Claim.Topic.FINISH,
                    "finish.by",
                    List.of(surname, evidence.lexicon().techniqueName(technique)),
                    trials,
                    BetaPrior.jeffreys(),
                    0,
                    0));
        });
    }

    /** A match's last action, or its last tag: the place to look at to see how it ended. */
    private static Trial endTrial(Evidence.Seen seen, boolean worked) {
        List<Tag> tags = seen.record().tags();
        int index = Math.max(0, tags.size() - 1);
        for (int i = tags.size() - 1; i >= 0; i--) {
            if (tags.get(i) instanceof Tag.Action) {
                index = i;
                break;
            }
        }
        TagRef ref = new TagRef(
                seen.record().id(), tags.isEmpty() ? "0" : seen.record().tagName(index));
        return new Trial(
                ref,
                index,
                tags.isEmpty() ? farglass.time.MatchTime.ZERO : tags.get(index).t(),
                worked,
                seen.weight(),
                false);
    }

    /** Things never tried in any complete match, with the share of matches they might still occur in. */
    private void neverSeen(List<Claim> claims) {
        int complete = (int) evidence.matches().stream()
                .filter(s -> !s.line().spans().isEmpty()
                        && s.line().spans().stream().noneMatch(span -> span.leftTruncated())
                        && s.record().tags().stream().anyMatch(Tag.End.class::isInstance))
                .count();
        if (complete == 0) {
            return;
        }
        Map<String, Predicate<Evidence.Act>> subjects = new LinkedHashMap<>();
        subjects.put("never.leg", a -> attacks(a, "leg"));
        subjects.put("never.arm", a -> attacks(a, "arm"));
        subjects.put("never.choke", a -> attacks(a, "neck"));
        for (String family : List.of("takedown", "guard-pull", "back-take")) {
            subjects.put("never." + family, a -> family.equals(evidence.family(a.action())));
        }
        subjects.forEach((key, wanted) -> {
            if (evidence.acts(a -> a.own() && wanted.test(a)).isEmpty()) {
                double upper = NeverSeen.perMatch(complete);
                Estimate e = new Estimate(
                        0,
                        complete,
                        0,
                        0,
                        0,
                        upper,
                        0.95,
                        complete,
                        complete,
                        Grade.of(complete, complete, upper),
                        Double.NaN,
                        "exact upper bound",
                        null,
                        List.of());
                claims.add(new Claim(key, Claim.Topic.NOT_SEEN, key, List.of(surname), e, null, List.of(), null, 0));
            }
        });
    }

    private boolean attacks(Evidence.Act a, String limb) {
        return evidence.lexicon()
                .technique(a.action().technique())
                .filter(t -> t.family().equals("submission"))
                .map(Technique::limb)
                .filter(limb::equals)
                .isPresent();
    }
}
