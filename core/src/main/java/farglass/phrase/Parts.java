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
import org.jspecify.annotations.Nullable;

/** What has been understood of a phrase so far. */
final class Parts {
    /**
     * What is meant of several meanings: a grip when its depth was said or the word "grip", a place when why it changed
     * was said and nothing of an attempt, else what was taken first.
     */
    @Nullable
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

    private @Nullable Term first(Class<? extends Term> kind) {
        return meanings.stream().filter(kind::isInstance).findFirst().orElse(term);
    }

    @Nullable
    Corner who;

    @Nullable
    Term term;
    /** Everything that the words of {@link #term} may mean. */
    List<Term> meanings = List.of();

    boolean grip;

    @Nullable
    Position target;

    @Nullable
    Side side;

    List<Side> sides = new ArrayList<>();

    @Nullable
    Outcome outcome;

    @Nullable
    Integer number;

    @Nullable
    Cause cause;

    @Nullable
    String depth;

    @Nullable
    CallKind call;

    @Nullable
    RemarkKind remark;

    @Nullable
    String text;

    @Nullable
    String instead;

    @Nullable
    Boolean punished;

    @Nullable
    String answer;
    /** What a slip of the fingers was taken for, as "typed: meant". */
    List<String> slips = new ArrayList<>();

    /** A body fact. */
    @Nullable
    String fact;
    /** How the grip or body fact that is meant ended; null when none did. */
    @Nullable
    String ended;
    /** What a feint pretends. */
    @Nullable
    Technique feinted;

    @Nullable
    Boolean believed;
    /** Checkpoints met or unmet, in the order typed. */
    Map<String, Boolean> checks = new LinkedHashMap<>();

    @Nullable
    String command;

    @Nullable
    String reason;

    boolean unsure;
    boolean expectTarget;
}
