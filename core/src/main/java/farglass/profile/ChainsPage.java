package farglass.profile;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.stats.Estimate;
import farglass.tendency.Chain;
import farglass.tendency.Chains;
import farglass.tendency.Evidence;
import farglass.tendency.Exchanges;
import farglass.tendency.MatchFacts;
import farglass.tendency.Sequences;
import farglass.text.CoreWords;
import farglass.text.Language;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** What follows what more often than chance, and which team-mates show it too. */
final class ChainsPage {
    private static final int MATES_EXCHANGES = 2;

    private static final int HINTS = 8;

    private final ClaimFactory q;

    private ChainsPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new ChainsPage(q).page();
    }

    private ClaimPage page() {
        List<Chain> chains = Chains.of(q.evidence(), q.stream("chains"));
        List<Claim> claims = chains.stream().map(this::claim).toList();
        return new ClaimPage(
                Question.CHAINS,
                List.of(
                        Section.of("chains.favourite", favourites()),
                        Section.of("chains.found", claims),
                        Section.of("chains.mates", mates(chains))));
    }

    /** What is shown one after the other, whether or not that is more than chance. */
    private List<Claim> favourites() {
        return Sequences.of(q.evidence(), q.stream("chains")).stream()
                .map(s -> SequenceClaims.claim(q, s))
                .toList();
    }

    private Claim claim(Chain c) {
        Estimate e = new Estimate(
                new Estimate.Observed(c.exchanges(), c.exchanges(), c.lift(), c.matches(), c.exchanges()),
                c.lift(),
                new Estimate.Interval(c.liftLo(), Math.max(c.lift(), 2 * c.lift() - c.liftLo()), 0.95),
                c.grade(),
                new Estimate.Reference(
                        1, CoreWords.of("prior.expected", String.format(Language.locale(), "%.1f", c.expected()))),
                null,
                c.trials().stream().map(t -> t.tag()).toList());
        return Claim.of(
                "chain." + String.join("+", c.symbols()).replace(' ', '.'),
                Claim.Topic.CHAIN,
                "chain",
                q.words(
                        SequenceClaims.words(q, c.steps()),
                        Integer.toString(c.exchanges()),
                        String.format(Language.locale(), "%.1f", c.expected())),
                Claim.Unit.TIMES_EXPECTED,
                e,
                c.trials());
    }

    /** Exchanges of team-mates that hold an accepted chain: a hint, because they train together. */
    private List<Claim> mates(List<Chain> chains) {
        Set<String> teams = new HashSet<>();
        q.evidence().matches().forEach(s -> teams.add(MatchFacts.team(s.record(), s.corner())));
        teams.remove("");
        Set<String> mates = new TreeSet<>();
        for (MatchRecord r : q.evidence().index().records()) {
            for (Corner c : Corner.values()) {
                if (teams.contains(MatchFacts.team(r, c))) {
                    mates.add(r.athlete(c).id());
                }
            }
        }
        mates.remove(q.evidence().athlete());
        return mates.parallelStream()
                .flatMap(id -> shared(id, chains).stream())
                .sorted(Comparator.comparingInt(Shared::held).reversed().thenComparing(Shared::mate))
                .limit(HINTS)
                .map(this::hint)
                .toList();
    }

    private List<Shared> shared(String mate, List<Chain> chains) {
        Evidence theirs =
                Evidence.of(q.evidence().index(), mate, q.evidence().filter().ofOthers());
        List<Exchanges.Exchange> exchanges = Exchanges.of(theirs);
        int[] held = Chains.held(exchanges, chains);
        List<Shared> shared = new ArrayList<>();
        for (int c = 0; c < held.length; c++) {
            if (held[c] >= MATES_EXCHANGES) {
                shared.add(new Shared(mate, chains.get(c), exchanges, held[c]));
            }
        }
        return shared;
    }

    /** A chain that a team-mate shows too. */
    private record Shared(String mate, Chain chain, List<Exchanges.Exchange> exchanges, int held) {}

    private Claim hint(Shared s) {
        return q.plain(
                        "mate." + s.mate() + "." + String.join("+", s.chain().symbols()),
                        Claim.Topic.CHAIN,
                        "chain.mate",
                        q.words(
                                q.evidence().index().name(s.mate()),
                                SequenceClaims.words(q, s.chain().steps())),
                        Chains.trials(s.exchanges(), s.chain().symbols()))
                .shown(Claim.Prominence.DETAIL);
    }
}
