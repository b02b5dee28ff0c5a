package farglass.matchup.advise;

import farglass.matchup.fit.TransitionRates;
import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.Payoffs;
import farglass.matchup.model.StateSpace;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Ruleset;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import org.jspecify.annotations.Nullable;

/**
 * Two athletes laid over one another: their rates fitted from the library, and the match as a model. Building one takes
 * a moment; {@link #solve} takes about a second, {@link Uncertainty} half a minute.
 */
public final class Meeting {
    /** Matches of each below which no plan is made. */
    public static final int LEAST_MATCHES = 3;
    /** Groups of positions that are told apart. */
    private static final int PLACES = 80;

    private final Question question;
    private final TransitionRates rates;
    private final StateSpace groups;
    private final Payoffs payoffs;
    private final List<ModelState> places;
    private final Model model;

    /**
     * What is asked.
     *
     * @param filter matches that count, for both and for the library's usual rates
     * @param asOf day that ages of matches are counted back from, or null
     * @param lengthMs scheduled length, positive
     */
    public record Question(
            String us,
            String them,
            Ruleset rules,
            Filter filter,
            @Nullable LocalDate asOf,
            long lengthMs,
            SolverSettings settings,
            Constraints wishes) {
        /** The same question with other solver settings. */
        public Question settings(SolverSettings s) {
            return new Question(us, them, rules, filter, asOf, lengthMs, s, wishes);
        }

        /** The same question under other constraints. */
        public Question wishes(Constraints w) {
            return new Question(us, them, rules, filter, asOf, lengthMs, settings, w);
        }
    }

    private Meeting(Question question, TransitionRates rates, StateSpace groups, Payoffs payoffs) {
        this.rates = rates;
        this.question = question.settings(complete(question.settings()));
        this.groups = groups;
        this.payoffs = payoffs;
        this.places = rates.places(PLACES);
        this.model = model(rates.exits(places));
    }

    /** The settings with what the library shows where the user set nothing. */
    public SolverSettings complete(SolverSettings s) {
        return s.elasticity() == null ? s.elasticity(rates.elasticity()) : s;
    }

    /**
     * Fits the rates of both; takes under a second on a usual library, some seconds on one of hundreds of thousands of
     * tags.
     */
    public static Meeting of(LibraryIndex index, Question q) {
        StateSpace groups = new StateSpace(index.lexicon());
        Payoffs payoffs = new Payoffs(q.rules(), groups);
        TransitionRates rates =
                new TransitionRates(index, q.us(), q.them(), q.rules(), q.filter(), q.asOf(), groups, payoffs);
        return new Meeting(q, rates, groups, payoffs);
    }

    /** The same meeting under other settings or wishes; nothing is fitted again. */
    public Meeting under(SolverSettings settings, Constraints wishes) {
        return new Meeting(question.settings(settings).wishes(wishes), rates, groups, payoffs);
    }

    private Model model(List<Exit> exits) {
        return new Model(
                question.rules(), question.lengthMs(), places, corrected(exits), groups, payoffs, rates.tempo());
    }

    private List<Exit> corrected(List<Exit> exits) {
        Map<Exit.Key, Correction> by = new HashMap<>();
        question.wishes().corrections().forEach(c -> by.put(c.exit(), c));
        List<Exit> list = new ArrayList<>();
        for (Exit e : exits) {
            Correction c = by.get(e.key());
            boolean allowed = e.ours()
                    && e.technique() != null
                    && question.wishes().allowed().contains(e.technique());
            Exit known = allowed ? e.allow() : e;
            list.add(
                    c == null
                            ? known
                            : known.numbers(
                                    c.rate() == null ? e.rate() : c.rate(),
                                    c.chance() == null ? e.chance() : c.chance(),
                                    Exit.Source.CORRECTED));
        }
        return list;
    }

    /** What was asked. */
    public Question question() {
        return question;
    }

    /** The match as best known, corrections included. */
    public Model model() {
        return model;
    }

    /** The match as it may truly be; what the user corrected stays. */
    public Model draw(UniformRandomProvider rng) {
        return model(rates.draw(places, rng));
    }

    /** Matches that count. */
    public int matches(boolean ours) {
        return rates.matches(ours);
    }

    /** Whether there is film enough of both for a plan. */
    public boolean enough() {
        return matches(true) >= LEAST_MATCHES && matches(false) >= LEAST_MATCHES;
    }

    /** Share of an athlete's own time spent in a place, as our athlete sees it. */
    public double share(ModelState p, boolean ours) {
        Map<ModelState, Double> minutes = rates.minutes(ours);
        double all = minutes.values().stream().mapToDouble(x -> x).sum();
        return all <= 0 ? 0 : minutes.getOrDefault(ours ? p : p.mirrored(), 0.0) / all;
    }

    /** Share of their time that others than the opponent spend in a place, as our athlete sees it. */
    public double usualShare(ModelState p) {
        Map<ModelState, Double> theirs = rates.minutes(false);
        double all = 0;
        for (Map.Entry<ModelState, Double> e : rates.usualMinutes().entrySet()) {
            all += e.getValue() - theirs.getOrDefault(e.getKey(), 0.0);
        }
        ModelState seen = p.mirrored();
        double here = rates.usualMinutes().getOrDefault(seen, 0.0) - theirs.getOrDefault(seen, 0.0);
        return all <= 0 ? 0 : Math.max(0, here) / all;
    }

    /** Weighted minutes of film of an athlete in a place, as our athlete sees it. */
    public double minutes(ModelState p, boolean ours) {
        return rates.minutes(ours).getOrDefault(ours ? p : p.mirrored(), 0.0);
    }

    /**
     * How a technique fared when others tried it from a place against whoever has to stop it here.
     *
     * @param ours whether our athlete tries it, so that the opponent has to stop it
     * @return tries that worked, and all whose outcome was seen; sums of match weights
     */
    public double[] faced(ModelState place, boolean ours, String technique) {
        return rates.faced(place, ours, technique);
    }

    /**
     * What is usual of an action in a place, whoever does it.
     *
     * @param ours whether our athlete tries it
     * @return tries a minute and the chance that one works; null when nobody was seen to try it
     */
    public double @Nullable [] usual(ModelState place, boolean ours, String technique) {
        return rates.usual(place, ours, technique);
    }

    /** Techniques that one of them uses and the rules do not allow, by name. */
    public Collection<String> forbidden() {
        return rates.forbidden();
    }

    /**
     * Solves the match.
     *
     * @throws IllegalStateException when there is too little film of one of them, see {@link #enough}
     */
    public MeetingSolution solve() {
        if (!enough()) {
            throw new IllegalStateException("too few matches: ours " + matches(true) + ", theirs " + matches(false));
        }
        return MeetingSolution.of(this);
    }

    /**
     * The win chances in longer steps, in a fraction of the time.
     *
     * @throws IllegalStateException when there is too little film of one of them
     */
    public MeetingSolution.Glance glance() {
        if (!enough()) {
            throw new IllegalStateException("too few matches: ours " + matches(true) + ", theirs " + matches(false));
        }
        return MeetingSolution.Glance.of(this, question.settings().coarse());
    }

    /** Solves the match in longer steps, from a glance of the same meeting. */
    public MeetingSolution solve(MeetingSolution.Glance glance) {
        return MeetingSolution.of(this, glance);
    }

    /** Intervals of a rate and of a chance. */
    public record Ranges(Uncertainty.Range rate, Uncertainty.Range chance) {}

    /** The ways out as they may truly be, corrections included. */
    List<Exit> drawExits(UniformRandomProvider rng) {
        return corrected(rates.draw(places, rng));
    }

    /** How well every figure is known: the middle nine tenths of some draws. */
    public Map<Exit.Key, Ranges> ranges(int draws, long seed) {
        Map<Exit.Key, double[][]> values = new HashMap<>();
        for (int d = 0; d < draws; d++) {
            for (Exit e : rates.draw(places, RandomSource.XO_RO_SHI_RO_128_PP.create(seed + d))) {
                double[][] v = values.computeIfAbsent(e.key(), k -> new double[2][draws]);
                v[0][d] = e.rate();
                v[1][d] = e.chance();
            }
        }
        Map<Exit.Key, Ranges> ranges = new HashMap<>();
        values.forEach((key, v) -> ranges.put(key, new Ranges(Uncertainty.Range.of(v[0]), Uncertainty.Range.of(v[1]))));
        return ranges;
    }
}
