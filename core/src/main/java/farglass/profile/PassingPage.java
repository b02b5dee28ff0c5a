package farglass.profile;

import static java.util.Objects.requireNonNull;

import farglass.match.Role;
import farglass.match.Situation;
import farglass.stats.Trial;
import farglass.tendency.DwellTimes;
import farglass.tendency.Evidence;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Side, style, how far the ladder goes, where it is stopped. */
final class PassingPage {
    private static final int FURTHEST = 4;

    private final ClaimFactory q;

    private PassingPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new PassingPage(q).page();
    }

    private ClaimPage page() {
        DwellSection top = new DwellSection(
                q,
                "top",
                List.of("passed", "swept", "stood", DwellTimes.FINISHED, DwellTimes.SUBMITTED),
                p -> PositionGroups.of(q.lexicon(), p.span().place(), p.role()).equals(PositionGroups.TOP),
                this::end);
        Set<String> pass = Set.of("pass");
        return new ClaimPage(
                Question.PASSING,
                List.of(
                        Section.of("passing.sides", Techniques.sides(q, "pass")),
                        Section.of("passing.styles", Techniques.chosen(q, "pass", "passing.chosen")),
                        Section.of("passing.works", Techniques.success(q, pass::contains)),
                        Section.of("passing.ladder", ladder()),
                        Section.of("passing.stopped", stopped()),
                        Section.of("passing.from", from()),
                        Section.of("passing.tries", PlaceAttacks.of(q, this::onTop, PositionGroups.ATTACKS::contains)),
                        top.section(),
                        Section.of("passing.rates", Techniques.rates(q, pass::contains)),
                        Section.of("passing.against", Techniques.against(q, "pass")),
                        Section.of("passing.swept", Techniques.against(q, "sweep"))));
    }

    private String end(Evidence.Visit left, Evidence.Visit next) {
        if (next.role() == Role.HOLDER
                && !PositionGroups.neutral(q.lexicon(), next.span().place())) {
            return "passed";
        }
        return PositionGroups.neutral(q.lexicon(), next.span().place()) ? "stood" : "swept";
    }

    private boolean onTop(Situation at) {
        return PositionGroups.of(q.lexicon(), at.position(), at.role()).equals(PositionGroups.TOP);
    }

    private List<Evidence.Act> passes() {
        return q.evidence().ownOf("pass");
    }

    private List<Claim> ladder() {
        List<Evidence.Act> known =
                passes().stream().filter(a -> a.action().reached() != null).toList();
        List<Claim> claims = new ArrayList<>();
        for (int level = 2; level <= FURTHEST && known.size() >= Techniques.ATTEMPTS; level++) {
            int least = level;
            claims.add(q.plain(
                    "ladder.pass." + level,
                    Claim.Topic.LADDER,
                    "passing.reached." + level,
                    q.words(),
                    known.stream()
                            .map(a -> a.trial(requireNonNull(a.action().reached()) >= least))
                            .toList()));
        }
        return claims;
    }

    /** What the other did about passes that failed, where that was tagged. */
    private List<Claim> stopped() {
        List<Evidence.Act> failed = passes().stream()
                .filter(a ->
                        a.decided() && !a.action().completed() && a.action().answer() != null)
                .toList();
        List<Claim> claims = new ArrayList<>();
        if (failed.size() >= Techniques.ATTEMPTS) {
            failed.stream().map(a -> a.action().answer()).distinct().sorted().forEach(answer -> {
                List<Trial> trials = failed.stream()
                        .map(a -> a.trial(answer.equals(a.action().answer())))
                        .toList();
                claims.add(q.plain(
                        "stopped." + answer,
                        Claim.Topic.LADDER,
                        "passing.answered",
                        q.words(CoreWords.code(answer)),
                        trials));
            });
        }
        return Techniques.mostFirst(claims);
    }

    /** Success by the guard in which the pass began. */
    private List<Claim> from() {
        List<Claim> claims = new ArrayList<>();
        passes().stream()
                .filter(a -> a.span() != null)
                .map(a -> a.span().place())
                .distinct()
                .sorted()
                .forEach(place -> {
                    List<Trial> trials = passes().stream()
                            .filter(a -> a.decided()
                                    && a.span() != null
                                    && a.span().place().equals(place))
                            .map(Evidence.Act::trial)
                            .toList();
                    if (trials.size() >= Techniques.ATTEMPTS) {
                        claims.add(q.proportion(
                                "passing.from." + place,
                                Claim.Topic.TECHNIQUE,
                                "passing.from.place",
                                q.words(q.lexicon().positionName(place)),
                                trials,
                                q.familySuccess("pass"),
                                q.rho("pass"),
                                0));
                    }
                });
        return Techniques.mostFirst(claims);
    }
}
