package farglass.matchup.solve;

import farglass.rules.PenaltyEffect;
import farglass.rules.Ruleset;
import java.util.List;

/**
 * The cells of the programme: our stalling calls, advantages, points. Rows of points are padded at both ends with the
 * saturated value, so that no sum needs to look where the row ends.
 */
public final class Grid {
    /** Points beyond this change nothing more. */
    public static final int MOST_POINTS = 20;
    /** Advantages beyond this change nothing more. */
    static final int MOST_ADVANTAGES = 3;

    final int points;
    final int advantages;
    final int calls;
    final int pad;
    final int width;
    final int row;
    final int rowsPerPlace;
    private final List<PenaltyEffect> penalties;
    private final List<String> tieBreaks;

    Grid(Ruleset rules, int pad) {
        this.penalties = rules.penalties();
        this.tieBreaks = rules.tieBreaks();
        this.points = rules.counts() ? MOST_POINTS : 0;
        boolean counted = rules.counts() && tieBreaks.contains("advantages");
        this.advantages = counted ? MOST_ADVANTAGES : 0;
        this.calls = Math.max(1, penalties.size());
        this.pad = pad;
        this.width = 2 * points + 1;
        this.row = width + 2 * pad;
        this.rowsPerPlace = calls * (2 * advantages + 1);
    }

    /** Cells of one place. */
    int perPlace() {
        return rowsPerPlace * row;
    }

    /** Where the row of a place begins, its padding included. */
    int rowAt(int place, int call, int advantage) {
        return (place * rowsPerPlace + call * (2 * advantages + 1) + clip(advantage, advantages) + advantages) * row;
    }

    /** Where a state, calls, advantages and points lie in a step's table. */
    public int cell(int place, int call, int advantage, int point) {
        return rowAt(place, call, advantage) + pad + points + clip(point, points);
    }

    /**
     * First cell of a row in which the lead is so or greater: -1 behind, 0 level, 1 ahead; the row's width above that.
     */
    int leads(int lead, int advantage) {
        if (lead <= -1 || lead > 1) {
            return lead <= -1 ? 0 : width;
        }
        // equal points are level, behind or ahead by advantages
        return points + (Integer.signum(advantage) >= lead ? 0 : 1);
    }

    static int clip(int x, int most) {
        return Math.max(-most, Math.min(most, x));
    }

    /** Repeats the ends of a row into its padding. */
    void pad(double[] values, int rowAt) {
        double low = values[rowAt + pad];
        double high = values[rowAt + pad + width - 1];
        for (int i = 0; i < pad; i++) {
            values[rowAt + i] = low;
            values[rowAt + pad + width + i] = high;
        }
    }

    /** Win chance when time is up: 1, 0, or one half when nothing tells them apart. */
    public double atTheEnd(int point, int advantage, int call) {
        for (String by : tieBreaks) {
            int sign = switch (by) {
                case "points" -> Integer.signum(point);
                case "advantages" -> Integer.signum(advantage);
                case "penalties" -> call > 0 ? -1 : 0;
                default -> 0;
            };
            if (sign != 0) {
                return sign > 0 ? 1 : 0;
            }
        }
        return 0.5;
    }

    /** What the next stalling call does: {@code warning}, {@code advantage}, {@code points:2} or {@code loss}. */
    public PenaltyEffect nextCall(int call) {
        return penalties.isEmpty() ? new PenaltyEffect.Warning() : penalties.get(Math.min(call, penalties.size() - 1));
    }

    /** Calls after one more. */
    public int afterCall(int call) {
        return Math.min(call + 1, calls - 1);
    }

    /** Advantages that are told apart on either side, 0 where they do not count. */
    public int advantages() {
        return advantages;
    }
}
