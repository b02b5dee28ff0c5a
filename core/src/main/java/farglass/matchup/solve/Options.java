package farglass.matchup.solve;

import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import java.util.ArrayList;
import java.util.List;

/**
 * The options of one athlete in one place, as factors on rates. Pressing leaves the total rate as it is: what one
 * action gains the others lose; so an action that is nearly all there is cannot be pressed. Ours can be pressed only
 * where he has shown it (ruling M27), and additional tries bear less than those he chooses by himself (ruling M28).
 */
public final class Options {
    /** Share of all own attempts that a pressed action may become. */
    static final double MOST = 0.9;
    /** Less than this much more is no choice. */
    private static final double NOTICED = 1.01;

    public final List<Option> options;
    /** Index of the way that is pressed, by option; -1 otherwise. */
    final int[] way;
    /** Factor on the sum of all own ways when pressing. */
    public final double[] others;
    /** What the pressed way gains beside that, in tries a minute that bear as much as chosen ones. */
    public final double[] gain;
    /** Relative entropy rate of the changed mix against the natural one, nats a minute. */
    public final double[] cost;

    final double total;
    /** Index of holding, -1 when it is not possible here. */
    final int hold;

    private Options(List<Option> options, int[] way, double[] others, double[] gain, double[] cost, double total) {
        this.options = List.copyOf(options);
        this.way = way;
        this.others = others;
        this.gain = gain;
        this.cost = cost;
        this.total = total;
        this.hold = options.indexOf(Option.HOLD);
    }

    /** What can be done where these are the own ways out. */
    public static Options of(List<Model.Way> ways, boolean mayHold, SolverSettings settings) {
        double total = ways.stream().mapToDouble(Model.Way::rate).sum();
        List<Option> options = new ArrayList<>(List.of(Option.NATURAL));
        List<double[]> rows = new ArrayList<>(List.of(new double[] {-1, 1, 0, 0}));
        for (int i = 0; i < ways.size(); i++) {
            Model.Way w = ways.get(i);
            double r = w.rate();
            double pressed = Math.min(settings.pressFactor() * r, MOST * total);
            if (w.down()
                    || settings.pressFactor() * r > total
                    || pressed < NOTICED * r
                    || (w.exit().ours() && !w.exit().ownAction())) {
                continue;
            }
            double left = (total - pressed) / (total - r);
            options.add(Option.press(w.exit().technique()));
            rows.add(new double[] {
                i,
                left,
                fruitful(r, pressed, settings) - left * r,
                entropy(r, pressed) + entropy(total - r, total - pressed)
            });
        }
        if (mayHold) {
            options.add(Option.HOLD);
            rows.add(new double[] {-1, settings.holdOwnFactor(), 0, entropy(total, settings.holdOwnFactor() * total)});
        }
        return new Options(
                options,
                rows.stream().mapToInt(r -> (int) r[0]).toArray(),
                rows.stream().mapToDouble(r -> r[1]).toArray(),
                rows.stream().mapToDouble(r -> r[2]).toArray(),
                rows.stream().mapToDouble(r -> r[3]).toArray(),
                total);
    }

    /** A rate that bears as much as a pressed one, whose additional tries succeed less often. */
    static double fruitful(double natural, double pressed, SolverSettings settings) {
        return natural + settings.elasticity() * (pressed - natural);
    }

    /** Of a Poisson process of one rate against another, nats a minute. */
    private static double entropy(double natural, double now) {
        return now <= 0 ? natural : natural <= 0 ? 0 : now * Math.log(now / natural) - now + natural;
    }

    /** Where one may keep what is: ahead in place, or standing level. */
    static boolean mayHold(ModelState p, boolean ours) {
        int standing = ours ? p.standing() : -p.standing();
        return standing > 0 || p.group().equals("STD");
    }

    /** How many there are. */
    public int size() {
        return options.size();
    }

    /** Number of an option; -1 when it is none of them. */
    public int indexOf(Option o) {
        return options.indexOf(o);
    }

    /** Number of the option to hold; less than 0 where there is none. */
    public int hold() {
        return hold;
    }

    /** All options, the natural mix first. */
    public List<Option> options() {
        return options;
    }

    /**
     * How often a way is taken under an option, attempts a minute.
     *
     * @param way number of the own way
     * @param natural how often it is taken when nothing is leant on
     */
    public double rate(int option, int way, double natural) {
        return others[option] * natural + (way == this.way[option] ? gain[option] : 0);
    }
}
