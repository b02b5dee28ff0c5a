package farglass.matchup.fit;

import java.util.List;

/**
 * How much each athlete does, and lets the other do, more than is usual, each corrected for whom he met: log rate (or
 * log odds) = offset + acting effect + facing effect, with normal effects of mean 0 whose spread is chosen by marginal
 * likelihood (Laplace approximation; McCullagh and Nelder, Generalized Linear Models, 1989; Tierney and Kadane 1986).
 * What is known of an effect is normal around its mode with the inverse curvature as covariance.
 */
final class TwoWayFit {
    private static final double[] SPREADS = {0.05, 0.1, 0.2, 0.3, 0.45, 0.65, 0.9};
    /** Taken where nothing was seen. */
    private static final double USUAL_SPREAD = 0.3;

    private static final int ROUNDS = 40;
    private static final double CLOSE = 1e-9;
    /** One Newton step moves no effect further than this, so that an athlete with one try does not run away. */
    private static final double LONGEST_STEP = 2;

    /** What is counted. */
    enum Kind {
        /** Events against the number expected. */
        RATE,
        /** Successes among tries, with the log odds expected. */
        CHANCE
    }

    /**
     * One athlete against one other.
     *
     * @param acting index of the athlete who acts
     * @param facing index of the other
     * @param y events or successes
     * @param n events expected, or tries
     * @param offset usual log odds; 0 for a rate
     */
    record Seen(int acting, int facing, double y, double n, double offset) {}

    private final Kind kind;
    private final int athletes;
    private final List<Seen> seen;
    private double spread;
    /** The highest point and the curvature there, of the last fit. */
    @SuppressWarnings("NullAway.Init")
    private double[] mode;

    @SuppressWarnings("NullAway.Init")
    private Cholesky curvature;

    private TwoWayFit(Kind kind, int athletes, List<Seen> seen) {
        this.kind = kind;
        this.athletes = athletes;
        this.seen = seen;
    }

    static TwoWayFit of(Kind kind, int athletes, List<Seen> seen) {
        TwoWayFit best = new TwoWayFit(kind, athletes, seen);
        if (seen.isEmpty()) {
            best.fit(USUAL_SPREAD);
            return best;
        }
        double highest = Double.NEGATIVE_INFINITY;
        for (double spread : SPREADS) {
            TwoWayFit fit = new TwoWayFit(kind, athletes, seen);
            double evidence = fit.fit(spread);
            if (evidence > highest) {
                highest = evidence;
                best = fit;
            }
        }
        return best;
    }

    /** Newton's method from 0; returns the log marginal likelihood up to a constant. */
    private double fit(double sd) {
        spread = sd;
        mode = new double[2 * athletes];
        double[][] h = null;
        for (int round = 0; round < ROUNDS; round++) {
            double[] gradient = new double[mode.length];
            h = new double[mode.length][mode.length];
            for (int i = 0; i < mode.length; i++) {
                gradient[i] = -mode[i] / (sd * sd);
                h[i][i] = 1 / (sd * sd);
            }
            for (Seen s : seen) {
                double mean = mean(s);
                double weight = kind == Kind.RATE ? mean : mean * (1 - mean / s.n());
                int a = s.acting();
                int f = athletes + s.facing();
                gradient[a] += s.y() - mean;
                gradient[f] += s.y() - mean;
                h[a][a] += weight;
                h[f][f] += weight;
                h[a][f] += weight;
                h[f][a] += weight;
            }
            curvature = new Cholesky(h);
            double[] step = curvature.solve(gradient);
            double longest = 0;
            for (double x : step) {
                longest = Math.max(longest, Math.abs(x));
            }
            double scale = Math.min(1, LONGEST_STEP / Math.max(longest, LONGEST_STEP));
            for (int i = 0; i < mode.length; i++) {
                mode[i] += scale * step[i];
            }
            if (longest < CLOSE) {
                break;
            }
        }
        double log = 0;
        for (Seen s : seen) {
            double mean = mean(s);
            log += kind == Kind.RATE
                    ? s.y() * Math.log(mean) - mean
                    : s.y() * Math.log(mean / s.n()) + (s.n() - s.y()) * Math.log1p(-mean / s.n());
        }
        for (double x : mode) {
            log -= x * x / (2 * sd * sd);
        }
        return log - mode.length * Math.log(sd) - curvature.logDeterminant() / 2;
    }

    private double mean(Seen s) {
        double eta = s.offset() + mode[s.acting()] + mode[athletes + s.facing()];
        return kind == Kind.RATE ? s.n() * Math.exp(eta) : s.n() / (1 + Math.exp(-eta));
    }

    /** Standard deviation of effects among athletes. */
    double spread() {
        return spread;
    }

    /** Acting effect plus facing effect; an index below 0 is an athlete never seen. */
    double effect(int acting, int facing) {
        return (acting < 0 ? 0 : mode[acting]) + (facing < 0 ? 0 : mode[athletes + facing]);
    }

    /**
     * Variances and covariance of two such sums.
     *
     * @return [var of the first, covariance, var of the second]
     */
    double[] covariance(int acting1, int facing1, int acting2, int facing2) {
        double[] one = direction(acting1, facing1);
        double[] two = direction(acting2, facing2);
        double[] solvedOne = curvature.solve(one);
        double[] solvedTwo = curvature.solve(two);
        double unseenOne = spread * spread * ((acting1 < 0 ? 1 : 0) + (facing1 < 0 ? 1 : 0));
        double unseenTwo = spread * spread * ((acting2 < 0 ? 1 : 0) + (facing2 < 0 ? 1 : 0));
        return new double[] {dot(one, solvedOne) + unseenOne, dot(one, solvedTwo), dot(two, solvedTwo) + unseenTwo};
    }

    private double[] direction(int acting, int facing) {
        double[] d = new double[2 * athletes];
        if (acting >= 0) {
            d[acting] += 1;
        }
        if (facing >= 0) {
            d[athletes + facing] += 1;
        }
        return d;
    }

    private static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }
}
