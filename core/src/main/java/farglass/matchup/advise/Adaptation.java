package farglass.matchup.advise;

import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.BackwardInduction.Answer;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Options;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.LibraryIndex;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * How the opponent may answer our plan: by doing more of something he is known to do. What costs him least for what it
 * costs us comes first; his effort is the relative entropy of the changed game against his usual one over a match
 * (Todorov, PNAS 106, 2009), and what he has done when behind or in a rematch is taken before the rest.
 *
 * @param costs win chance our decisions lose when it is done twice as often
 * @param effort nats a match
 * @param behind tries while he was behind
 * @param rematch tries against somebody he had met before
 * @param all every try
 */
public record Adaptation(
        String technique, double costs, double effort, List<TagRef> behind, List<TagRef> rematch, List<TagRef> all) {
    /** As often as this at most. */
    public static final double MOST = 3;

    private static final int TOLD = 3;
    private static final int LOOKED_AT = 8;
    private static final double TWICE = 2;
    /** Share of his tries that one action can become. */
    private static final double SHARE = 0.9;
    /** A loss below this is none, win chance. */
    private static final double LOSS = 0.0005;
    /** How often it must have been seen. */
    private static final int SEEN = 3;

    private static final double[] STEPS = {1.25, 1.5, 2, 2.5, 3};

    public Adaptation {
        behind = List.copyOf(behind);
        rematch = List.copyOf(rematch);
        all = List.copyOf(all);
    }

    /**
     * The match when he does it so many times as often.
     *
     * @param win chance with our decisions
     * @param natural win chance when we fight our own game
     * @param worths of our decisions in their order, what the win chance loses without each
     */
    public record Effect(double win, double natural, List<Double> worths) {
        public Effect {
            worths = List.copyOf(worths);
        }
    }

    /** @param factor how much more often it must be done for this decision to cost more than it brings */
    public record Break(Decision decision, double factor) {}

    /** At most three, what costs him least for what it costs us first; takes about two seconds. */
    public static List<Adaptation> of(MeetingSolution solved, Decisions decisions, LibraryIndex index) {
        Meeting.Question q = solved.meeting().question();
        Map<String, List<Exit>> known = known(solved);
        Tries tries = Tries.of(Evidence.of(index, q.them(), q.filter()), known.keySet());
        Map<String, Double> first = new TreeMap<>();
        for (ForwardPass.Leverage l : solved.flow().leverage()) {
            if (!l.exit().ours() && l.exit().technique() != null) {
                first.merge(l.exit().technique(), -l.rate10(), Double::sum);
            }
        }
        List<Decision> told = told(decisions);
        double now = effect(solved, told, Map.of()).win();
        List<Adaptation> all = new ArrayList<>();
        known.keySet().stream()
                .filter(t -> tries.all.getOrDefault(t, List.of()).size() >= SEEN)
                .sorted(Comparator.comparingDouble(t -> -first.getOrDefault(t, 0.0)))
                .limit(LOOKED_AT)
                .forEach(t -> {
                    List<Exit> exits = known.getOrDefault(t, List.of());
                    double loss = now
                            - effect(solved, told, rates(solved, exits, TWICE)).win();
                    if (loss > LOSS) {
                        all.add(new Adaptation(
                                t,
                                loss,
                                effort(solved, exits),
                                tries.behind.getOrDefault(t, List.of()),
                                tries.rematch.getOrDefault(t, List.of()),
                                tries.all.getOrDefault(t, List.of())));
                    }
                });
        return all.stream()
                .sorted(Comparator.comparing(Adaptation::unshown)
                        .thenComparingDouble(a -> -a.costs() / Math.max(1e-9, a.effort())))
                .limit(TOLD)
                .toList();
    }

    private boolean unshown() {
        return behind.isEmpty() && rematch.isEmpty();
    }

    private static List<Decision> told(Decisions decisions) {
        return decisions.valued().stream().map(Decisions.Valued::decision).toList();
    }

    /** What our decisions are worth when he does it so many times as often; takes a third of a second. */
    public Effect effect(MeetingSolution solved, Decisions decisions, double factor) {
        return effect(solved, told(decisions), rates(solved, exits(solved), factor));
    }

    /** The decision that costs more than it brings first, as he does it more and more; null when none does. */
    public @Nullable Break breaks(MeetingSolution solved, Decisions decisions) {
        List<Decision> told = told(decisions);
        for (double factor : STEPS) {
            List<Double> worths = effect(solved, decisions, factor).worths();
            int worst = -1;
            for (int i = 0; i < worths.size(); i++) {
                if (worths.get(i) < 0 && (worst < 0 || worths.get(i) < worths.get(worst))) {
                    worst = i;
                }
            }
            if (worst >= 0) {
                return new Break(told.get(worst), factor);
            }
        }
        return null;
    }

    /** What to decide when he does it so many times as often; takes some seconds. */
    public Decisions planB(MeetingSolution solved, double factor) {
        return Decisions.of(
                changed(solved, rates(solved, exits(solved), factor)).solve());
    }

    private List<Exit> exits(MeetingSolution solved) {
        return known(solved).getOrDefault(technique, List.of());
    }

    /** His ways out, by technique. */
    private static Map<String, List<Exit>> known(MeetingSolution solved) {
        Map<String, List<Exit>> all = new LinkedHashMap<>();
        for (Exit e : solved.meeting().model().exits()) {
            if (!e.ours() && e.technique() != null) {
                all.computeIfAbsent(e.technique(), k -> new ArrayList<>()).add(e);
            }
        }
        return all;
    }

    /** His rates when some ways out are taken more often; what they gain the others of the place lose. */
    private static Map<Exit.Key, Double> rates(MeetingSolution solved, List<Exit> more, double factor) {
        Map<Exit.Key, Double> rates = new LinkedHashMap<>();
        Model m = solved.meeting().model();
        for (Exit e : more) {
            double total = total(m, e.from());
            double now = Math.max(e.rate(), Math.min(factor * e.rate(), SHARE * total));
            double others = total > e.rate() ? (total - now) / (total - e.rate()) : 1;
            for (Exit o : m.exits(e.from(), false)) {
                if (o.technique() != null) {
                    rates.put(o.key(), o.key().equals(e.key()) ? now : others * o.rate());
                }
            }
        }
        return rates;
    }

    private static double total(Model m, ModelState place) {
        return m.exits(place, false).stream()
                .filter(e -> e.technique() != null)
                .mapToDouble(Exit::rate)
                .sum();
    }

    private static double effort(MeetingSolution solved, List<Exit> exits) {
        Model m = solved.meeting().model();
        double sum = 0;
        for (Exit e : exits) {
            double total = total(m, e.from());
            double now = Math.max(e.rate(), Math.min(TWICE * e.rate(), SHARE * total));
            sum += solved.flow().minutes(e.from())
                    * (Options.entropy(e.rate(), now) + Options.entropy(total - e.rate(), total - now));
        }
        return sum;
    }

    private static Meeting changed(MeetingSolution solved, Map<Exit.Key, Double> rates) {
        Meeting meeting = solved.meeting();
        Constraints w = meeting.question().wishes();
        List<Correction> all = new ArrayList<>(w.corrections().stream()
                .filter(c -> !rates.containsKey(c.exit()))
                .toList());
        rates.forEach((key, rate) -> all.add(new Correction(key, rate, null, "what if")));
        return meeting.under(
                meeting.question().settings().coarse(), new Constraints(w.barred(), w.allowed(), w.fixed(), all));
    }

    private static Effect effect(MeetingSolution solved, List<Decision> told, Map<Exit.Key, Double> rates) {
        Meeting m = changed(solved, rates);
        BackwardInduction p = new BackwardInduction(
                m.model().without(m.question().wishes().barred()), m.question().settings());
        double[] wins = DecisionSearch.leftOut(p, told, Answer.NEVER);
        List<Double> worths = new ArrayList<>();
        for (int i = 1; i < wins.length; i++) {
            worths.add(wins[0] - wins[i]);
        }
        return new Effect(wins[0], p.win(null, Answer.NEVER), worths);
    }

    /** His tries by technique: all, those while behind, those in rematches. */
    private record Tries(
            Map<String, List<TagRef>> all, Map<String, List<TagRef>> behind, Map<String, List<TagRef>> rematch) {
        static Tries of(Evidence theirs, Set<String> techniques) {
            Tries t = new Tries(new TreeMap<>(), new TreeMap<>(), new TreeMap<>());
            Set<String> met = new HashSet<>();
            // in the order of time
            for (Evidence.Seen seen : theirs.matches()) {
                boolean again = !met.add(String.valueOf(
                        seen.record().athlete(seen.corner().other()).id()));
                for (Evidence.Act act : theirs.actsIn(seen)) {
                    String technique = act.action().technique();
                    if (act.own() && techniques.contains(technique)) {
                        t.note(t.all, technique, act);
                        if (seen.facts().standing(act.action().t(), seen.corner()) < 0) {
                            t.note(t.behind, technique, act);
                        }
                        if (again) {
                            t.note(t.rematch, technique, act);
                        }
                    }
                }
            }
            return t;
        }

        private void note(Map<String, List<TagRef>> into, String technique, Evidence.Act act) {
            into.computeIfAbsent(technique, k -> new ArrayList<>()).add(act.ref());
        }
    }
}
