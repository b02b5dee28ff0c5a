package farglass.phrase;

import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** The fixed words of the phrase line; everything else comes from the lexicon. */
final class PhraseWords {
    static final Map<String, Side> SIDES = Map.of(
            "left",
            Side.LEFT,
            "l",
            Side.LEFT,
            "right",
            Side.RIGHT,
            "r",
            Side.RIGHT,
            "both",
            Side.BOTH,
            "hidden",
            Side.NOT_VISIBLE);
    /** What a remark may end in; says whether the fault was punished. */
    static final Map<String, Boolean> PUNISHED = Map.of("punished", true, "unpunished", false);

    /** Ends a grip or a body fact that goes on; says how. */
    static final Map<String, String> ENDS = Map.of(
            "broken", "broken",
            "stripped", "broken",
            "released", "released",
            "lost", "lost",
            "over", "over");
    /** Whether a feint was believed. */
    static final Map<String, Boolean> BELIEVED = Map.of("believed", true, "ignored", false);
    /** A checkpoint of the technique, met or unmet: {@code +elbows-in}. */
    static final Pattern CHECKPOINT = Pattern.compile("([+-])([a-z][a-z0-9-]+)");

    static final String INSTEAD = "instead";
    static final String GRIP = "grip";
    static final String ANSWER = "answer";
    static final Map<String, Outcome> OUTCOMES = Map.of(
            "completed", Outcome.COMPLETED,
            "done", Outcome.COMPLETED,
            "ok", Outcome.COMPLETED,
            "near", Outcome.NEAR,
            "n", Outcome.NEAR,
            "stuffed", Outcome.STUFFED,
            "s", Outcome.STUFFED,
            "abandoned", Outcome.ABANDONED,
            "x", Outcome.ABANDONED,
            "countered", Outcome.COUNTERED);
    static final Map<String, Cause> CAUSES =
            Map.of("forced", Cause.FORCED, "conceded", Cause.CONCEDED, "invited", Cause.INVITED, "free", Cause.FREE);
    static final Map<String, RemarkKind> REMARKS = Map.of(
            "note", RemarkKind.NOTE,
            "error", RemarkKind.ERROR,
            "praise", RemarkKind.PRAISE,
            "trigger", RemarkKind.TRIGGER,
            "preference", RemarkKind.PREFERENCE,
            "question", RemarkKind.QUESTION);
    static final Map<String, CallKind> CALLS = Map.of(
            "points", CallKind.POINTS,
            "pts", CallKind.POINTS,
            "advantage", CallKind.ADVANTAGE,
            "adv", CallKind.ADVANTAGE,
            "penalty", CallKind.PENALTY,
            "pen", CallKind.PENALTY,
            "disqualified", CallKind.DISQUALIFIED);
    static final Map<String, String> DEPTHS = Map.of("deep", "deep", "shallow", "shallow");
    static final Map<String, String> STOP_REASONS = Map.of(
            "out", "out-of-bounds",
            "stalling", "stalling",
            "medical", "medical",
            "equipment", "equipment",
            "round", "round",
            "overtime", "overtime",
            "other", "other");
    /** Side and level in one: {@code l2} is to the left, as far as the second rung. */
    static final Pattern SIDE_AND_LEVEL = Pattern.compile("([lr])([1-4])");

    /**
     * An attempt that was not completed is near from this rung on, as it is where the rules give an advantage for it.
     */
    static final Map<String, Integer> NEAR_FROM = Map.of("takedown", 2, "sweep", 2);

    static final int NEAR_FROM_OTHERS = 3;
    static final List<String> COMMANDS = List.of("start", "stop", "resume", "end");

    private PhraseWords() {}
}
