package farglass.profile;

import farglass.stats.Estimate;
import farglass.tendency.Chain;
import farglass.tendency.Chains;
import farglass.tendency.Evidence;
import farglass.tendency.Exchanges;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** What follows what more often than chance, and which team-mates show it too. */
final class ChainsPage {
    private static final int MATES_EXCHANGES = 2;

    private static final int HINTS = 8;

    private final Inquiry q;

    private ChainsPage(Inquiry q) {
        this.q = q;
    }

    static Page of(Inquiry q) {
        return new ChainsPage(q).page();
    }

    private Page page() {
        List<Chain> chains = Chains.of(q.evidence(), q.stream("chains"));
        List<Claim> claims = chains.stream().map(this::claim).toList();
        return new Page(
                Question.CHAINS,
                List.of(Section.of("chains.found", claims), Section.of("chains.mates", mates(chains))));
    }

    private Claim claim(Chain c) {
        Estimate e = new Estimate(
                c.exchanges(),
                c.exchanges(),
                c.lift(),
                c.lift(),
                c.liftLo(),
                Math.max(c.lift(), 2 * c.lift() - c.liftLo()),
                0.95,
                c.matches(),
                c.exchanges(),
                c.grade(),
                1,
                String.format(java.util.Locale.ROOT, "%.1f expected", c.expected()),
                null,
                c.trials().stream().map(t -> t.tag()).toList());
        return new Claim(
                "chain." + String.join("+", c.symbols()).replace(' ', '.'),
                Claim.Topic.CHAIN,
                "chain",
                q.words(
                        words(c.steps()),
                        Integer.toString(c.exchanges()),
                        String.format(java.util.Locale.ROOT, "%.1f", c.expected())),
                Claim.Unit.TIMES_EXPECTED,
                e,
                null,
                c.trials(),
                null,
                0,
                List.of(),
                null);
    }

    /** "guard pull, the other's toreando, lasso sweep". */
    private String words(List<Exchanges.Step> steps) {
        return steps.stream().map(this::word).collect(Collectors.joining(" \u2192 "));
    }

    private String word(Exchanges.Step s) {
        String name = s.code().startsWith(">")
                ? q.lexicon().positionName(s.code().substring(1))
                : q.lexicon().techniqueName(s.code());
        return s.own() ? name : "(" + name + ")";
    }

    /** Exchanges of team-mates that hold an accepted chain: a hint, because they train together. */
    private List<Claim> mates(List<Chain> chains) {
        TreeSet<String> mates = new TreeSet<>();
        TreeSet<String> teams = new TreeSet<>();
        q.evidence().matches().forEach(s -> teams.add(team(s)));
        teams.remove("");
        for (String id : q.evidence().index().athletes()) {
            boolean mate = !id.equals(q.evidence().athlete())
                    && q.evidence().index().of(id).stream()
                            .anyMatch(f -> f.record()
                                    .cornerOf(id)
                                    .map(c -> f.record().athlete(c).extra().get("team"))
                                    .filter(t -> teams.contains(String.valueOf(t)))
                                    .isPresent());
            if (mate) {
                mates.add(id);
            }
        }
        List<Shared> shared = new ArrayList<>();
        for (String id : mates) {
            Evidence theirs =
                    Evidence.of(q.evidence().index(), id, q.evidence().filter().ofOthers());
            List<Exchanges.Exchange> exchanges = Exchanges.of(theirs);
            int[] held = Chains.held(exchanges, chains);
            for (int c = 0; c < held.length; c++) {
                if (held[c] >= MATES_EXCHANGES) {
                    shared.add(new Shared(id, chains.get(c), exchanges, held[c]));
                }
            }
        }
        return shared.stream()
                .sorted(Comparator.comparingInt(Shared::held).reversed().thenComparing(Shared::mate))
                .limit(HINTS)
                .map(this::hint)
                .toList();
    }

    /** A chain that a team-mate shows too. */
    private record Shared(String mate, Chain chain, List<Exchanges.Exchange> exchanges, int held) {}

    private Claim hint(Shared s) {
        return q.plain(
                "mate." + s.mate() + "." + String.join("+", s.chain().symbols()),
                Claim.Topic.CHAIN,
                "chain.mate",
                q.words(q.evidence().index().name(s.mate()), words(s.chain().steps())),
                Chains.trials(s.exchanges(), s.chain().symbols()));
    }

    private static String team(Evidence.Seen s) {
        Object team = s.record().athlete(s.corner()).extra().get("team");
        return team == null ? "" : team.toString();
    }
}
