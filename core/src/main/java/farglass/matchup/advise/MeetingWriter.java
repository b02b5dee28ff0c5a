package farglass.matchup.advise;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.matchup.fit.KnownGame;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.matchup.model.Tempo;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Grid;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region;
import farglass.matchup.solve.SolverSettings;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Puts places, options, advice and what a plan rests on into words of one language. */
public final class MeetingWriter {
    /** Tries below which a plan may not rest on an action of ours without saying so. */
    private static final int CAPABLE = 3;

    private final ResourceBundle words;
    private final Locale locale;
    private final Lexicon lexicon;
    private final StateSpace groups;
    private final String us;
    private final String them;

    /**
     * @param us name of our athlete as it is to be said, usually the first name
     * @param them the opponent's
     */
    public MeetingWriter(Locale locale, Lexicon lexicon, String us, String them) {
        this.words = ResourceBundle.getBundle("farglass.matchup.advise.Meeting", locale);
        this.locale = locale;
        this.lexicon = lexicon;
        this.groups = new StateSpace(lexicon);
        this.us = us;
        this.them = them;
    }

    /** Words for decisions with the same names. */
    public DecisionWriter decisions() {
        return new DecisionWriter(locale, lexicon, us, them);
    }

    /** Words for a plan of our own with the same names. */
    public OwnPlanWriter own() {
        return new OwnPlanWriter(locale, lexicon, us, them);
    }

    /** Reads a coach's sentences against the same opponent. */
    public IntentReader reader(MeetingSolution solved) {
        return new IntentReader(solved, locale, lexicon, them);
    }

    private String say(String key, @Nullable Object... args) {
        return new MessageFormat(words.getString(key), locale).format(args);
    }

    /** Whole percent. */
    public String percent(double share) {
        return Math.round(100 * share) + "%";
    }

    /** "wins 37 %". */
    public String value(double chance) {
        return say("value", percent(chance));
    }

    /** Points of win chance with their sign, one decimal. */
    public String gain(double share) {
        return String.format(locale, "%+.1f", 100 * share);
    }

    /** A state in words. */
    public String place(ModelState p) {
        String name = lexicon.positionName(p.group());
        if (p.standing() == 0) {
            return name;
        }
        boolean guard = groups.guard(p.group()) && !groups.passing(p.group());
        String who = p.standing() > 0 == guard ? them : us;
        return say(guard ? "place.guard" : "place.ahead", name, who);
    }

    /** The displayed name of a technique. */
    public String technique(String code) {
        return lexicon.techniqueName(code);
    }

    /** What to do, in words. */
    public String option(Option o) {
        return o.kind() == Option.Kind.PRESS
                ? say("option.press", technique(requireNonNull(o.technique())))
                : say("option." + o.kind());
    }

    /** First name of ours or of the opponent. */
    public String name(boolean ours) {
        return ours ? us : them;
    }

    /** In words, what a figure rests on. */
    public String source(Exit e) {
        return say(
                "source." + e.source(),
                round(e.basis().tries()),
                round(e.basis().minutes()),
                name(e.ours()));
    }

    /** "Brisa's triangle from Brisa's closed guard". */
    public String exit(Exit e) {
        return say("exit", name(e.ours()), technique(requireNonNull(e.technique())), place(e.from()));
    }

    /** What would have to be learnt first, and what it would bring. */
    public String learn(ForwardPass.Leverage l) {
        return say(
                "learn",
                exit(l.exit()),
                l.exit().basis().tags().size(),
                String.format(locale, "%.1f", 100 * l.rate10()));
    }

    private String round(double x) {
        return String.format(locale, x < 10 ? "%.1f" : "%.0f", x);
    }

    /** What led to a place of the tree. */
    public String way(Proposal.Node n) {
        if (n.ours() == null) {
            return n.technique() == null && n.chance() >= 1 ? say("tree.start") : say("tree.drift");
        }
        String key = n.won() == null ? "tree.way" : "tree.finish";
        return say(key, name(n.ours()), technique(requireNonNull(n.technique())));
    }

    /**
     * "Ansa 3 of 7, others 2 of 9 against Brisa"; says so when our athlete has hardly ever done it.
     *
     * @param faced what others did against the one who has to stop it: worked, decided
     */
    public String evidence(Proposal.Node n, double[] faced) {
        Exit.Basis b = requireNonNull(n.basis());
        boolean ours = requireNonNull(n.ours());
        String record = say(
                "evidence",
                name(ours),
                whole(b.worked()),
                whole(b.decided()),
                name(!ours),
                whole(faced[0]),
                whole(faced[1]));
        boolean unproven = ours && b.tags().size() < CAPABLE;
        return unproven ? say("unproven", record, b.tags().size()) : record;
    }

    /** Whether they must expect it. */
    public String expectation(KnownGame.Seen s) {
        return say("expectation." + s.expectation(), s.tries(), s.matches());
    }

    /** A sum of match weights as a count that can be read. */
    private String whole(double x) {
        return Long.toString(Math.round(x));
    }

    /** Advice by score and clock as one sentence. */
    public String guide(Proposal.Guide g) {
        String when = when(g.regions());
        return say("guide", place(g.place()), option(g.option()), when);
    }

    /** At any score and time, or the leads and parts of the match that are meant. */
    private String when(List<Region> regions) {
        Set<Region.Lead> leads = EnumSet.noneOf(Region.Lead.class);
        Set<Region.Part> parts = EnumSet.noneOf(Region.Part.class);
        regions.forEach(r -> {
            leads.add(r.lead());
            parts.add(r.part());
        });
        String lead = leads.size() == Region.Lead.values().length ? say("lead.any") : join(leads, "lead.");
        String part = parts.size() == Region.Part.values().length ? say("part.any") : join(parts, "part.");
        return say("when", lead, part);
    }

    private <E extends Enum<E>> String join(Set<E> set, String prefix) {
        return String.join(
                say("or"), set.stream().map(e -> say(prefix + e.name())).toList());
    }

    /** A forecast as one sentence. */
    public String forecast(Proposal.Forecast f) {
        return say("forecast." + f.what(), us, them, f.place() == null ? "" : place(ModelState.ofKey(f.place())));
    }

    /** How a match ends, in words. */
    public String ending(String key) {
        return say("ending." + key.replace(':', '.'), us, them);
    }

    /** What should be tagged next, and why. */
    public String need(Proposal.Need n) {
        return say("need", exit(n.exit()), source(n.exit()), gain(n.sway()).substring(1));
    }

    /** What a plan takes for granted, weakest points first. */
    public List<String> assumptions(Proposal p) {
        Meeting m = p.solved().meeting();
        SolverSettings s = m.question().settings();
        List<String> list = new ArrayList<>();
        list.add(say("assume.matches", us, m.matches(true), them, m.matches(false)));
        long lent = p.leverage().stream()
                .filter(l ->
                        l.exit().source() == Exit.Source.LIBRARY || l.exit().source() == Exit.Source.FAMILY)
                .count();
        if (lent > 0) {
            list.add(say("assume.lent", lent, p.leverage().size()));
        }
        if (p.uncertainty() != null) {
            long back = p.uncertainty().advice().stream().filter(a -> !a.kept()).count();
            list.add(say("assume.back", p.uncertainty().advice().size(), back, Uncertainty.SOLVED));
        }
        list.add(say(
                "assume.press",
                round(100 * (s.pressFactor() - 1)),
                percent(1 - s.holdOwnFactor()),
                percent(1 - s.holdOtherFactor()),
                percent(s.extraSuccess())));
        list.add(say("assume.answer", them, percent(p.solved().answered().win())));
        if (!m.question().wishes().corrections().isEmpty()) {
            list.add(say("assume.corrected", m.question().wishes().corrections().size()));
        }
        if (!m.forbidden().isEmpty()) {
            list.add(say("assume.forbidden", String.join(", ", m.forbidden())));
        }
        if (p.solved().flow().clipped() > 0.02) {
            list.add(say("assume.clipped", percent(p.solved().flow().clipped()), Grid.MOST_POINTS));
        }
        list.add(tempo(m.model()));
        list.add(say("assume.memory"));
        return list;
    }

    /** How rates change with time and score, and how much of the game has film enough to tell. */
    String tempo(Model m) {
        Tempo t = m.tempo();
        long families = m.exits().stream()
                .filter(e -> e.technique() != null)
                .map(Exit::family)
                .distinct()
                .count();
        if (t.factors(true).isEmpty()) {
            return say("tempo.even");
        }
        int first = Tempo.moment(0, 0);
        int last = Tempo.moment(2, 0);
        long untold = families - t.factors(true).size();
        List<String> late = List.of(percent(t.ratio(true, last, first)), percent(t.ratio(false, last, first)));
        List<String> behind = List.of(
                percent(t.ratio(true, Tempo.moment(1, -1), Tempo.moment(1, 0))),
                percent(t.ratio(false, Tempo.moment(1, 1), Tempo.moment(1, 0))));
        boolean counts = m.rules().counts();
        List<String> same = List.of(percent(1), percent(1));
        if (late.equals(same) && (!counts || behind.equals(same))) {
            return say(counts ? "tempo.same.score" : "tempo.same", us, them, untold, families);
        }
        return say(
                "tempo",
                say("tempo.late", us, late.get(0), them, late.get(1)),
                counts ? say("tempo.score", us, behind.get(0), them, behind.get(1)) : "",
                untold,
                families);
    }

    /** Why there is no plan, and what would help. */
    public String missing(Meeting m) {
        return say("missing", us, m.matches(true), them, m.matches(false), Meeting.LEAST_MATCHES);
    }
}
