package farglass.matchup.advise;

import static java.util.Objects.requireNonNull;

import farglass.matchup.model.Ending;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.simulate.Outcomes;
import farglass.matchup.simulate.Simulator;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Choice;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Options;
import farglass.matchup.solve.Region;
import farglass.matchup.solve.Solution;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/**
 * What a solved meeting advises: what follows what from the start, where to be and where not, what to do at which score
 * and time, which figures decide, and which of them rest on too little film.
 *
 * @param decisions the few that carry the plan
 * @param opening what our athlete does better not to begin with; empty when there is no such thing
 * @param root the plan tree, from the start
 * @param seek places worth more than standing, best first
 * @param avoid places worth less, worst first
 * @param refuse places not to be accepted from this opponent
 * @param weapons what this opponent does that costs most
 * @param guide advice that stands, what matters most first
 * @param leverage figures by how much they move the win chance
 * @param needs ways out whose uncertainty moves the win chance most: what to tag next
 * @param forecasts to be scored after the match
 */
public record Proposal(
        MeetingSolution solved,
        @Nullable Uncertainty uncertainty,
        Decisions decisions,
        Optional<OpeningChoice> opening,
        Node root,
        List<Worth> seek,
        List<Worth> avoid,
        List<Refusal> refuse,
        List<Weapon> weapons,
        List<Guide> guide,
        List<ForwardPass.Leverage> leverage,
        List<Need> needs,
        List<Forecast> forecasts) {
    private static final int DEPTH = 3;
    /** Branches drawn of a place, fewer the further on it is. */
    private static final int[] BRANCHES = {2, 3, 4};
    /** Chance of coming to a place at all below which nothing more is drawn. */
    private static final double LEAST_REACHED = 0.012;

    /** Branches rarer than this are not drawn. */
    private static final double LEAST_CHANCE = 0.05;
    /** Places met for less than this are not told, minutes. */
    private static final double LEAST_MINUTES = 0.05;

    /** So many actions are named as worth learning. */
    private static final int LEARNT = 6;

    private static final int TOLD = 5;
    private static final int DECIDING = 15;
    /** Tries that a figure is lent by what is usual. */
    private static final double LENT = 4;

    private static final double CERTAIN = 0.99;
    /** Share of the draws' time that decisions take. */
    private static final double DECIDING_SHARE = 0.3;

    private static final double OPENING_SHARE = 0.05;

    /**
     * A place in the tree.
     *
     * @param chance of coming here from the place before
     * @param ours whether our athlete's attempt leads here; null when nobody's does
     * @param technique that leads here, or null
     * @param won null for a place; true for our submission, false for theirs
     * @param value win chance from here at the expected time and score
     * @param points ours minus theirs when here
     * @param option what to do here
     * @param basis what the chance rests on
     */
    public record Node(
            ModelState place,
            double chance,
            @Nullable Boolean ours,
            @Nullable String technique,
            @Nullable Boolean won,
            double value,
            int points,
            Option option,
            Exit.Basis basis,
            List<Node> next) {
        public Node {
            next = List.copyOf(next);
        }
    }

    /**
     * @param worth win chance there less that of standing, level at half time
     * @param minutes of an average match spent there under the plan
     */
    public record Worth(ModelState place, double worth, double minutes) {}

    /**
     * One option in one place.
     *
     * @param regions when it holds
     * @param weight gain times how often it is met
     * @param stays, helps lowest shares of draws over the regions; null before draws were made
     */
    public record Guide(
            ModelState place,
            Option option,
            List<Region> regions,
            double weight,
            @Nullable Double stays,
            @Nullable Double helps) {
        public Guide {
            regions = List.copyOf(regions);
        }
    }

    /** @param sway how far the win chance may be off because this is not known better */
    public record Need(Exit exit, double sway) {}

    /**
     * @param what key of the claim
     * @param p its chance, 0.01 to 0.99
     */
    public record Forecast(String what, @Nullable String place, double p) {}

    /** The proposal as best known, before draws are made; takes about a second. */
    public static Proposal of(MeetingSolution solved) {
        return of(solved, null, Decisions.of(solved), OpeningChoice.of(solved));
    }

    /**
     * The proposal with its intervals; takes half a minute.
     *
     * @param seed every draw has a stream of its own
     * @param progress 0..1
     * @param stop asked between draws
     * @return null when it was stopped
     */
    public static @Nullable Proposal drawn(
            MeetingSolution solved, long seed, DoubleConsumer progress, BooleanSupplier stop) {
        Decisions decisions = Decisions.drawn(solved, seed, x -> progress.accept(DECIDING_SHARE * x), stop);
        if (decisions == null) {
            return null;
        }
        Optional<OpeningChoice> opening =
                OpeningChoice.drawn(solved, seed, x -> progress.accept(DECIDING_SHARE + OPENING_SHARE * x), stop);
        double before = DECIDING_SHARE + OPENING_SHARE;
        Uncertainty u = Uncertainty.of(solved.meeting(), seed, x -> progress.accept(before + (1 - before) * x), stop);
        return u == null ? null : of(solved, u, decisions, opening);
    }

    private static Proposal of(
            MeetingSolution solved,
            @Nullable Uncertainty uncertainty,
            Decisions decisions,
            Optional<OpeningChoice> opening) {
        List<ForwardPass.Leverage> leverage = solved.flow().leverage();
        List<Worth> worths = worths(solved);
        List<Worth> avoid =
                new ArrayList<>(worths.stream().filter(w -> w.worth() < 0).toList());
        avoid.sort(Comparator.comparingDouble(Worth::worth));
        return new Proposal(
                solved,
                uncertainty,
                decisions,
                opening,
                tree(solved),
                worths.stream().filter(w -> w.worth() > 0).limit(TOLD).toList(),
                avoid.stream().limit(TOLD).toList(),
                Refusal.of(solved),
                Weapon.of(solved),
                guide(solved, uncertainty),
                leverage.stream().limit(DECIDING).toList(),
                needs(leverage),
                forecasts(solved, uncertainty));
    }

    private static List<Worth> worths(MeetingSolution solved) {
        Solution s = solved.planned();
        long half = s.programme().model().horizonMs() / 2;
        double standing = s.win(ModelState.START, half, 0, 0);
        return s.programme().model().states().stream()
                .filter(p -> !p.paid() && !p.equals(ModelState.START))
                .filter(p -> solved.flow().minutes(p) >= LEAST_MINUTES)
                .map(p -> new Worth(
                        p, s.win(p, half, 0, 0) - standing, solved.flow().minutes(p)))
                .sorted(Comparator.comparingDouble(Worth::worth).reversed())
                .toList();
    }

    private static Node tree(MeetingSolution solved) {
        return tree(solved, ModelState.START, 0, 0);
    }

    /**
     * What follows what from a place.
     *
     * @param minutes since the start
     * @param points ours minus theirs
     */
    public static Node tree(MeetingSolution solved, ModelState place, double minutes, int points) {
        return node(solved, place, minutes, points, 1, 1, null, null, Exit.Basis.NONE, DEPTH);
    }

    private record Lead(
            int to, @Nullable Boolean ours, @Nullable String technique) {}

    private static Node node(
            MeetingSolution solved,
            ModelState place,
            double minutes,
            int points,
            double chance,
            double reached,
            @Nullable Boolean ours,
            @Nullable String technique,
            Exit.Basis basis,
            int depth) {
        Solution s = solved.planned();
        BackwardInduction p = s.programme();
        Model model = p.model();
        int at = model.indexOf(place);
        long ms = Math.min(model.horizonMs() - 1, Math.round(minutes * 60_000));
        Option option = s.option(place, ms, points, 0);
        double value = s.win(place, ms, points, 0);
        List<Node> next = new ArrayList<>();
        if (depth > 0) {
            Map<Lead, double[]> sums = new LinkedHashMap<>();
            Map<Lead, Exit> exits = new LinkedHashMap<>();
            double total = leads(p, at, option, ms, points, sums, exits);
            List<Map.Entry<Lead, double[]>> order = new ArrayList<>(sums.entrySet());
            order.sort((a, b) -> Double.compare(b.getValue()[0], a.getValue()[0]));
            for (Map.Entry<Lead, double[]> e : order.subList(0, Math.min(BRANCHES[depth - 1], order.size()))) {
                Lead l = e.getKey();
                double share = e.getValue()[0] / total;
                if (share < LEAST_CHANCE || share * reached < LEAST_REACHED) {
                    continue;
                }
                Exit.Basis rests = requireNonNull(exits.get(l)).basis();
                if (l.to() < 0) {
                    boolean won = l.to() == Model.WON;
                    next.add(new Node(
                            place,
                            share,
                            l.ours(),
                            l.technique(),
                            won,
                            won ? 1 : 0,
                            points,
                            Option.NATURAL,
                            rests,
                            List.of()));
                } else {
                    int scored = points + (int) Math.round(e.getValue()[1] / e.getValue()[0]);
                    next.add(node(
                            solved,
                            model.states().get(l.to()),
                            minutes + 1 / total,
                            scored,
                            share,
                            share * reached,
                            l.ours(),
                            l.technique(),
                            rests,
                            depth - 1));
                }
            }
        }
        return new Node(place, chance, ours, technique, null, value, points, option, basis, next);
    }

    /** Rates of the ways to other places under an option, with what they earn; returns their sum. */
    private static double leads(
            BackwardInduction p,
            int at,
            Option option,
            long ms,
            int points,
            Map<Lead, double[]> sums,
            Map<Lead, Exit> exits) {
        int moment = p.moment(p.stepAt(ms), points, 0);
        Options o = p.options(moment, at);
        int x = Math.max(0, o.indexOf(option));
        boolean hold = x > 0 && x == o.hold();
        int phase = p.late(p.stepAt(ms)) ? 1 : 0;
        List<Model.Way> mine = p.model().own(at);
        for (int i = 0; i < mine.size(); i++) {
            lead(at, mine.get(i), o.rate(x, i), phase, sums, exits);
        }
        for (Model.Way w : p.model().theirs(at)) {
            double slowed = hold ? p.settings().holdOtherFactor() : 1;
            lead(at, w, slowed * w.rate() * p.factor(w, moment), phase, sums, exits);
        }
        for (Model.Way w : p.model().drift(at)) {
            lead(at, w, w.rate(), phase, sums, exits);
        }
        return sums.values().stream().mapToDouble(v -> v[0]).sum();
    }

    private static void lead(
            int at, Model.Way w, double rate, int phase, Map<Lead, double[]> sums, Map<Lead, Exit> exits) {
        for (Model.Branch b : w.branches()) {
            if (b.to() == at) {
                continue;
            }
            String technique = w.exit().technique();
            Lead l = new Lead(b.to(), technique == null ? null : w.exit().ours(), technique);
            double[] sum = sums.computeIfAbsent(l, k -> new double[2]);
            sum[0] += rate * b.chance();
            sum[1] += rate * b.chance() * b.points()[phase];
            exits.putIfAbsent(l, w.exit());
        }
    }

    /** What advice by score and clock is about. */
    private record Advised(ModelState place, Option option) {}

    private static List<Guide> guide(MeetingSolution solved, @Nullable Uncertainty uncertainty) {
        Map<Advised, List<Uncertainty.Advice>> groups = new LinkedHashMap<>();
        List<Uncertainty.Advice> all = uncertainty != null
                ? uncertainty.advice()
                : solved.flow().choices().stream().map(c -> advice(solved, c)).toList();
        for (Uncertainty.Advice a : all) {
            if ((uncertainty == null || a.kept()) && !a.choice().place().paid() && a.gain() > 0) {
                Advised what = new Advised(a.choice().place(), a.choice().option());
                groups.computeIfAbsent(what, k -> new ArrayList<>()).add(a);
            }
        }
        List<Guide> guides = new ArrayList<>();
        for (List<Uncertainty.Advice> g : groups.values()) {
            Choice c = g.get(0).choice();
            boolean known = uncertainty != null;
            guides.add(new Guide(
                    c.place(),
                    c.option(),
                    g.stream().map(a -> a.choice().region()).distinct().toList(),
                    g.stream().mapToDouble(a -> a.gain() * a.choice().minutes()).sum(),
                    known
                            ? g.stream()
                                    .mapToDouble(Uncertainty.Advice::stays)
                                    .min()
                                    .orElse(0)
                            : null,
                    known
                            ? g.stream()
                                    .mapToDouble(Uncertainty.Advice::helps)
                                    .min()
                                    .orElse(0)
                            : null));
        }
        guides.sort(Comparator.comparingDouble(Guide::weight).reversed());
        return guides;
    }

    private static Uncertainty.Advice advice(MeetingSolution solved, Choice c) {
        Double gain = solved.planned().gain(c.place(), c.ms(), c.points(), c.advantages(), c.option());
        return new Uncertainty.Advice(c, gain == null ? 0 : gain, 1, 1);
    }

    /** The standard deviation of a log rate is about one over the root of its tries. */
    private static List<Need> needs(List<ForwardPass.Leverage> leverage) {
        return leverage.stream()
                .filter(l -> l.exit().source() != Exit.Source.CORRECTED)
                .map(l -> new Need(
                        l.exit(), 10 * l.most() / Math.sqrt(l.exit().basis().tries() + LENT)))
                .sorted(Comparator.comparingDouble(Need::sway).reversed())
                .limit(TOLD)
                .toList();
    }

    private static List<Forecast> forecasts(MeetingSolution solved, @Nullable Uncertainty u) {
        Map<Ending, Double> ends = solved.flow().endings();
        List<Forecast> list = new ArrayList<>();
        list.add(forecast(
                "win", null, u == null ? solved.planned().win() : u.planned().mean()));
        list.add(forecast(
                "win.natural",
                null,
                u == null ? solved.natural().win() : u.natural().mean()));
        list.add(forecast("submission.ours", null, ends.getOrDefault(Ending.WON_BY_SUBMISSION, 0.0)));
        list.add(forecast("submission.theirs", null, ends.getOrDefault(Ending.LOST_BY_SUBMISSION, 0.0)));
        Outcomes o =
                new Simulator(solved.planned().programme(), solved.planned().policy()).run(20_000, 1, () -> false);
        o.visited().entrySet().stream()
                .filter(e -> !e.getKey().endsWith("*") && !e.getKey().equals(ModelState.START.key()))
                .sorted(Map.Entry.<String, Double>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(TOLD)
                .forEach(e -> list.add(forecast("visit", e.getKey(), e.getValue())));
        return list;
    }

    /** Actions of ours that no match has shown often enough to be leant on, by what doing them more would bring. */
    public List<ForwardPass.Leverage> worthLearning() {
        return leverage.stream()
                .filter(l -> l.exit().ours()
                        && l.exit().technique() != null
                        && !l.exit().ownAction()
                        && l.rate10() > 0)
                .sorted(Comparator.comparingDouble(l -> -l.rate10()))
                .limit(LEARNT)
                .toList();
    }

    private static Forecast forecast(String what, @Nullable String place, double p) {
        return new Forecast(what, place, Math.max(1 - CERTAIN, Math.min(CERTAIN, p)));
    }
}
