package farglass.bench.truth;

import farglass.matchup.advise.Meeting;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Predicate;
import org.apache.commons.numbers.gamma.LogBeta;
import org.apache.commons.rng.simple.RandomSource;

/**
 * Reads a film as nobody can: it knows from which match-up opponents are drawn, that one of our attacks meets a hole
 * and one of theirs is a weapon, and how large both are (in chance; rates are read as any other). What it still misses,
 * twenty matches do not tell. Rates are Gamma, chances Beta by the moments of draws, a chance being moved with a
 * probability of one over the attacks in question.
 */
final class IdealReader {
    private static final int DRAWS = 200;
    /** Seeds of its draws lie apart from those of the opponents. */
    private static final long SEED = 90_000;

    private static final double LEAST = 1e-9;

    /** What draws come to. */
    private static final class Moments {
        private int n;
        private double rate;
        private double rateSquared;
        private double chance;
        private double chanceSquared;

        void add(Exit e) {
            n++;
            rate += e.rate();
            rateSquared += e.rate() * e.rate();
            chance += e.chance();
            chanceSquared += e.chance() * e.chance();
        }
    }

    private final Map<Exit.Key, Moments> moments = new HashMap<>();
    private final Predicate<Exit> ours;
    private final Predicate<Exit> theirs;

    /**
     * @param prior what opponents are drawn from
     * @param ours whether an action of ours may meet a hole
     * @param theirs whether one of theirs may be a weapon
     */
    IdealReader(Meeting prior, Predicate<Exit> ours, Predicate<Exit> theirs) {
        this.ours = ours;
        this.theirs = theirs;
        for (int d = 0; d < DRAWS; d++) {
            for (Exit e : prior.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(SEED + d))
                    .exits()) {
                moments.computeIfAbsent(e.key(), k -> new Moments()).add(e);
            }
        }
    }

    /** The best known numbers of every way out of what the film shows. */
    Model read(Model film) {
        double holes = film.exits().stream().filter(ours).count();
        double weapons = film.exits().stream().filter(theirs).count();
        Model read = film;
        for (Exit e : film.exits()) {
            Moments m = moments.get(e.key());
            if (m == null || m.n < DRAWS / 2 || e.technique() == null) {
                continue;
            }
            double moved = ours.test(e) ? 1 / holes : theirs.test(e) ? 1 / weapons : 0;
            read = read.with(
                    e.key(), rate(m, e.basis()), chance(m, e.basis(), moved, e.ours() ? Planted.HOLE : Planted.WEAPON));
        }
        return read;
    }

    private static double rate(Moments m, Exit.Basis seen) {
        double mean = m.rate / m.n;
        double variance = Math.max(LEAST, m.rateSquared / m.n - mean * mean);
        return (mean * mean / variance + seen.tries()) / (mean / variance + seen.minutes());
    }

    private static double chance(Moments m, Exit.Basis seen, double moved, double odds) {
        double mean = m.chance / m.n;
        double variance = Math.max(LEAST, m.chanceSquared / m.n - mean * mean);
        double strength = mean * (1 - mean) / variance - 1;
        if (!(strength > 0)) {
            return mean;
        }
        double there = Planted.moved(mean, odds);
        double plain = (mean * strength + seen.worked()) / (strength + seen.decided());
        double planted = (there * strength + seen.worked()) / (strength + seen.decided());
        double ratio =
                moved / (1 - moved) * Math.exp(logMarginal(seen, there, strength) - logMarginal(seen, mean, strength));
        return (plain + ratio * planted) / (1 + ratio);
    }

    /** Beta-binomial, up to a constant. */
    private static double logMarginal(Exit.Basis seen, double mean, double strength) {
        double a = mean * strength;
        double b = strength - a;
        return LogBeta.value(a + seen.worked(), b + seen.decided() - seen.worked()) - LogBeta.value(a, b);
    }
}
