package farglass.profile;

import farglass.stats.Trial;
import farglass.tendency.DwellTimes;
import farglass.tendency.Evidence;
import farglass.tendency.Exchanges;
import java.util.ArrayList;
import java.util.List;

/** Who acts first, and how long from secured control to the attack. */
final class PatiencePage {
    private final ClaimFactory q;

    private PatiencePage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new PatiencePage(q).page();
    }

    private ClaimPage page() {
        return new ClaimPage(
                Question.PATIENCE,
                List.of(
                        Section.of("patience.first", first()),
                        Section.of("patience.attack", attack()),
                        Section.of("patience.moves", moves())));
    }

    /** Who acts first in an exchange, and whose the attempts are. */
    private List<Claim> first() {
        List<Claim> claims = new ArrayList<>();
        List<Trial> first = Exchanges.of(q.evidence()).stream()
                .map(e ->
                        e.seen().trial(e.steps().get(0).tag(), e.steps().get(0).own()))
                .toList();
        if (!first.isEmpty()) {
            claims.add(q.plain("patience.first", Claim.Topic.PATIENCE, "patience.first.acts", q.words(), first));
        }
        List<Trial> all = q.evidence().acts(a -> PositionGroups.ATTACKS.contains(a.family())).stream()
                .map(a -> a.trial(a.own()))
                .toList();
        if (!all.isEmpty()) {
            claims.add(q.plain("patience.share", Claim.Topic.PATIENCE, "patience.share", q.words(), all));
        }
        return claims;
    }

    /** From the begin of a pin or the back to the first submission tried there. */
    private List<Claim> attack() {
        List<Claim> claims = new ArrayList<>();
        for (String group : List.of(PositionGroups.PINNING, PositionGroups.BACK_OF, PositionGroups.GUARD)) {
            List<Long> ms = new ArrayList<>();
            List<Trial> trials = new ArrayList<>();
            List<Trial> attacked = new ArrayList<>();
            for (DwellTimes.Stay s : stays(group)) {
                Evidence.Act act = q.evidence().actsIn(s.seen()).stream()
                        .filter(a -> a.own()
                                && a.family().equals("submission")
                                && a.action().t().compareTo(s.first().from()) >= 0
                                && a.action().t().compareTo(s.last().to()) < 0)
                        .findFirst()
                        .orElse(null);
                attacked.add(s.trial(act != null));
                if (act != null) {
                    ms.add(act.action().t().since(s.first().from()));
                    trials.add(act.trial());
                }
            }
            String key = group.substring(group.indexOf('.') + 1);
            Claim c = q.time(
                    "patience.attack." + key, Claim.Topic.PATIENCE, "patience.attack." + key, q.words(), ms, trials);
            if (c != null) {
                claims.add(c);
                claims.add(q.plain(
                        "patience.attacks." + key,
                        Claim.Topic.PATIENCE,
                        "patience.attacks." + key,
                        q.words(),
                        attacked));
            }
        }
        return claims;
    }

    private List<DwellTimes.Stay> stays(String group) {
        return DwellTimes.of(
                q.evidence(),
                p -> PositionGroups.of(q.lexicon(), p.span().place(), p.role()).equals(group),
                (left, next) -> "left");
    }

    /** How long the athlete keeps a pin or the back, whatever ends it. */
    private List<Claim> moves() {
        List<Claim> claims = new ArrayList<>();
        for (String group : List.of(
                PositionGroups.PINNING, PositionGroups.BACK_OF, PositionGroups.PINNED, PositionGroups.BACK_GIVEN)) {
            String key = group.substring(group.indexOf('.') + 1);
            DwellSection lasting = new DwellSection(
                    q,
                    "kept." + key,
                    List.of(),
                    p -> PositionGroups.of(q.lexicon(), p.span().place(), p.role())
                            .equals(group),
                    (left, next) -> "left");
            claims.addAll(lasting.section().claims());
        }
        return claims;
    }
}
