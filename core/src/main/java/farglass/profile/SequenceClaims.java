package farglass.profile;

import farglass.stats.SideBias;
import farglass.tendency.Exchanges;
import farglass.tendency.Sequence;
import farglass.text.Language;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Favourite sequences as claims: of the exchanges with the first step, those that go on to the last. */
final class SequenceClaims {
    /** Names the claim of a sequence that holds what chance does not explain. */
    static final String BADGE = "note.moreThanChance";

    private SequenceClaims() {}

    static Claim claim(ClaimFactory q, Sequence s) {
        Claim c = Claim.of(
                id(s),
                Claim.Topic.CHAIN,
                template(s),
                q.words(
                        words(q, s.steps()),
                        Integer.toString(s.exchanges()),
                        Integer.toString(s.matches()),
                        Integer.toString(s.points()),
                        Integer.toString(s.finished()),
                        onward(s.onward()),
                        side(s.side())),
                Claim.Unit.SHARE,
                s.share(),
                s.trials());
        return s.moreThanChance() ? c.noted(BADGE) : c;
    }

    /** What it came to is told only where it came to something. */
    private static String template(Sequence s) {
        if (s.points() > 0 && s.finished() > 0) {
            return "sequence.both";
        }
        return s.finished() > 0 ? "sequence.finished" : s.points() > 0 ? "sequence.points" : "sequence";
    }

    /** Names the claim of a sequence. */
    static String id(Sequence s) {
        return "sequence." + String.join("+", s.symbols()).replace(' ', '.');
    }

    /** "11 of 19, 5 of 11": of those who got so far, how many went on. */
    private static String onward(List<Sequence.Onward> onward) {
        return onward.stream()
                .map(o -> o.x() + "/" + o.n()
                        + (Double.isNaN(o.average())
                                ? ""
                                : String.format(Language.locale(), " (%.0f%%)", 100 * o.average())))
                .collect(Collectors.joining(", "));
    }

    private static String side(@Nullable SideBias side) {
        return side == null ? "" : side.right() + ":" + side.left();
    }

    /** "guard pull → (toreando) → lasso sweep": in brackets what the other does. */
    static String words(ClaimFactory q, List<Exchanges.Step> steps) {
        return steps.stream().map(s -> word(q, s)).collect(Collectors.joining(" \u2192 "));
    }

    private static String word(ClaimFactory q, Exchanges.Step s) {
        String name = s.code().startsWith(">")
                ? q.lexicon().positionName(s.code().substring(1))
                : q.lexicon().techniqueName(s.code());
        return s.own() ? name : "(" + name + ")";
    }
}
