package farglass.profile;

import farglass.match.Role;
import farglass.match.Situation;
import farglass.match.Tag;
import farglass.stats.Trial;
import farglass.tendency.DwellTimes;
import farglass.tendency.Evidence;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/** Which guards, how entered, how long held, how they end. */
final class GuardsPage {
    private static final int STAYS = 5;
    private static final Set<String> FROM_GUARD = Set.of("sweep", "guard-entry");
    private static final Set<String> RECOVERIES = Set.of("recovery", "escape");

    private final ClaimFactory q;

    private GuardsPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new GuardsPage(q).page();
    }

    private boolean inGuard(Evidence.Visit p) {
        return PositionGroups.of(q.lexicon(), p.span().place(), p.role()).equals(PositionGroups.GUARD);
    }

    private boolean named(Situation at) {
        return PositionGroups.namedGuard(q.lexicon(), at.position(), at.role());
    }

    /** How a stay in guard ended, seen from the guard player. */
    private String end(Evidence.Visit left, Evidence.Visit next) {
        if (PositionGroups.neutral(q.lexicon(), next.span().place()) && next.role() != Role.HOLDER) {
            return "stood";
        }
        return switch (next.role()) {
            case HOLDER -> "swept";
            case UNDER -> "passed";
            default -> "left";
        };
    }

    private ClaimPage page() {
        DwellSection all = new DwellSection(
                q,
                "guard",
                List.of("swept", "passed", DwellTimes.SUBMITTED, DwellTimes.FINISHED, "stood"),
                this::inGuard,
                this::end);
        List<Section> sections = new ArrayList<>();
        sections.add(Section.of("guard.which", which()));
        sections.add(Section.of("guard.entered", entered(all.stays())));
        sections.add(all.section());
        sections.add(Section.of("guard.each", each()));
        sections.add(Section.of("guard.tries", PlaceAttacks.of(q, this::named, PositionGroups.ATTACKS::contains)));
        sections.add(Section.of("guard.styles", Techniques.chosen(q, "sweep", "guard.chosen")));
        sections.add(Section.of("guard.attacks", Techniques.success(q, FROM_GUARD::contains)));
        sections.add(Section.of("guard.sides", Techniques.sides(q, "sweep")));
        sections.add(Section.of("guard.recovered", Techniques.success(q, RECOVERIES::contains)));
        return new ClaimPage(Question.GUARDS, sections);
    }

    private List<Claim> which() {
        List<Claim> claims = new ArrayList<>();
        q.evidence().visits((place, role) -> PositionGroups.namedGuard(q.lexicon(), place, role)).stream()
                .map(p -> p.span().place())
                .distinct()
                .sorted()
                .forEach(code -> claims.add(q.share(
                        "guard." + code,
                        Claim.Topic.GUARD,
                        "guard.used",
                        q.words(q.lexicon().positionName(code)),
                        (place, role) -> place.equals(code),
                        (place, role) -> PositionGroups.namedGuard(q.lexicon(), place, role))));
        claims.sort(
                java.util.Comparator.comparingDouble((Claim c) -> c.estimate().x())
                        .reversed());
        return claims;
    }

    /** What brought the athlete into guard: own action, the other's, or none that was tagged. */
    private List<Claim> entered(List<DwellTimes.Stay> stays) {
        Map<Way, List<Trial>> byWay = new TreeMap<>();
        List<Way> ways = new ArrayList<>();
        for (DwellTimes.Stay s : stays) {
            ways.add(way(s));
        }
        ways.stream().distinct().forEach(w -> {
            List<Trial> trials = new ArrayList<>();
            for (int i = 0; i < stays.size(); i++) {
                trials.add(stays.get(i).trial(ways.get(i).equals(w)));
            }
            byWay.put(w, trials);
        });
        List<Claim> claims = new ArrayList<>();
        byWay.forEach((w, trials) -> claims.add(q.plain(
                "entry." + w.who() + "." + w.technique(),
                Claim.Topic.ENTRY,
                "guard.entered." + w.who(),
                q.words(q.lexicon().techniqueName(w.technique())),
                trials)));
        return Techniques.mostFirst(claims);
    }

    /**
     * How a guard was come to.
     *
     * @param who {@code own}, {@code other}, or {@code untold} without a technique
     */
    private record Way(String who, String technique) implements Comparable<Way> {
        private static final Comparator<Way> ORDER =
                Comparator.comparing(Way::who).thenComparing(Way::technique);

        @Override
        public int compareTo(Way o) {
            return ORDER.compare(this, o);
        }
    }

    private static Way way(DwellTimes.Stay s) {
        int by = s.first().byAction();
        if (by >= 0 && s.seen().record().tags().get(by) instanceof Tag.Action a) {
            return new Way(a.by() == s.seen().corner() ? "own" : "other", a.technique());
        }
        return new Way("untold", "-");
    }

    /** The guards with enough stays, each with its chance of being passed and of a sweep within half a minute. */
    private List<Claim> each() {
        Map<String, Integer> counts = new TreeMap<>();
        q.evidence()
                .visits((place, role) -> PositionGroups.namedGuard(q.lexicon(), place, role))
                .forEach(p -> counts.merge(p.span().place(), 1, Integer::sum));
        List<Claim> claims = new ArrayList<>();
        counts.forEach((code, n) -> {
            if (n >= STAYS) {
                Predicate<Evidence.Visit> in =
                        p -> p.role() == Role.GUARD && p.span().place().equals(code);
                DwellSection one = new DwellSection(q, "guard", List.of("swept", "passed"), in, this::end);
                for (Claim c : one.section().claims()) {
                    if (c.topic() == Claim.Topic.EXIT || c.topic() == Claim.Topic.HOLD) {
                        claims.add(named(c, code));
                    }
                }
            }
        });
        return claims;
    }

    private Claim named(Claim c, String code) {
        Claim worded = c.says(
                c.topic(),
                c.template() + ".of",
                q.words(c.args().get(1), q.lexicon().positionName(code)));
        return Claim.of(
                        c.id() + "." + code,
                        worded.topic(),
                        worded.template(),
                        worded.args(),
                        c.unit(),
                        c.estimate(),
                        c.trials())
                .noted(c.note());
    }
}
