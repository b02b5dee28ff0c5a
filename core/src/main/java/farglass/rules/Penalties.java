package farglass.rules;

import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.rules.Score.Advantage;
import farglass.rules.Score.Award;
import farglass.rules.Score.Penalty;
import farglass.text.CoreWords;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What the referee's penalties do, one step of the ladder after the other. */
final class Penalties {
    final List<Penalty> penalties = new ArrayList<>();
    final List<Award> awards = new ArrayList<>();
    final List<Advantage> advantages = new ArrayList<>();
    /** Who lost the match by a penalty, and when; null for nobody. */
    @Nullable
    Loss loss;

    record Loss(Corner who, MatchTime at) {}

    /**
     * @param uncalled whether infringements that nobody called count as well
     */
    Penalties(MatchRecord record, Ruleset rules, long endMs, boolean uncalled) {
        Map<Corner, Integer> count = new EnumMap<>(Map.of(Corner.A, 0, Corner.B, 0));
        for (int i = 0; i < record.tags().size() && loss == null; i++) {
            if (record.tags().get(i) instanceof Tag.Call c && c.t().ms() <= endMs && (c.called() || uncalled)) {
                if (c.call() == CallKind.DISQUALIFIED) {
                    lose(c);
                } else if (c.call() == CallKind.PENALTY) {
                    penalise(c, count.merge(c.who(), 1, Integer::sum), rules.penalties(), i);
                }
            }
        }
    }

    private void lose(Tag.Call c) {
        loss = new Loss(c.who(), c.t());
    }

    private void penalise(Tag.Call c, int number, List<PenaltyEffect> ladder, int tag) {
        PenaltyEffect effect =
                ladder.isEmpty() ? new PenaltyEffect.Warning() : ladder.get(Math.min(number, ladder.size()) - 1);
        penalties.add(new Penalty(c.t(), c.who(), number, effect, tag));
        String why = CoreWords.of("rules.penalty", number);
        if (effect.advantages() > 0) {
            advantages.add(new Advantage(c.t(), c.who().other(), "penalty", why, tag));
        } else if (effect.points() > 0) {
            awards.add(new Award(c.t(), c.t(), c.who().other(), "penalty", effect.points(), why, tag));
        } else if (effect.loses()) {
            lose(c);
        }
    }
}
