package farglass.scout;

import farglass.matchup.advise.Bracket;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.solve.ForwardPass;
import farglass.profile.Claim;
import farglass.profile.Profile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * What dangers and openings are worth in the meeting of two athletes that was worked out: the win chance that a tenth
 * more of an action brings, and the record of our athlete with it and against it.
 */
public final class MeetingStakes implements Stakes {
    private static final int BEST = 5;
    private static final int ANSWERED = 2;
    private static final double POINTS = 100;

    private final Known ours;
    private final String name;
    /** By technique and by family, {@code +} for ours and {@code -} for theirs before it. */
    private final Map<String, Double> worth = new TreeMap<>();

    private final List<String> best;
    private final List<String> worst;

    private MeetingStakes(Profile ours, MeetingSolution solved) {
        this.ours = new Known(ours);
        this.name = ours.name().substring(ours.name().lastIndexOf(' ') + 1);
        Map<String, Double> own = new TreeMap<>();
        Map<String, Double> theirs = new TreeMap<>();
        for (ForwardPass.Leverage l : solved.naturalFlow().leverage()) {
            String technique = l.exit().technique();
            double gain = POINTS * Bracket.gain(l);
            if (technique != null && gain > 0) {
                String sign = l.exit().ours() ? "+" : "-";
                worth.merge(sign + technique, gain, Double::sum);
                worth.merge(sign + "@" + l.exit().family(), gain, Double::sum);
                if (l.exit().ownAction()) {
                    (l.exit().ours() ? own : theirs).merge(technique, gain, Double::sum);
                }
            }
        }
        best = most(own);
        worst = most(theirs);
    }

    private static List<String> most(Map<String, Double> gains) {
        return gains.entrySet().stream()
                .sorted(Map.Entry.<String, Double>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(BEST)
                .map(Map.Entry::getKey)
                .toList();
    }

    /**
     * @param ours profile of our own athlete under the filter of the meeting
     * @param solved the meeting as both fight it when nobody plans
     */
    public static Stakes of(Profile ours, MeetingSolution solved) {
        return new MeetingStakes(ours, solved);
    }

    @Override
    public boolean set() {
        return true;
    }

    @Override
    public List<String> best() {
        return best;
    }

    @Override
    public List<String> worst() {
        return worst;
    }

    @Override
    public OptionalDouble worth(String technique, boolean theirs) {
        String sign = theirs ? "-" : "+";
        Double known = worth.getOrDefault(sign + technique, worth.get(sign + "@" + technique));
        return known == null ? OptionalDouble.empty() : OptionalDouble.of(known);
    }

    @Override
    public Optional<Sentence> answer(String technique) {
        List<Claim> answers = new ArrayList<>(ours.all("reaction.own." + technique + "."));
        answers.removeIf(c -> c.id().endsWith(".none") || c.estimate().x() < ANSWERED);
        return answers.stream()
                .max(Comparator.comparingDouble(MeetingStakes::held))
                .map(c -> {
                    long held = Math.round(c.estimate().x()) - conceded(c);
                    return new Sentence.Builder("answer." + technique)
                            .say(
                                    "answer",
                                    c,
                                    Assertion.Says.COUNTED,
                                    name,
                                    c.args().get(2),
                                    held,
                                    Known.x(c))
                            .build();
                });
    }

    /** Share of the times in which it was answered so and did not work, as if two more had gone either way. */
    private static double held(Claim c) {
        double n = c.estimate().x();
        return (n - conceded(c) + 1) / (n + 2);
    }

    private static long conceded(Claim c) {
        return Long.parseLong(c.args().get(3));
    }

    @Override
    public Optional<Sentence> own(String technique) {
        Optional<Claim> record = ours.any("technique." + technique);
        if (record.isEmpty()) {
            record = ours.all("technique.").stream()
                    .filter(c -> c.template().equals("technique." + technique))
                    .findFirst();
        }
        return record.map(c -> new Sentence.Builder("own." + technique)
                .say("own", c, Assertion.Says.COUNTED, name, c.args().get(1), Known.x(c), Known.n(c))
                .build());
    }
}
