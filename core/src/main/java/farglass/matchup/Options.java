package farglass.matchup;

import java.util.ArrayList;
import java.util.List;

/**
 * The options of one athlete in one place, as factors on rates. Pressing leaves the total rate as it is: what one action gains
 * the others lose; so an action that is nearly all there is cannot be pressed.
 */
final class Options {
    /** Share of all own attempts that a pressed action may become. */
    static final double MOST = 0.9;
    /** Less than this much more is no choice. */
    private static final double NOTICED = 1.01;

    final List<Option> options;
    /** Index of the way that is pressed, by option; -1 otherwise. */
    final int[] way;
    /** Factor on the sum of all own ways when pressing. */
    final double[] others;
    /** What the pressed way gains beside that, attempts a minute. */
    final double[] gain;
    /** Relative entropy rate of the changed mix against the natural one, nats a minute. */
    final double[] cost;

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

    static Options of(List<Model.Way> ways, boolean mayHold, SolverSettings settings) {
        double total = ways.stream().mapToDouble(Model.Way::rate).sum();
        List<Option> options = new ArrayList<>(List.of(Option.NATURAL));
        List<double[]> rows = new ArrayList<>(List.of(new double[] {-1, 1, 0, 0}));
        for (int i = 0; i < ways.size(); i++) {
            Model.Way w = ways.get(i);
            double r = w.rate();
            double pressed = Math.min(settings.b() * r, MOST * total);
            if (w.down() || settings.b() * r > total || pressed < NOTICED * r) {
                continue;
            }
            double left = (total - pressed) / (total - r);
            options.add(Option.press(w.exit().technique()));
            rows.add(
                    new double[] {i, left, pressed - left * r, entropy(r, pressed) + entropy(total - r, total - pressed)
                    });
        }
        if (mayHold) {
            options.add(Option.HOLD);
            rows.add(new double[] {-1, settings.h1(), 0, entropy(total, settings.h1() * total)});
        }
        return new Options(
                options,
                rows.stream().mapToInt(r -> (int) r[0]).toArray(),
                rows.stream().mapToDouble(r -> r[1]).toArray(),
                rows.stream().mapToDouble(r -> r[2]).toArray(),
                rows.stream().mapToDouble(r -> r[3]).toArray(),
                total);
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

    int size() {
        return options.size();
    }

    int indexOf(Option o) {
        return options.indexOf(o);
    }
}
