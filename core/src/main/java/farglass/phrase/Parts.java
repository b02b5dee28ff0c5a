package farglass.phrase;

import farglass.lexicon.Grip;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Corner;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What has been understood of a phrase so far. */
final class Parts {
    /**
     * What is meant of several meanings: a grip when its depth was said or the word "grip", a place when why it changed was
     * said and nothing of an attempt, else what was taken first.
     */
    Term meant() {
        if (depth != null || grip || ended != null) {
            return first(Grip.class);
        }
        boolean attempt = outcome != null || number != null || target != null;
        return cause != null && !attempt ? first(Position.class) : term;
    }

    boolean feints() {
        return term instanceof Technique t && t.family().equals("feint");
    }

    private Term first(Class<? extends Term> kind) {
        return meanings.stream().filter(kind::isInstance).findFirst().orElse(term);
    }

    Corner who;
    Term term;
    /** Everything that the words of {@link #term} may mean. */
    List<Term> meanings = List.of();

    boolean grip;
    Position target;
    Side side;
    List<Side> sides = new ArrayList<>();
    Outcome outcome;
    Integer number;
    Cause cause;
    String depth;
    CallKind call;
    RemarkKind remark;
    String text;
    String instead;
    Boolean punished;
    String answer;
    /** What a slip of the fingers was taken for, as "typed: meant". */
    List<String> slips = new ArrayList<>();

    /** A body fact. */
    String fact;
    /** How the grip or body fact that is meant ended; null when none did. */
    String ended;
    /** What a feint pretends. */
    Technique feinted;

    Boolean believed;
    /** Checkpoints met or unmet, in the order typed. */
    Map<String, Boolean> checks = new LinkedHashMap<>();

    String command;
    String reason;
    boolean unsure;
    boolean expectTarget;
}
