package farglass.rules;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Score.Advantage;
import farglass.rules.Score.Award;
import farglass.rules.Score.Near;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Advantages for what nearly came off: attempts that got far and were not completed, and scoring places left too early.
 * Both for one attempt count once, and neither counts when that attempt succeeds after all: when the same award begins
 * at most {@value #SAME_ATTEMPT_MS} ms after its end (rulings R05, R07).
 */
final class AttemptAdvantages {
    /** An attempt and the place it led to belong together for so long. */
    private static final long SAME_ATTEMPT_MS = 10_000;

    private static final Map<String, String> AWARD_OF_FAMILY =
            Map.of("takedown", "takedown", "sweep", "sweep", "pass", "pass", "back-take", "back");
    private static final Map<String, String> AWARD_OF_ADVANCE = Map.of(
            "to-mount", "mount",
            "to-high-mount", "mount",
            "to-technical-mount", "mount",
            "to-knee-on-belly", "knee-on-belly");

    private final MatchRecord record;
    private final Ruleset rules;
    private final Lexicon lexicon;
    private final List<Award> awards;

    AttemptAdvantages(MatchRecord record, Ruleset rules, Lexicon lexicon, List<Award> awards) {
        this.record = record;
        this.rules = rules;
        this.lexicon = lexicon;
        this.awards = awards;
    }

    private record Candidate(
            long from, long t, Corner who, @Nullable String award, String source, String why, int tag) {
        Advantage advantage() {
            return new Advantage(MatchTime.ofMs(t), who, source, why, tag);
        }
    }

    /** @param timeUp whether time ran out: what was reached and not yet held then was near too */
    List<Advantage> of(List<Near> near, long endMs, boolean timeUp) {
        List<Candidate> given = new ArrayList<>();
        for (int i = 0; i < record.tags().size(); i++) {
            if (record.tags().get(i) instanceof Tag.Action a && a.end().ms() <= endMs) {
                attempt(a, i).filter(c -> !confirmed(c)).ifPresent(given::add);
            }
        }
        List<Candidate> all = new ArrayList<>(given);
        if (rules.nearAdvantage()) {
            for (Near n : near) {
                boolean cut = n.missing().equals(Reason.END.code()) && timeUp;
                boolean counts = (n.missing().equals(Reason.HOLD.code()) || cut) && n.heldMs() > 0;
                Candidate c = new Candidate(
                        n.t().ms(), n.t().ms() + n.heldMs(), n.who(), n.award(), "near-" + n.award(), n.why(), n.tag());
                boolean twice = given.stream()
                        .anyMatch(g -> g.who() == c.who()
                                && n.award().equals(g.award())
                                && Math.abs(g.t() - c.from()) <= SAME_ATTEMPT_MS);
                if (counts && !twice && !confirmed(c)) {
                    all.add(c);
                }
            }
        }
        return all.stream().map(Candidate::advantage).toList();
    }

    private java.util.Optional<Candidate> attempt(Tag.Action a, int index) {
        String family = lexicon.familyOf(a.technique());
        Integer level = rules.advantages().get(family);
        Integer reached = a.reached();
        boolean far = level != null && reached != null && reached >= level;
        if (!far || a.completed() || (a.outcome() == null && Integer.valueOf(4).equals(reached))) {
            return java.util.Optional.empty();
        }
        String award = family.equals("pin-advance") ? AWARD_OF_ADVANCE.get(a.technique()) : AWARD_OF_FAMILY.get(family);
        String name = lexicon.technique(a.technique()).map(Technique::name).orElse(a.technique());
        return java.util.Optional.of(new Candidate(
                a.t().ms(), a.end().ms(), a.by(), award, family, CoreWords.of("rules.rung", name, reached), index));
    }

    /** Whether that attempt succeeded after all. */
    private boolean confirmed(Candidate c) {
        return awards.stream()
                .anyMatch(w -> w.who() == c.who()
                        && w.award().equals(c.award())
                        && w.t().ms() >= c.from()
                        && w.t().ms() <= c.t() + SAME_ATTEMPT_MS);
    }
}
