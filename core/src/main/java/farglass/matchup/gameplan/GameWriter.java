package farglass.matchup.gameplan;

import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.OpeningChoice;
import farglass.matchup.advise.Wording;
import farglass.matchup.model.Exit;
import farglass.matchup.model.StateSpace;
import farglass.tendency.Opening;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Says the page of a corner in the words of the sport. */
public final class GameWriter {
    /** Tries of an athlete below which a record says that it is thin. */
    private static final int THIN = 5;

    /** How long a stay lasts is said where film shows at least so many minutes, and to ten seconds. */
    private static final double FILMED = 2;

    private static final int TEN = 10;
    /** What is longer rests on next to nothing. */
    private static final int LONG_SECONDS = 180;

    private final Wording words;
    private final Lexicon lexicon;
    private final StateSpace groups;
    private final DecisionWriter decisions;
    private final String us;
    private final String them;

    /**
     * @param us first name of our athlete
     * @param them the opponent's
     */
    public GameWriter(Locale locale, Lexicon lexicon, String us, String them) {
        this.words = Wording.of("farglass.matchup.gameplan.Game", locale);
        this.lexicon = lexicon;
        this.groups = new StateSpace(lexicon);
        this.decisions = new DecisionWriter(locale, lexicon, us, them);
        this.us = us;
        this.them = them;
    }

    /** How the match may begin: what we do better not to, what they do first, their grip and stance, then ours. */
    public List<String> start(GamePlan g, Optional<OpeningChoice> choice) {
        List<String> all = new ArrayList<>();
        choice.ifPresent(c -> all.add(words.say("start.without." + c.family(), us) + " " + worth(c)));
        begins(all, g.theirs(), them, "deny");
        begins(all, g.ours(), us, "take");
        // more of it may be better than to wait, and something else in its place better still
        g.opening()
                .filter(e -> choice.stream().noneMatch(c -> c.family().equals(e.family())))
                .ifPresent(e -> all.add(words.say(
                        "start.best",
                        us,
                        technique(e),
                        record(e.basis().worked(), e.basis().decided()))));
        return all;
    }

    private String worth(OpeningChoice c) {
        return c.range() == null || c.holds() == null
                ? words.say("start.worth", words.points(c.worth()), c.tags().size())
                : words.say(
                        "start.worth.drawn",
                        words.points(c.worth()),
                        words.points(c.range().lo()),
                        words.points(c.range().hi()),
                        Math.round(c.holds() * c.draws()),
                        c.draws());
    }

    private void begins(List<String> all, Beginning b, String who, String grip) {
        if (b.matches() == 0) {
            all.add(words.say("start.unseen", who));
        } else {
            all.add(words.say(
                    "start",
                    who,
                    b.times(Opening.PULL),
                    b.times(Opening.TAKEDOWN),
                    b.times(Opening.OTHER),
                    b.matches()));
        }
        b.grip().ifPresent(c -> all.add(words.say("start.grip." + grip, who, name(c.code()), c.times(), c.of())));
        b.stance().ifPresent(c -> all.add(words.say("start.stance", who, name(c.code()), c.times(), c.of())));
    }

    /** "In Brisa's half guard", "Side control". */
    public String place(Wanted w) {
        boolean guard =
                groups.guard(w.place().group()) && !groups.passing(w.place().group());
        return w.place().standing() > 0 && !guard
                ? words.upper(String.valueOf(lexicon.positionName(w.place().group())))
                : decisions.place(w.place());
    }

    /** What is usual there, how we get there and what from there; a sentence each. */
    public List<String> wanted(Wanted w, Meeting meeting) {
        List<String> all = new ArrayList<>();
        all.add(words.say(
                meeting.question().rules().counts() ? "wanted" : "wanted.finishes",
                words.points(w.worth()),
                us,
                one(w.ours().points()),
                one(w.theirs().points()),
                them,
                two(w.ours().finishes()),
                two(w.theirs().finishes())));
        if (meeting.minutes(w.place(), true) >= FILMED && w.staySeconds() < LONG_SECONDS) {
            all.add(words.say("wanted.stay", TEN * Math.max(1, Math.round(w.staySeconds() / TEN))));
        }
        w.answer()
                .ifPresent(e -> all.add(words.say(
                        "wanted.answer",
                        them,
                        technique(e),
                        record(e.basis().worked(), e.basis().decided()))));
        for (Exit e : w.entries()) {
            double[] faced = meeting.faced(e.from(), true, String.valueOf(e.technique()));
            all.add(words.say(
                    "wanted.entry",
                    technique(e),
                    decisions.spot(e.from()),
                    us,
                    record(e.basis().worked(), e.basis().decided()),
                    record(faced[0], faced[1]),
                    them));
        }
        for (int i = 0; i < w.attacks().size(); i++) {
            Exit e = w.attacks().get(i);
            all.add(words.say(
                    i == 0 ? "wanted.attack" : "wanted.denied",
                    technique(e),
                    us,
                    record(e.basis().worked(), e.basis().decided())));
        }
        return all;
    }

    /** The sign before it, what stopped it, the way out, and how it fared against us; a sentence each. */
    public List<String> threat(Threat t) {
        List<String> all = new ArrayList<>();
        t.sign().ifPresent(c -> all.add(words.say("threat.sign", name(c.code()), c.times(), c.of())));
        t.prevents()
                .ifPresent(a -> all.add(words.say(
                        "threat.prevents",
                        name(a.answer()),
                        a.results().stream().filter(x -> x.worked()).count(),
                        a.results().size())));
        t.wayOut()
                .ifPresent(e -> all.add(words.say(
                        "threat.out",
                        decisions.spot(e.from()),
                        technique(e),
                        us,
                        record(e.basis().worked(), e.basis().decided()))));
        all.add(
                Math.round(t.tried()) == 0
                        ? words.say("threat.never", us)
                        : words.say("threat.onus", us, Math.round(t.worked()), Math.round(t.tried())));
        return all;
    }

    private String technique(Exit e) {
        return String.valueOf(lexicon.techniqueName(String.valueOf(e.technique())));
    }

    /** What a code of a technique, a grip, an answer or a fact is called. */
    private String name(String code) {
        String bare = code.startsWith("=") ? code.substring(1) : code;
        if (lexicon.technique(bare).isPresent()) {
            return String.valueOf(lexicon.techniqueName(bare));
        }
        return lexicon.grip(bare).map(Grip::name).orElse(CoreWords.code(bare));
    }

    /** "7 of 12", and in words when that is thin. */
    private String record(double worked, double tried) {
        long n = Math.round(tried);
        return n == 0
                ? words.say("record.none")
                : words.say(n < THIN ? "record.thin" : "record", Math.round(worked), n);
    }

    private String one(double x) {
        return String.format(words.locale(), "%.1f", x);
    }

    private String two(double x) {
        return String.format(words.locale(), "%.2f", x);
    }
}
