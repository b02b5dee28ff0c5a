package farglass.drill;

import static java.util.Objects.requireNonNull;

import farglass.match.Side;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.tendency.Reactions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** Drills from real clips of an opponent: what he answers to an attempt, and to which side he begins his own. */
public final class Drills {
    private static final int CHOICES = 4;
    private static final Set<String> ATTACKS = Set.of("takedown", "sweep", "pass", "back-take", "submission");
    private static final int TRIGGERS = 100;
    private static final long SEED = 1;

    private Drills() {}

    /**
     * @param them what film shows of the opponent; only matches with film are asked about
     * @param wanted techniques that the plan depends on; drills about them come first
     */
    public static List<Drill> of(Evidence them, Set<String> wanted) {
        List<Drill> drills = new ArrayList<>();
        Set<String> filmed = new LinkedHashSet<>();
        for (Evidence.Seen s : them.matches()) {
            if (!s.record().films().isEmpty()) {
                filmed.add(s.record().id());
            }
        }
        List<Reactions.Row> rows = Reactions.of(them, true, TRIGGERS, SEED);
        for (Reactions.Row row : rows) {
            List<String> choices = choices(row, rows);
            for (Reactions.Answer a : row.answers()) {
                for (Trial t : a.trials()) {
                    if (t.worked() && filmed.contains(t.tag().match()) && choices.contains(a.answer())) {
                        drills.add(new Drill(
                                id("answer", t.tag()),
                                Drill.Kind.ANSWER,
                                t.tag(),
                                t.t(),
                                row.trigger(),
                                a.answer(),
                                choices));
                    }
                }
            }
        }
        for (Evidence.Act act : them.ownAttempts(a -> Evidence.sided(a.firstSide()))) {
            if (filmed.contains(act.seen().record().id())) {
                drills.add(new Drill(
                        id("side", act.ref()),
                        Drill.Kind.SIDE,
                        act.ref(),
                        act.action().t(),
                        act.action().technique(),
                        requireNonNull(act.action().firstSide()).code(),
                        List.of(Side.LEFT.code(), Side.RIGHT.code())));
            }
        }
        drills.addAll(openings(them, filmed));
        drills.sort(Comparator.comparing((Drill d) -> !wanted.contains(d.trigger())));
        return List.copyOf(drills);
    }

    /** What worked against the opponent; the other choices are what is tried against him most. */
    private static List<Drill> openings(Evidence them, Set<String> filmed) {
        List<Evidence.Act> tried = them.acts(a -> !a.own() && ATTACKS.contains(a.family()));
        Map<String, Integer> counts = new TreeMap<>();
        tried.forEach(a -> counts.merge(a.action().technique(), 1, Integer::sum));
        List<String> usual = counts.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .map(Map.Entry::getKey)
                .toList();
        List<Drill> drills = new ArrayList<>();
        for (Evidence.Act a : tried) {
            if (!a.action().completed() || !filmed.contains(a.seen().record().id()) || usual.size() < 2) {
                continue;
            }
            Set<String> choices = new LinkedHashSet<>(List.of(a.action().technique()));
            usual.forEach(u -> add(choices, u));
            drills.add(new Drill(
                    id("opening", a.ref()),
                    Drill.Kind.OPENING,
                    a.ref(),
                    a.action().t(),
                    a.action().technique(),
                    a.action().technique(),
                    choices.stream().sorted().toList()));
        }
        return drills;
    }

    private static String id(String kind, TagRef tag) {
        return kind + ":" + tag.match() + "#" + tag.tag();
    }

    /** The most frequent answers to a trigger, filled up with answers to others, in the order of their names. */
    private static List<String> choices(Reactions.Row row, List<Reactions.Row> all) {
        Set<String> found = new LinkedHashSet<>();
        row.answers().forEach(a -> add(found, a.answer()));
        for (Reactions.Row other : all) {
            other.answers().forEach(a -> add(found, a.answer()));
        }
        return found.stream().sorted().toList();
    }

    private static void add(Set<String> found, String answer) {
        if (found.size() < CHOICES) {
            found.add(answer);
        }
    }
}
