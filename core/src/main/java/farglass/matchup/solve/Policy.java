package farglass.matchup.solve;

import farglass.matchup.model.ModelState;
import java.util.Collection;

/** Which option is taken in every cell at every step. */
public final class Policy {
    private final byte[][] option;

    Policy(BackwardInduction p) {
        option = new byte[p.steps()][p.model().states().size() * p.grid.perPlace()];
    }

    private Policy(byte[][] option) {
        this.option = option;
    }

    /** The natural mix everywhere. */
    public static Policy natural(BackwardInduction p) {
        return new Policy(p);
    }

    /**
     * Takes an option in a place, paid or not, in some regions; where another is taken already, that one stays. What is
     * is kept only until the first call for stalling.
     */
    public void take(BackwardInduction p, ModelState place, Option taken, Collection<Region> regions) {
        boolean[] in = new boolean[Region.COUNT];
        regions.forEach(r -> in[r.index()] = true);
        for (boolean paid : new boolean[] {false, true}) {
            int s = p.model().indexOf(place.paid(paid));
            int x = s < 0 ? -1 : p.own[s].indexOf(taken);
            for (int step = 0; step < option.length && x > 0; step++) {
                take(p, step, s, (byte) x, in);
            }
        }
    }

    private void take(BackwardInduction p, int step, int s, byte x, boolean[] in) {
        int calls = x == p.own[s].hold ? 1 : p.grid.calls;
        for (int k = 0; k < calls; k++) {
            for (int a = -p.grid.advantages; a <= p.grid.advantages; a++) {
                for (int points = -p.grid.points; points <= p.grid.points; points++) {
                    int cell = p.grid.cell(s, k, a, points);
                    if (option[step][cell] == 0 && in[Region.index(points, a, p.partOf(step))]) {
                        option[step][cell] = x;
                    }
                }
            }
        }
    }

    /** The option chosen in a step and a cell of the grid. */
    public int get(int step, int cell) {
        return option[step][cell];
    }

    void set(int step, int cell, byte value) {
        option[step][cell] = value;
    }

    /** Takes a choice back wherever it was made. */
    public void clear(BackwardInduction p, Choice c) {
        int s = p.model().indexOf(c.place());
        int x = p.own[s].indexOf(c.option());
        for (int step = 0; step < option.length; step++) {
            if (p.partOf(step) != c.region().part()) {
                continue;
            }
            for (int k = 0; k < p.grid.calls; k++) {
                for (int a = -p.grid.advantages; a <= p.grid.advantages; a++) {
                    for (int points = -p.grid.points; points <= p.grid.points; points++) {
                        int cell = p.grid.cell(s, k, a, points);
                        if (option[step][cell] == x
                                && Region.Lead.of(points, a) == c.region().lead()) {
                            option[step][cell] = 0;
                        }
                    }
                }
            }
        }
    }

    /** The same policy for another programme with the same steps; options that it lacks become the natural mix. */
    public Policy over(BackwardInduction from, BackwardInduction to) {
        Policy carried = new Policy(to);
        for (int s = 0; s < to.model().states().size(); s++) {
            ModelState p = to.model().states().get(s);
            int old = from.model().indexOf(p);
            old = old < 0 ? from.model().indexOf(p.paid(false)) : old;
            if (old < 0) {
                continue;
            }
            byte[] options = new byte[from.own[old].size()];
            for (int x = 0; x < options.length; x++) {
                options[x] = (byte) Math.max(0, to.own[s].indexOf(from.own[old].options.get(x)));
            }
            carried.copy(this, from.grid, old, to.grid, s, options);
        }
        return carried;
    }

    private void copy(Policy from, Grid oldGrid, int old, Grid grid, int s, byte[] options) {
        for (int k = 0; k < grid.calls; k++) {
            for (int a = -grid.advantages; a <= grid.advantages; a++) {
                int here = grid.cell(s, k, a, -grid.points);
                int there = oldGrid.cell(old, k, a, -grid.points);
                for (int step = 0; step < option.length; step++) {
                    for (int i = 0; i < grid.width; i++) {
                        option[step][here + i] = options[from.option[step][there + i]];
                    }
                }
            }
        }
    }

    /** One that can be changed without changing this one. */
    public Policy copy() {
        byte[][] c = new byte[option.length][];
        for (int i = 0; i < c.length; i++) {
            c[i] = option[i].clone();
        }
        return new Policy(c);
    }
}
