package farglass.phrase;

import farglass.lexicon.Grip;
import farglass.lexicon.Position;
import farglass.lexicon.Term;
import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Corner;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import java.util.ArrayList;
import java.util.List;

/** What has been understood of a phrase so far. */
final class Parts {
    /**
     * What is meant of several meanings: a grip when its depth was said or the word "grip", a place when why it changed was
     * said and nothing of an attempt, else what was taken first.
     */
    Term meant() {
        if (depth != null || grip) {
            return first(Grip.class);
        }
        boolean attempt = outcome != null || number != null || target != null;
        return cause != null && !attempt ? first(Position.class) : term;
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

    String command;
    String reason;
    boolean unsure;
    boolean expectTarget;
}
