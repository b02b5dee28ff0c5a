package farglass.matchup.gameplan;

import farglass.lexicon.Family;
import farglass.lexicon.Lexicon;
import farglass.matchup.advise.DecisionWriter;
import farglass.matchup.advise.Wording;
import farglass.matchup.gameplan.PhaseFigure.Box;
import farglass.matchup.gameplan.PhaseFigure.Phase;
import farglass.matchup.gameplan.PhaseFigure.Whose;
import farglass.matchup.model.ModelState;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** The words of a drawing by phases; names are never shortened. */
public final class PhaseWriter {
    private final Wording words;
    private final Lexicon lexicon;
    private final DecisionWriter decisions;
    private final String us;
    private final String them;

    /**
     * @param us first name of our athlete
     * @param them the opponent's
     */
    public PhaseWriter(Locale locale, Lexicon lexicon, String us, String them) {
        this.words = Wording.of("farglass.matchup.gameplan.Game", locale);
        this.lexicon = lexicon;
        this.decisions = new DecisionWriter(locale, lexicon, us, them);
        this.us = us;
        this.them = them;
    }

    /** The figure with its words. */
    public PhaseText text(PhaseFigure f) {
        Map<Phase, String> phases = new EnumMap<>(Phase.class);
        Map<PhaseFigure.Key, String> names = new HashMap<>();
        Map<PhaseFigure.Key, String> notes = new HashMap<>();
        for (Phase p : Phase.values()) {
            phases.put(p, words.say("phase." + p));
        }
        for (Box b : f.boxes()) {
            names.put(b.key(), name(b));
            notes.put(b.key(), note(b));
        }
        return new PhaseText(f, phases, names, notes, legend(f));
    }

    /** What a box stands for: "Brisa: guard pull", "In Brisa's half guard", "Ansa wins". */
    private String name(Box b) {
        Whose whose = b.key().whose();
        String who = whose == Whose.OURS ? us : them;
        String what = b.key().what();
        return switch (b.key().phase()) {
            case START ->
                whose == Whose.NOBODY
                        ? words.say("phase.nobody")
                        : words.say(
                                "phase.by",
                                who,
                                lexicon.family(what).map(Family::name).orElse(what));
            case CONTACT -> decisions.place(ModelState.ofKey(what));
            case ANSWER ->
                whose == Whose.NOBODY
                        ? words.say("phase.drift")
                        : words.say("phase.by", who, String.valueOf(lexicon.techniqueName(what)));
            case FINISH -> whose == Whose.NOBODY ? words.say("phase.draw") : words.say("phase.wins", who);
        };
    }

    /** How likely it is, and on how many tags that rests: "31% of matches, 14 tags". */
    private String note(Box b) {
        String share = words.percent(b.share());
        if (b.key().phase() == Phase.FINISH && b.key().whose() != Whose.NOBODY) {
            return words.say(
                    "phase.finish",
                    share,
                    words.percent(b.submissions()),
                    b.tags().size());
        }
        return b.tags().isEmpty()
                ? words.say("phase.untagged", share)
                : words.say("phase.share", share, b.tags().size());
    }

    /** What is drawn and what is not. */
    private String legend(PhaseFigure f) {
        return words.say(
                "phase.legend",
                f.matches(),
                words.percent(f.shown(Phase.START)),
                words.percent(f.shown(Phase.CONTACT)),
                words.percent(f.shown(Phase.ANSWER)));
    }
}
