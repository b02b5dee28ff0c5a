package farglass.profile;

import static java.util.Objects.requireNonNull;

import farglass.ask.Asked;
import farglass.lexicon.Technique;
import farglass.stats.BetaPrior;
import farglass.stats.Trial;
import farglass.tendency.Baseline;
import farglass.tendency.Evidence;
import farglass.tendency.LibraryIndex;
import farglass.tendency.Reactions;
import farglass.tendency.Transitions;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * What is known of what was asked.
 *
 * @param asked what was understood, and what was not
 * @param claims the answer, empty when nothing of the kind was seen
 * @param evidence what it rests on
 */
public record Answer(Asked asked, List<Claim> claims, Evidence evidence) {
    private static final int NEXT = 6;
    private static final int TRIGGERS = 200;

    public Answer {
        claims = List.copyOf(claims);
    }

    /** Answers a question that was read; takes a moment. */
    public static Answer of(LibraryIndex index, String athlete, Asked asked, long seed) {
        ClaimFactory q = Profile.inquiry(index, athlete, asked.filter(), seed);
        List<Claim> claims = new ArrayList<>();
        if (!asked.techniques().isEmpty()) {
            new Finder(q, asked, claims).techniques();
        } else if (!asked.positions().isEmpty()) {
            new Finder(q, asked, claims).places();
        }
        return new Answer(asked, claims, q.evidence());
    }

    private record Finder(ClaimFactory q, Asked asked, List<Claim> claims) {
        void techniques() {
            Set<String> codes = Set.copyOf(asked.techniques());
            if (asked.measure() == Asked.Measure.ANSWERS) {
                reactions(codes);
                return;
            }
            boolean own = asked.measure() != Asked.Measure.AGAINST;
            List<Evidence.Act> acts = q.evidence()
                    .acts(a -> a.own() == own && codes.contains(a.action().technique()));
            if (acts.isEmpty()) {
                return;
            }
            if (!own) {
                works("ask.against", acts);
                return;
            }
            if (asked.side() != null) {
                side(acts);
            } else if (asked.measure() == Asked.Measure.SIDES) {
                sides(acts);
            }
            if (asked.measure() == null || asked.measure() == Asked.Measure.WORKS) {
                works(
                        asked.side() == null ? "ask.works" : "ask.works.side",
                        acts.stream()
                                .filter(a -> asked.side() == null || a.action().firstSide() == asked.side())
                                .toList());
            }
            if (asked.measure() == null || asked.measure() == Asked.Measure.RATE) {
                rate(codes, acts);
            }
        }

        private List<String> words(String... more) {
            List<String> words = q.words(asked.subject());
            words.addAll(List.of(more));
            return words;
        }

        private void works(String template, List<Evidence.Act> acts) {
            List<Trial> trials = acts.stream()
                    .filter(Evidence.Act::decided)
                    .map(Evidence.Act::trial)
                    .toList();
            if (trials.isEmpty()) {
                return;
            }
            String family = acts.get(0).family();
            boolean one = asked.techniques().size() == 1;
            BetaPrior prior = one ? q.success(asked.techniques().get(0)) : q.familySuccess(family);
            List<String> args = asked.side() == null
                    ? words()
                    : words(CoreWords.code(requireNonNull(asked.side()).code()));
            claims.add(q.proportion(
                    template + "." + asked.subject(),
                    Claim.Topic.TECHNIQUE,
                    template,
                    args,
                    trials,
                    prior,
                    q.rho(family),
                    acts.size() - trials.size()));
        }

        private void side(List<Evidence.Act> acts) {
            List<Trial> trials = acts.stream()
                    .filter(a -> Evidence.sided(a.action().firstSide()))
                    .map(a -> a.trial(a.action().firstSide() == asked.side()))
                    .toList();
            if (!trials.isEmpty()) {
                claims.add(q.proportion(
                        "ask.side." + asked.subject(),
                        Claim.Topic.SIDE,
                        "ask.side",
                        words(CoreWords.code(requireNonNull(asked.side()).code())),
                        trials,
                        BetaPrior.fixed(0.5, 4, CoreWords.of("prior.no-side")),
                        q.baseline().sideRho(acts.get(0).family()),
                        acts.size() - trials.size()));
            }
        }

        private void sides(List<Evidence.Act> acts) {
            acts.stream().map(Evidence.Act::family).distinct().forEach(f -> claims.addAll(Techniques.sides(q, f)));
        }

        private void rate(Set<String> codes, List<Evidence.Act> acts) {
            List<Technique> known = codes.stream()
                    .flatMap(c -> q.lexicon().technique(c).stream())
                    .toList();
            Claim c = q.rate(
                    "ask.rate." + asked.subject(),
                    Claim.Topic.RATE,
                    "ask.rate",
                    words(),
                    acts.stream().map(Evidence.Act::trial).toList(),
                    (place, role) -> known.stream().anyMatch(t -> Baseline.possible(t, place, role)),
                    farglass.stats.GammaPrior.jeffreys());
            if (c != null) {
                claims.add(c);
            }
        }

        private void reactions(Set<String> codes) {
            for (Reactions.Row row : Reactions.of(q.evidence(), true, TRIGGERS, q.stream("ask"))) {
                if (codes.contains(row.trigger())) {
                    claims.addAll(ReactionsPage.answers(q, "reaction.own", row));
                }
            }
        }

        void places() {
            Set<String> codes = Set.copyOf(asked.positions());
            Claim share = q.share(
                    "ask.time." + asked.subject(),
                    Claim.Topic.PLACE,
                    "ask.time",
                    words(),
                    (place, role) -> codes.contains(place),
                    (place, role) -> true);
            if (share.trials().isEmpty()) {
                return;
            }
            claims.add(share);
            if (asked.measure() == null || asked.measure() == Asked.Measure.LASTS) {
                DwellSection lasting = new DwellSection(
                        q, "ask", List.of(), p -> codes.contains(p.span().place()), (left, next) -> "left");
                for (Claim c : lasting.section().claims()) {
                    claims.add(c.says(c.topic(), "ask.held", words(c.args().get(1))));
                }
            }
            if (asked.measure() == null || asked.measure() == Asked.Measure.NEXT) {
                Transitions.of(q.evidence()).stream()
                        .filter(r -> codes.contains(r.from()))
                        .sorted(Comparator.comparingDouble(
                                        (Transitions.Row r) -> r.estimate().x())
                                .reversed())
                        .limit(NEXT)
                        .forEach(r -> claims.add(next(r)));
            }
        }

        private Claim next(Transitions.Row r) {
            String how = r.technique() == null
                    ? ""
                    : ", by " + ("self".equals(r.by()) ? "own " : "the other's ")
                            + q.lexicon().techniqueName(r.technique());
            return Claim.of(
                    "ask.next." + r.from() + "." + r.role() + "." + r.to() + "." + r.toRole() + "." + r.technique(),
                    Claim.Topic.REACTION,
                    "ask.next",
                    words(q.lexicon().positionName(r.to()) + " (" + r.toRole() + ")" + how),
                    Claim.Unit.SHARE,
                    r.estimate(),
                    r.trials());
        }
    }
}
