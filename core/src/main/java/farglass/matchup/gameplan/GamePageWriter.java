package farglass.matchup.gameplan;

import farglass.lexicon.Lexicon;
import farglass.matchup.advise.Decision;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Decisions;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.OwnPlan;
import farglass.matchup.advise.OwnPlanWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.advise.Refusal;
import farglass.matchup.advise.Wording;
import farglass.matchup.gameplan.GamePage.Heading;
import farglass.matchup.gameplan.GamePage.Line;
import farglass.matchup.gameplan.GamePage.Part;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Lays the page of a corner out of the decisions and the film. */
public final class GamePageWriter {
    /** Sentences of how sure it is. */
    private static final int SURE = 2;

    private final Wording words;
    private final GameWriter game;
    private final MeetingWriter meeting;
    private final DecisionWriter decisions;
    private final OwnPlanWriter own;
    private final PhaseWriter phases;
    private final String us;

    /**
     * @param us first name of our athlete
     * @param them the opponent's
     */
    public GamePageWriter(Locale locale, Lexicon lexicon, String us, String them) {
        this.words = Wording.of("farglass.matchup.gameplan.Game", locale);
        this.game = new GameWriter(locale, lexicon, us, them);
        this.meeting = new MeetingWriter(locale, lexicon, us, them);
        this.decisions = meeting.decisions();
        this.own = meeting.own();
        this.phases = new PhaseWriter(locale, lexicon, us, them);
        this.us = us;
    }

    /** The drawing alone, which stands on the page too. */
    public PhaseText drawing(GamePlan g) {
        return phases.text(g.phases());
    }

    /** The page of the computed decisions. */
    public GamePage page(Proposal p, GamePlan g) {
        return page(p, g, null, List.of());
    }

    /**
     * The page.
     *
     * @param laid the coach's own plan, which stands in place of the computed decisions; null without one
     * @param called the corner's own calls, which stand in place of the computed ones; empty for those
     */
    public GamePage page(Proposal p, GamePlan g, @Nullable OwnPlan laid, List<Call> called) {
        List<Part> parts = new ArrayList<>();
        add(parts, Heading.IDEA, idea(p, laid));
        add(parts, Heading.START, start(p, g));
        boolean ours = laid != null && laid.valued().stream().anyMatch(v -> v.worth() != null);
        add(parts, Heading.DECISIONS, ours && laid != null ? laid(p, laid) : computed(p, true));
        Meeting m = p.solved().meeting();
        add(
                parts,
                Heading.WANTED,
                g.wanted().stream()
                        .map(w -> new Line(game.place(w), game.wanted(w, m), w.tags()))
                        .toList());
        add(
                parts,
                Heading.WEAPONS,
                g.threats().stream()
                        .map(t -> new Line(
                                decisions.threat(t.weapon()),
                                Stream.concat(Stream.of(decisions.record(t.weapon())), game.threat(t).stream())
                                        .toList(),
                                t.tags()))
                        .toList());
        add(
                parts,
                Heading.REFUSE,
                p.refuse().isEmpty()
                        ? List.of(Line.of(words.say("refuse.none")))
                        : p.refuse().stream().map(r -> refused(p, g, r)).toList());
        add(parts, Heading.SCORE, ours ? List.of() : computed(p, false));
        add(
                parts,
                Heading.CALLS,
                (called.isEmpty() ? calls(p, ours ? laid : null) : called)
                        .stream()
                                .map(c -> new Line(
                                        c.words(),
                                        c.situation().isBlank() ? List.of() : List.of(words.upper(c.situation())),
                                        List.of()))
                                .toList());
        add(parts, Heading.SURE, sure(p));
        add(
                parts,
                Heading.LEARN,
                p.worthLearning().stream()
                        .limit(1)
                        .map(l -> Line.of(meeting.learn(l)))
                        .toList());
        return new GamePage(parts, drawing(g));
    }

    /** A place that is not accepted; where a decision is about being there, it says what to do then. */
    private Line refused(Proposal p, GamePlan g, Refusal r) {
        Stream<String> once = p.decisions().valued().stream()
                .map(Decisions.Valued::decision)
                .filter(d -> d.places().contains(r.place()))
                .map(d -> words.say("refuse.once", decisions.call(d)));
        return new Line(
                decisions.place(r),
                Stream.concat(Stream.of(decisions.reached(r)), once).toList(),
                g.stays().getOrDefault(r.place(), List.of()));
    }

    private void add(List<Part> parts, Heading heading, List<Line> lines) {
        if (!lines.isEmpty()) {
            parts.add(new Part(heading, words.say("heading." + heading), lines));
        }
    }

    /** The whole of it as one line, with all tags that it rests on. */
    private List<Line> start(Proposal p, GamePlan g) {
        List<String> said = game.start(g, p.opening());
        Stream<TagRef> left = p.opening().stream().flatMap(c -> c.tags().stream());
        List<TagRef> tags = Stream.of(left, g.theirs().tags().stream(), g.ours().tags().stream())
                .flatMap(t -> t)
                .distinct()
                .toList();
        return List.of(new Line(said.get(0), said.subList(1, said.size()), tags));
    }

    private List<Line> idea(Proposal p, @Nullable OwnPlan laid) {
        String idea = decisions.idea(p.decisions());
        return laid != null || idea.isEmpty() ? List.of() : List.of(Line.of(idea));
    }

    /** @param always those that hold at any score and time; else those that do not */
    private List<Line> computed(Proposal p, boolean always) {
        Decisions d = p.decisions();
        List<Line> lines = new ArrayList<>();
        if (always) {
            lines.add(Line.of(decisions.carried(d)));
        }
        Meeting m = p.solved().meeting();
        for (Decisions.Valued v : d.valued()) {
            Decision x = v.decision();
            if (always == (x.atAnyScore() && x.atAnyTime())) {
                lines.add(new Line(
                        decisions.sentence(x),
                        List.of(decisions.worth(v, d.draws()) + ".", decisions.evidence(x, m)),
                        x.tags(m.model()),
                        v.holds() != null && !v.sure()));
            }
        }
        return lines;
    }

    private List<Line> laid(Proposal p, OwnPlan laid) {
        List<Line> lines = new ArrayList<>(List.of(Line.of(own.compared(laid))));
        laid.valued()
                .forEach(v -> lines.add(new Line(
                        own.sentence(v.intent()),
                        List.of(own.worth(v, laid.draws())),
                        v.intent().tags(p.solved().meeting().model()))));
        return lines;
    }

    /** What the corner may call, as computed: the plan's decisions in a few words each, each once. */
    public List<Call> calls(Proposal p, @Nullable OwnPlan laid) {
        Stream<Decision> all = laid == null
                ? p.decisions().valued().stream().map(Decisions.Valued::decision)
                : laid.valued().stream().flatMap(v -> v.intent().decisions().stream());
        Map<String, Call> calls = new LinkedHashMap<>();
        all.forEach(d -> calls.putIfAbsent(decisions.call(d), new Call(decisions.situation(d), decisions.call(d))));
        return calls.values().stream().limit(Call.MOST).toList();
    }

    private List<Line> sure(Proposal p) {
        Stream<String> first = p.uncertainty() == null
                ? Stream.of()
                : Stream.of(words.say(
                        "sure",
                        us,
                        words.percent(p.uncertainty().planned().mean()),
                        words.percent(p.uncertainty().planned().lo()),
                        words.percent(p.uncertainty().planned().hi())));
        Stream<String> rests = meeting.assumptions(p).stream().limit(SURE);
        Stream<String> next = p.needs().stream().limit(SURE).map(meeting::need);
        return Stream.of(first, rests, next).flatMap(s -> s).map(Line::of).toList();
    }
}
