package farglass.matchup.advise;

import farglass.lexicon.Lexicon;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region.Lead;
import farglass.matchup.solve.Region.Part;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Says decisions as a corner would. */
public final class DecisionWriter {
    /** A corner cannot call more. */
    private static final int CALLS = 6;
    /** Decisions that the idea of a plan names. */
    private static final int IDEAS = 3;
    /** Places that are named for a weapon. */
    private static final int PLACES = 2;

    private final Wording words;
    private final Lexicon lexicon;
    private final StateSpace groups;
    private final String us;
    private final String them;

    /**
     * @param us first name of our athlete
     * @param them the opponent's
     */
    public DecisionWriter(Locale locale, Lexicon lexicon, String us, String them) {
        this.words = Wording.of("farglass.matchup.advise.Decision", locale);
        this.lexicon = lexicon;
        this.groups = new StateSpace(lexicon);
        this.us = us;
        this.them = them;
    }

    private String say(String key, @Nullable Object... args) {
        return words.say(key, args);
    }

    /** "From half guard or knee shield: half guard sweep, when behind, in the last two minutes." */
    public String sentence(Decision d) {
        return words.upper(said(d, ""));
    }

    private String said(Decision d, String in) {
        String when = when(d);
        if (d.option().kind() == Option.Kind.HOLD) {
            return say("hold" + in, where(d), when.isEmpty() ? "" : say("before", when));
        }
        return say("press" + in, where(d), what(d), condition(d));
    }

    /** A few words to call out: "half guard sweep". */
    public String call(Decision d) {
        return d.option().kind() == Option.Kind.HOLD
                ? say("call.hold", name(d.places().get(0)))
                : what(d);
    }

    /** When a call is meant: "from half guard, when behind". */
    public String situation(Decision d) {
        return where(d) + condition(d);
    }

    /** At most six calls, each once, of decisions in their order. */
    public List<String> calls(List<Decision> decisions) {
        return decisions.stream().map(this::call).distinct().limit(CALLS).toList();
    }

    /** The plan in a sentence: its first decisions, joined; empty for none. */
    public String idea(Decisions d) {
        String text = d.valued().stream()
                .limit(IDEAS)
                .map(v -> said(v.decision(), ".idea"))
                .collect(Collectors.joining("; "));
        return text.isEmpty() ? "" : words.upper(text) + ".";
    }

    /**
     * What it is worth, and how sure that is.
     *
     * @param draws in which it was valued
     */
    public String worth(Decisions.Valued v, int draws) {
        return v.range() == null || v.holds() == null
                ? say("worth", words.points(v.worth()))
                : say(
                        v.sure() ? "worth.sure" : "worth.likely",
                        words.points(v.worth()),
                        words.points(v.range().lo()),
                        words.points(v.range().hi()),
                        Math.round(v.holds() * draws),
                        draws);
    }

    /** What all of them carry of the whole: "These 4 carry 0.7 of the plan's 0.8 points." */
    public String carried(Decisions d) {
        return d.valued().isEmpty()
                ? say("none", them)
                : say("carried", d.valued().size(), words.points(d.carried()), words.points(d.whole()));
    }

    /** Both records with what is done: "Ansa 7 of 12; others 9 of 31 against Brisa"; empty for keeping what is. */
    public String evidence(Decision d, Meeting meeting) {
        double[] sums = new double[4];
        for (Exit e : d.exits(meeting.model())) {
            sums[0] += e.basis().worked();
            sums[1] += e.basis().decided();
            double[] faced = meeting.faced(e.from(), true, String.valueOf(e.technique()));
            sums[2] += faced[0];
            sums[3] += faced[1];
        }
        if (d.option().kind() == Option.Kind.HOLD) {
            return say("evidence.hold", them);
        }
        return say(
                whole(sums[3]) == 0 ? "evidence.alone" : "evidence",
                us,
                whole(sums[0]),
                whole(sums[1]),
                whole(sums[2]),
                whole(sums[3]),
                them);
    }

    /** "Under Brisa's mount: Brisa is there 11% of the time, others 4%; being there costs 14.1 points." */
    public String refusal(Refusal r) {
        return place(r) + ": " + reached(r);
    }

    /** How often they get there, and what it costs. */
    public String reached(Refusal r) {
        return say("refuse", them, words.percent(r.share()), words.percent(r.usual()), words.points(-r.worth()));
    }

    /** "Triangle from closed guard: 5 of 37 worked; more than others: costs 2.1 points." */
    public String weapon(Weapon w) {
        return threat(w) + ": " + record(w);
    }

    /** How often it worked, and what it costs. */
    public String record(Weapon w) {
        return say(
                "weapon",
                whole(w.worked()),
                whole(w.decided()),
                words.points(w.costs()),
                words.points(w.tenth()),
                w.tags().size());
    }

    /** The same in a few words: "triangle from closed guard". */
    public String threat(Weapon w) {
        return words.upper(say("threat", String.valueOf(lexicon.techniqueName(w.technique())), words.list(from(w))));
    }

    /** The place alone: "Under Brisa's mount". */
    public String place(Refusal r) {
        return words.upper(spot(r.place()));
    }

    /** A place as a heading: "In Brisa's half guard". */
    public String place(ModelState p) {
        return words.upper(spot(p));
    }

    private List<String> from(Weapon w) {
        return w.exits().stream()
                .filter(e -> !e.basis().tags().isEmpty())
                .map(e -> name(e.from()))
                .distinct()
                .limit(PLACES)
                .toList();
    }

    /** A place as a sentence names it: "from half guard", "under Brisa's mount". */
    public String spot(ModelState p) {
        boolean below = p.standing() < 0 && groups.guard(p.group()) && !groups.passing(p.group());
        return say("spot." + (below ? "below" : kind(p, false)), name(p), them);
    }

    private static long whole(double x) {
        return Math.round(x);
    }

    private String name(ModelState p) {
        return String.valueOf(lexicon.positionName(p.group()));
    }

    private String what(Decision d) {
        return lexicon.techniqueName(String.valueOf(d.option().technique()));
    }

    /** Places, those of a kind together: "from half guard or knee shield, in Brisa's closed guard". */
    private String where(Decision d) {
        Map<String, List<String>> kinds = new LinkedHashMap<>();
        boolean hold = d.option().kind() == Option.Kind.HOLD;
        for (ModelState p : d.places()) {
            kinds.computeIfAbsent(kind(p, hold), k -> new ArrayList<>()).add(name(p));
        }
        return kinds.entrySet().stream()
                .map(e -> say("spot." + e.getKey(), words.list(e.getValue()), them))
                .collect(Collectors.joining(say("and")));
    }

    private String kind(ModelState p, boolean hold) {
        boolean guard = groups.guard(p.group()) && !groups.passing(p.group());
        if (p.standing() == 0) {
            return p.equals(ModelState.START) ? "standing" : "there";
        }
        if (hold && p.standing() < 0 == guard) {
            return guard ? "below" : "there";
        }
        if (guard) {
            return p.standing() < 0 ? "from" : "guard";
        }
        return p.standing() > 0 ? "from" : "under";
    }

    /** The score and time that it is meant for, with a comma before; empty for any. */
    String condition(Decision d) {
        String when = when(d);
        return when.isEmpty() ? "" : say("with", when);
    }

    private String when(Decision d) {
        Stream<String> lead = d.atAnyScore() ? Stream.of() : Stream.of(say("lead." + leads(d.leads())));
        Stream<String> part = d.atAnyTime() ? Stream.of() : Stream.of(say("part." + parts(d.parts())));
        return Stream.concat(lead, part).collect(Collectors.joining(", "));
    }

    private static String leads(Set<Lead> leads) {
        return Stream.of(Lead.values()).filter(leads::contains).map(Lead::name).collect(Collectors.joining("."));
    }

    private static String parts(Set<Part> parts) {
        return Stream.of(Part.values()).filter(parts::contains).map(Part::name).collect(Collectors.joining("."));
    }
}
