package farglass.draft;

import farglass.match.CallKind;
import farglass.table.ReadCall;
import farglass.table.ReadCalls;
import farglass.table.ReadChange;
import java.util.ArrayList;
import java.util.List;

/** Drafts out of the score that was read off a film. */
public final class ScoreDrafts {
    private ScoreDrafts() {}

    /**
     * The calls that the record does not hold yet, each a draft of its own.
     *
     * @param film file of the film that was read, as the record names it
     */
    public static List<Draft> of(List<ReadCall> calls, String film) {
        List<Draft> drafts = new ArrayList<>();
        for (ReadCall call : calls) {
            ReadChange c = call.change();
            if (call.state() == ReadCall.State.NEW) {
                Basis basis = new Basis(Source.SCORE, film, c.confidence(), c.before() + " \u2192 " + c.after(), -1);
                int times = c.call() == CallKind.POINTS ? 1 : c.by();
                for (int i = 0; i < times; i++) {
                    drafts.add(Draft.of(ReadCalls.tag(c), film, c.at().ms(), basis));
                }
            }
        }
        return List.copyOf(drafts);
    }
}
