package farglass.store.json;

import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.advise.Uncertainty;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.Tempo;
import farglass.matchup.solve.ForwardPass;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region;
import farglass.matchup.solve.Solution;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** A computed plan as an open document ({@code farglass.plan/1}). */
public final class ProposalJson {
    static final String FORMAT = "farglass.plan/1";
    /** Its name in documents of before. */
    static final String OLD_FORMAT = "farglass.proposal/1";

    private static final int LOWEST_SCORE = -7;
    private static final long ROW_MS = 30_000;

    private final Proposal proposal;
    private final MeetingSolution solved;
    private final MeetingWriter writer;
    private final DecisionWriter decided;

    /** A computed plan with the words for it. */
    public ProposalJson(Proposal proposal, MeetingWriter writer) {
        this.proposal = proposal;
        this.solved = proposal.solved();
        this.writer = writer;
        this.decided = writer.decisions();
    }

    /** The document as maps and lists; the seed is noted in it. */
    public Map<String, Object> document(long seed) {
        Meeting.Question q = solved.meeting().question();
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("format", FORMAT);
        m.put("us", q.us());
        m.put("them", q.them());
        m.put("asOf", q.asOf() == null ? null : q.asOf().toString());
        m.put("ruleset", q.rules().code());
        m.put("attire", q.filter().attire());
        m.put(
                "matches",
                Row.of(
                        "us",
                        solved.meeting().matches(true),
                        "them",
                        solved.meeting().matches(false)));
        m.put("seed", seed);
        m.put("emphasis", q.settings().emphasis());
        m.put(
                "settings",
                Row.of(
                        "b",
                        q.settings().pressFactor(),
                        "h1",
                        q.settings().holdOwnFactor(),
                        "h2",
                        q.settings().holdOtherFactor(),
                        "elasticity",
                        q.settings().extraSuccess()));
        Uncertainty u = proposal.uncertainty();
        Tempo tempo = solved.meeting().model().tempo();
        m.put("tempo", Row.of("us", tempo.factors(true), "them", tempo.factors(false)));
        m.put("natural", win(solved.natural().win(), u == null ? null : u.natural()));
        m.put("planned", win(solved.planned().win(), u == null ? null : u.planned()));
        m.put(
                "gain",
                u == null
                        ? null
                        : Row.of(
                                "mean",
                                u.gain().mean(),
                                "lo",
                                u.gain().lo(),
                                "hi",
                                u.gain().hi()));
        m.put("answered", Row.of("win", solved.answered().win()));
        m.put("cautious", Row.of("win", solved.cautious()));
        Map<String, Object> endings = new TreeMap<>();
        solved.flow().endings().forEach((e, share) -> endings.put(e.code(), share));
        m.put("endings", endings);
        m.put("clipped", solved.flow().clipped());
        m.put("timeInState", time());
        m.put("policy", policy());
        DecisionsJson decisions = new DecisionsJson(proposal, decided);
        m.put("idea", decided.idea(proposal.decisions()));
        m.put("decisions", decisions.rows());
        m.put("carried", decisions.carried());
        m.put("calls", decisions.calls());
        m.put("refuse", decisions.refuse());
        m.put("weapons", decisions.weapons());
        m.put("tree", node(proposal.root()));
        m.put("leverage", proposal.leverage().stream().map(this::leverage).toList());
        m.put(
                "worthLearning",
                proposal.worthLearning().stream().map(this::leverage).toList());
        m.put("seek", proposal.seek().stream().map(this::worth).toList());
        m.put("avoid", proposal.avoid().stream().map(this::worth).toList());
        m.put("guide", proposal.guide().stream().map(this::guide).toList());
        m.put("assumptions", writer.assumptions(proposal));
        m.put("needs", proposal.needs().stream().map(writer::need).toList());
        m.put(
                "forecasts",
                proposal.forecasts().stream()
                        .map(f -> Row.of("claim", writer.forecast(f), "what", f.what(), "state", f.place(), "p", f.p()))
                        .toList());
        return m;
    }

    /** The mean over draws is what is promised; without draws the best single figure, with no interval. */
    private static Map<String, Object> win(double best, Uncertainty.@Nullable Range range) {
        return range == null
                ? Row.of("win", best, "lo", null, "hi", null)
                : Row.of("win", range.mean(), "lo", range.lo(), "hi", range.hi(), "best", best);
    }

    private List<Object> time() {
        List<Object> rows = new ArrayList<>();
        for (ModelState p : solved.flow().states()) {
            double minutes = solved.flow().minutes(p);
            if (minutes > 0) {
                rows.add(Row.of(
                        "state",
                        p.key(),
                        "minutes",
                        minutes,
                        "natural",
                        solved.naturalFlow().minutes(p)));
            }
        }
        return rows;
    }

    /** Stretches of time and score in which the same is done; with no advantage either way. */
    private List<Object> policy() {
        Solution s = solved.planned();
        List<Object> rows = new ArrayList<>();
        long end = s.programme().model().horizonMs();
        boolean counts = s.programme().model().rules().counts();
        for (ModelState p : s.programme().model().states()) {
            for (int score = counts ? LOWEST_SCORE : 0; score <= (counts ? -LOWEST_SCORE : 0); score++) {
                for (long ms = 0; ms < end; ) {
                    Option o = s.option(p, ms, score, 0);
                    long until = ms + ROW_MS;
                    while (until < end && s.option(p, until, score, 0).equals(o)) {
                        until += ROW_MS;
                    }
                    until = Math.min(until, end);
                    if (!o.equals(Option.NATURAL)) {
                        rows.add(Row.of(
                                "state",
                                p.key(),
                                "scoreFrom",
                                score,
                                "scoreTo",
                                score,
                                "leftFromMs",
                                end - ms,
                                "leftToMs",
                                end - until,
                                "option",
                                o.key(),
                                "stays",
                                stays(p, o, score, ms, end)));
                    }
                    ms = until;
                }
            }
        }
        return rows;
    }

    private @Nullable Double stays(ModelState p, Option o, int score, long ms, long end) {
        if (proposal.uncertainty() == null) {
            return null;
        }
        Region.Part part =
                ms >= end - Region.LAST_MS ? Region.Part.LAST : ms < end / 2 ? Region.Part.FIRST : Region.Part.SECOND;
        Region r = new Region(Region.Lead.of(score, 0), part);
        return proposal.uncertainty().advice().stream()
                .filter(a -> a.choice().place().equals(p)
                        && a.choice().option().equals(o)
                        && a.choice().region().equals(r))
                .map(Uncertainty.Advice::stays)
                .findFirst()
                .orElse(null);
    }

    private Map<String, Object> node(Proposal.Node n) {
        return Row.of(
                "state", n.place().key(),
                "place", writer.place(n.place()),
                "by", writer.way(n),
                "actor", n.ours() == null ? null : n.ours() ? "us" : "them",
                "technique", n.technique(),
                "chance", n.chance(),
                "won", n.won(),
                "value", n.value(),
                "points", n.points(),
                "option", n.option().key(),
                "tries", n.basis().tries(),
                "tags",
                        n.basis().tags().stream()
                                .map(t -> t.match() + "#" + t.tag())
                                .toList(),
                "next", n.next().stream().map(this::node).toList());
    }

    private Map<String, Object> leverage(ForwardPass.Leverage l) {
        Exit e = l.exit();
        return Row.of(
                "state", e.from().key(),
                "exit", e.technique(),
                "actor", e.ours() ? "us" : "them",
                "gain10", l.rate10(),
                "chance10", l.chance10(),
                "rate", e.rate(),
                "chance", e.chance(),
                "source", writer.source(e));
    }

    private Map<String, Object> worth(Proposal.Worth w) {
        return Row.of(
                "state", w.place().key(), "place", writer.place(w.place()), "worth", w.worth(), "minutes", w.minutes());
    }

    private Map<String, Object> guide(Proposal.Guide g) {
        return Row.of("text", writer.guide(g), "stays", g.stays(), "helps", g.helps());
    }
}
