package farglass.table;

import java.util.List;

/**
 * A change of the score with what the record says about it.
 *
 * @param state what is to be done with it
 * @param call index of the tag that says it already, or -1
 * @param cause index of the tag that the points or the advantage are for, or -1
 * @param likely awards that give such a difference from the place before, the likeliest first; empty when there is a
 *     cause
 */
public record ReadCall(ReadChange change, State state, int call, int cause, List<String> likely) {
    /** What is to be done with a change. */
    public enum State {
        /** A call that the record does not hold yet. */
        NEW,
        /** A call that the record holds. */
        TAKEN,
        /** What a penalty of the other brings by itself. */
        BROUGHT,
        /** The table took a call back: nothing is added, the calls before are to be looked at. */
        TAKEN_BACK
    }

    public ReadCall {
        likely = List.copyOf(likely);
    }
}
