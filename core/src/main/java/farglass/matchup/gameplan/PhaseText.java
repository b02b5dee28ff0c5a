package farglass.matchup.gameplan;

import farglass.matchup.gameplan.PhaseFigure.Box;
import farglass.matchup.gameplan.PhaseFigure.Phase;
import java.util.Map;

/**
 * A drawing by phases with its words.
 *
 * @param phases what stands above each column
 * @param names of boxes, never shortened
 * @param notes how likely a box is and what it rests on
 * @param legend what is drawn and what is not
 */
public record PhaseText(
        PhaseFigure figure,
        Map<Phase, String> phases,
        Map<PhaseFigure.Key, String> names,
        Map<PhaseFigure.Key, String> notes,
        String legend) {
    public PhaseText {
        phases = Map.copyOf(phases);
        names = Map.copyOf(names);
        notes = Map.copyOf(notes);
    }

    /** What stands above a column. */
    public String phase(Phase p) {
        return phases.getOrDefault(p, "");
    }

    /** What a box stands for. */
    public String name(Box b) {
        return names.getOrDefault(b.key(), "");
    }

    /** How likely it is and what it rests on. */
    public String note(Box b) {
        return notes.getOrDefault(b.key(), "");
    }
}
