package farglass.bench.truth;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Decision;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.Proposal;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.simulate.FullSimulator;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Policy;
import farglass.matchup.solve.Solution;
import farglass.matchup.solve.SolverSettings;
import farglass.rules.Rulesets;
import farglass.simulate.DemoLibrary;
import farglass.tendency.Filter;
import farglass.tendency.LibraryIndex;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;

/**
 * What a plan made from twenty matches is worth in the truth: opponents are draws of a match-up of the demo, their film
 * is played under the whole rules, and the plan is valued where the truth is known. Every opponent has a planted hole,
 * which one of our actions takes, and a weapon.
 */
public final class PlanBench {
    private static final int MATCHES = 20;
    private static final int DRAWS = 40;
    private static final SolverSettings SETTINGS =
            SolverSettings.USUAL.emphasis(1).coarse();
    /** Tries a minute from which on an action is at home in a game. */
    private static final double OFTEN = 0.3;
    /** Minutes of a match spent in its place at least. */
    private static final double THERE = 0.25;

    private static final Set<String> ATTACKS =
            Set.of("takedown", "sweep", "pass", "pin-advance", "back-take", "submission");
    /** A plan that costs more than this is worse than the own game: a tenth of a point. */
    private static final double WORSE = 0.001;
    /** What a hole must be worth to be one. */
    private static final double WORTH = 0.003;
    /** What a weapon must cost to be one. */
    private static final double HURTS = 0.005;
    /** Leads that are looked at. */
    private static final int FAR = 6;

    private static final MatchAthlete US = new MatchAthlete("us", "Us", null, null, Map.of());

    private PlanBench() {}

    /** @param opponents of every ruleset */
    public static void start(int opponents) {
        Lexicon lexicon = Lexicon.builtIn();
        List<MatchRecord> demo = DemoLibrary.matches(lexicon, DemoLibrary.SEED);
        for (String rules : List.of("points-gi", "submission-only")) {
            Meeting prior = meeting(demo, lexicon, "ansa-kellivar", "odile-marrowen", rules);
            IdealReader ideal =
                    new IdealReader(prior, e -> attack(e) && e.ours() && e.ownAction(), e -> attack(e) && !e.ours());
            List<Found> all = IntStream.range(0, opponents)
                    .mapToObj(i -> one(demo, lexicon, prior, ideal, rules, i))
                    .toList();
            double brought = mean(all, Found::brought);
            double possible = mean(all, Found::possible);
            System.out.printf(
                    Locale.ROOT,
                    "%-16s promised %+.2f, brought %+.2f of a possible %+.2f points (%.0f %%), worse than the own game %d of"
                            + " %d, hole taken in %.0f %% of the cells where it should be (%d opponents); who knows how they"
                            + " are drawn brings %+.2f (%.0f %%), worse for %d, hole in %.0f %%%n",
                    rules,
                    100 * mean(all, Found::promised),
                    100 * brought,
                    100 * possible,
                    100 * brought / possible,
                    worse(all, Found::brought),
                    opponents,
                    100 * taken(all, Found::pressed),
                    all.stream().filter(f -> !Double.isNaN(f.pressed())).count(),
                    100 * mean(all, Found::ideal),
                    100 * mean(all, Found::ideal) / possible,
                    worse(all, Found::ideal),
                    100 * taken(all, Found::idealPressed));
            double whole = mean(all, Found::whole);
            List<Found> able = all.stream().filter(Found::helps).toList();
            System.out.printf(
                    Locale.ROOT,
                    "%-16s its decisions alone (%.1f of them) bring %+.2f of the whole policy's %+.2f points (%.0f %%), worse"
                            + " than the own game %d of %d, a hole"
                            + " worth 0.3 points among the first three for %d of %d, a weapon"
                            + " that costs half a point told for %d of %d%n",
                    rules,
                    mean(all, Found::decisions),
                    100 * mean(all, Found::decided),
                    100 * whole,
                    100 * mean(all, Found::decided) / whole,
                    worse(all, Found::decided),
                    opponents,
                    able.stream().filter(Found::first).count(),
                    able.size(),
                    all.stream().filter(f -> f.hurts() && f.weapon()).count(),
                    all.stream().filter(Found::hurts).count());
        }
    }

    private static double mean(List<Found> all, ToDoubleFunction<Found> what) {
        return all.stream().mapToDouble(what).average().orElse(0);
    }

    private static long worse(List<Found> all, ToDoubleFunction<Found> what) {
        return all.stream().filter(f -> what.applyAsDouble(f) < -WORSE).count();
    }

    private static double taken(List<Found> all, ToDoubleFunction<Found> what) {
        return all.stream()
                .mapToDouble(what)
                .filter(x -> !Double.isNaN(x))
                .average()
                .orElse(0);
    }

    /**
     * What a plan came to.
     *
     * @param promised win chance gained, as the plan says
     * @param brought the same in the truth
     * @param possible what the best plan would bring in the truth
     * @param pressed of the cells in which the best plan takes the hole, the share in which the plan does; NaN where
     * the best one never does
     * @param ideal what the plan of {@link IdealReader} brings
     * @param idealPressed where that one takes the hole
     * @param whole what the plan brings that is made against an opponent who answers, as it is shown
     * @param decided what its decisions alone bring
     * @param decisions how many there are
     * @param helps whether to take the hole at any time is worth 0.3 points or more in the truth
     * @param first whether the hole carries one of the first three
     * @param hurts whether the weapon costs us half a point or more in the truth
     * @param weapon whether the planted weapon is told as one, from the place where it is one
     */
    private record Found(
            double promised,
            double brought,
            double possible,
            double pressed,
            double ideal,
            double idealPressed,
            double whole,
            double decided,
            double decisions,
            boolean helps,
            boolean first,
            boolean hurts,
            boolean weapon) {}

    private static Found one(
            List<MatchRecord> demo, Lexicon lexicon, Meeting prior, IdealReader reader, String rules, int i) {
        UniformRandomProvider rng = RandomSource.XO_RO_SHI_RO_128_PP.create(500 + i);
        Model drawn = prior.draw(rng);
        ForwardPass flow = ForwardPass.of(new BackwardInduction(drawn, prior.complete(SETTINGS)).natural());
        Exit hole = some(drawn, flow, true, rng);
        Exit weapon = some(drawn, flow, false, rng);
        Model holed = drawn.with(hole.key(), hole.rate(), Planted.moved(hole.chance(), Planted.HOLE));
        BackwardInduction unarmed = new BackwardInduction(holed, prior.complete(SETTINGS));
        BackwardInduction truth = new BackwardInduction(
                holed.with(
                        weapon.key(),
                        Planted.WEAPON_RATE * weapon.rate(),
                        Planted.moved(weapon.chance(), Planted.WEAPON)),
                prior.complete(SETTINGS));
        MatchAthlete them = new MatchAthlete("them" + i, "Them " + i, null, null, Map.of());
        FullSimulator film = new FullSimulator(truth, null, US, them);
        List<MatchRecord> library = new ArrayList<>(demo);
        for (int n = 0; n < MATCHES; n++) {
            library.add(film.record(3000L * i + n));
        }
        Meeting m = meeting(library, lexicon, "us", them.id(), rules);
        BackwardInduction known = new BackwardInduction(m.model(), m.complete(SETTINGS));
        Solution best = known.best(BackwardInduction.Answer.NEVER);
        // what may be pressed is what the film shows to be ours, in the plan and in the truth
        BackwardInduction allowed = new BackwardInduction(shown(truth.model(), m.model()), truth.settings());
        Solution ideal = allowed.best(BackwardInduction.Answer.NEVER);
        double natural = truth.win(null, BackwardInduction.Answer.NEVER);
        Policy carried = best.policy().over(known, allowed);
        BackwardInduction read = new BackwardInduction(reader.read(m.model()), m.complete(SETTINGS));
        Policy informed = read.best(BackwardInduction.Answer.NEVER).policy().over(read, allowed);
        // decisions are those of the usual dial, as they are shown first
        Meeting shownAs = m.under(SolverSettings.USUAL.coarse(), Constraints.NONE);
        MeetingSolution solved = shownAs.solve();
        Decisions decisions = requireNonNull(Decisions.drawn(solved, 1, x -> {}, () -> false));
        List<Decision> told =
                decisions.valued().stream().map(Decisions.Valued::decision).toList();
        Policy shown = solved.planned().policy().over(solved.planned().programme(), allowed);
        return new Found(
                promised(m, known, best.policy()),
                allowed.win(carried, BackwardInduction.Answer.NEVER) - natural,
                ideal.win() - natural,
                pressed(ideal, carried, hole),
                allowed.win(informed, BackwardInduction.Answer.NEVER) - natural,
                pressed(ideal, informed, hole),
                allowed.win(shown, BackwardInduction.Answer.NEVER) - natural,
                allowed.win(Decisions.policy(allowed, told), BackwardInduction.Answer.NEVER) - natural,
                told.size(),
                allowed.win(Decisions.policy(allowed, List.of(taking(hole))), BackwardInduction.Answer.NEVER) - natural
                        >= WORTH,
                told.stream()
                        .limit(3)
                        .anyMatch(d -> d.places().contains(hole.from().paid(false))
                                && d.option().equals(Option.press(hole.technique()))),
                unarmed.win(null, BackwardInduction.Answer.NEVER) - natural >= HURTS,
                Proposal.of(solved).weapons().stream()
                        .anyMatch(w -> w.technique().equals(weapon.technique())
                                && w.exits().stream().anyMatch(e -> e.from().equals(weapon.from()))));
    }

    private static Decision taking(Exit hole) {
        return Decision.always(hole.from().paid(false), Option.press(hole.technique()));
    }

    private static boolean attack(Exit e) {
        return ATTACKS.contains(e.family()) && e.rate() >= OFTEN;
    }

    /** An attack that is at home in the game: often done where much time is spent, and ours to press when ours. */
    private static Exit some(Model m, ForwardPass flow, boolean ours, UniformRandomProvider rng) {
        List<Exit> exits = m.exits().stream()
                .filter(e -> e.ours() == ours && attack(e) && flow.minutes(e.from()) >= THERE)
                .filter(e -> !ours || e.ownAction())
                .toList();
        return exits.get(rng.nextInt(exits.size()));
    }

    /** What is shown: the gain of the fixed plan, on average over draws of what may be true. */
    private static double promised(Meeting m, BackwardInduction known, Policy plan) {
        return IntStream.range(0, DRAWS)
                .parallel()
                .mapToDouble(d -> {
                    BackwardInduction drawn = new BackwardInduction(
                            m.draw(RandomSource.XO_RO_SHI_RO_128_PP.create(d)), m.complete(SETTINGS));
                    return drawn.win(plan.over(known, drawn), BackwardInduction.Answer.NEVER)
                            - drawn.win(null, BackwardInduction.Answer.NEVER);
                })
                .average()
                .orElse(0);
    }

    private static Model shown(Model truth, Model film) {
        Map<Exit.Key, Exit> seen = new HashMap<>();
        film.exits().forEach(e -> seen.put(e.key(), e));
        return truth.based(e -> seen.containsKey(e.key()) ? seen.get(e.key()).basis() : Exit.Basis.NONE);
    }

    /**
     * Of the cells of the hole's place in which the best plan takes it, the share in which another does; NaN without.
     */
    private static double pressed(Solution ideal, Policy plan, Exit hole) {
        BackwardInduction p = ideal.programme();
        int s = p.model().indexOf(hole.from());
        int x = p.options(s).indexOf(Option.press(hole.technique()));
        int best = 0;
        int both = 0;
        int far = p.model().rules().counts() ? FAR : 0;
        for (int step = 0; step < p.steps() && x > 0; step++) {
            for (int points = -far; points <= far; points++) {
                int cell = p.grid().cell(s, 0, 0, points);
                boolean taken = ideal.policy().get(step, cell) == x;
                best += taken ? 1 : 0;
                both += taken && plan.get(step, cell) == x ? 1 : 0;
            }
        }
        return best == 0 ? Double.NaN : both / (double) best;
    }

    private static Meeting meeting(List<MatchRecord> library, Lexicon lexicon, String us, String them, String rules) {
        return Meeting.of(
                LibraryIndex.of(library, lexicon),
                new Meeting.Question(
                        us,
                        them,
                        Rulesets.builtIn().of(rules, null).orElseThrow(),
                        Filter.ALL.halfLife(null),
                        LocalDate.of(2031, 5, 3),
                        480_000,
                        SETTINGS,
                        Constraints.NONE));
    }
}
