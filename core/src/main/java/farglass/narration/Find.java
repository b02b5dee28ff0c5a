package farglass.narration;

import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import org.jspecify.annotations.Nullable;

/** Something that a narration says has happened, or says about it. */
public sealed interface Find {
    /** Film time at which it was said. */
    long saidMs();

    /** The words it rests on. */
    String sentence();

    /** How sure it is, 0..1. */
    double confidence();

    /**
     * An attempt.
     *
     * @param by who tried; null when nobody was named
     * @param technique code; the family's where nothing closer was said
     * @param family code
     * @param side null when none was said
     * @param limb of the other, such as "left-arm", that a submission is on; null when none was said
     * @param outcome null when it was not said
     */
    record Act(
            long saidMs,
            @Nullable Corner by,
            String technique,
            String family,
            @Nullable Side side,
            @Nullable String limb,
            @Nullable Outcome outcome,
            double confidence,
            String sentence)
            implements Find {
        Act outcome(Outcome o) {
            return new Act(saidMs, by, technique, family, side, limb, o, confidence, sentence);
        }
    }

    /**
     * A place that the two are in.
     *
     * @param who who is on top, or plays guard where the place is a guard; null when nobody was named
     * @param position code
     */
    record Place(long saidMs, @Nullable Corner who, String position, double confidence, String sentence)
            implements Find {}

    /**
     * A call of the referee.
     *
     * @param who who gets it; the one penalised of a penalty; null when nobody was named
     * @param value points; null for others
     */
    record Call(
            long saidMs,
            CallKind call,
            @Nullable Corner who,
            @Nullable Integer value,
            double confidence,
            String sentence)
            implements Find {}

    /** The match is stopped: they are out of bounds, or the referee starts them anew. */
    record Stop(long saidMs, double confidence, String sentence) implements Find {}

    /**
     * What is thought of it.
     *
     * @param about who it is about; null when nobody was named
     */
    record Remark(long saidMs, RemarkKind kind, @Nullable Corner about, double confidence, String sentence)
            implements Find {}
}
