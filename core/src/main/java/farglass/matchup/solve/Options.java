package farglass.matchup.solve;

import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import java.util.ArrayList;
import java.util.Arrays;
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

    /** Natural rates of the own ways, and their sum. */
    private final double[] rates;

    final double total;
    /** Index of holding, -1 when it is not possible here. */
    final int hold;

    private Options(List<Option> options, int[] way, double[] others, double[] gain, double[] cost, double[] rates) {
        this.options = List.copyOf(options);
        this.way = way;
        this.others = others;
        this.gain = gain;
        this.cost = cost;
        this.rates = rates;
        this.total = Arrays.stream(rates).sum();
        this.hold = options.indexOf(Option.HOLD);
    }

    /** What can be done where these are the own ways out, at their average rates. */
    public static Options of(List<Model.Way> ways, boolean mayHold, SolverSettings settings) {
        double[] rates = ways.stream().mapToDouble(Model.Way::rate).toArray();
        double total = Arrays.stream(rates).sum();
        List<Option> options = new ArrayList<>(List.of(Option.NATURAL));
        List<Integer> way = new ArrayList<>(List.of(-1));
        for (int i = 0; i < ways.size(); i++) {
            Model.Way w = ways.get(i);
            boolean all = settings.pressFactor() * rates[i] > total;
            boolean little = pressed(rates[i], total, settings) < NOTICED * rates[i];
            boolean unknown = w.exit().ours() && !w.exit().ownAction();
            if (!w.down() && !all && !little && !unknown) {
                options.add(Option.press(w.exit().technique()));
                way.add(i);
            }
        }
        if (mayHold) {
            options.add(Option.HOLD);
            way.add(-1);
        }
        return of(options, way.stream().mapToInt(i -> i).toArray(), rates, settings);
    }

    /** The same options where the natural rates are these, as they may be at some moment of the match. */
    Options at(double[] momentRates, SolverSettings settings) {
        return of(options, way, momentRates, settings);
    }

    private static Options of(List<Option> options, int[] way, double[] rates, SolverSettings settings) {
        int n = options.size();
        double[] others = new double[n];
        double[] gain = new double[n];
        double[] cost = new double[n];
        double total = Arrays.stream(rates).sum();
        for (int x = 0; x < n; x++) {
            others[x] = 1;
            if (way[x] >= 0) {
                double r = rates[way[x]];
                double pressed = Math.max(r, pressed(r, total, settings));
                others[x] = total > r ? (total - pressed) / (total - r) : 1;
                gain[x] = fruitful(r, pressed, settings) - others[x] * r;
                cost[x] = entropy(r, pressed) + entropy(total - r, total - pressed);
            } else if (options.get(x).equals(Option.HOLD)) {
                others[x] = settings.holdOwnFactor();
                cost[x] = entropy(total, settings.holdOwnFactor() * total);
            }
        }
        return new Options(options, way, others, gain, cost, rates);
    }

    private static double pressed(double rate, double total, SolverSettings settings) {
        return Math.min(settings.pressFactor() * rate, MOST * total);
    }

    /** A rate that bears as much as a pressed one, whose additional tries succeed less often. */
    static double fruitful(double natural, double pressed, SolverSettings settings) {
        return natural + settings.extraSuccess() * (pressed - natural);
    }

    /** Of a Poisson process of one rate against another, nats a minute. */
    public static double entropy(double natural, double now) {
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

    /** How often an own way is taken when nothing is leant on, attempts a minute. */
    double natural(int ownWay) {
        return rates[ownWay];
    }

    /**
     * How often a way is taken under an option, attempts a minute.
     *
     * @param ownWay number of the own way
     */
    public double rate(int option, int ownWay) {
        return others[option] * rates[ownWay] + (ownWay == way[option] ? gain[option] : 0);
    }
}
