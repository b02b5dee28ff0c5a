package farglass.matchup.advise;

import farglass.lexicon.Lexicon;
import farglass.matchup.model.Exit;
import farglass.matchup.solve.Option;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Says what a coach's own plan is worth, and how it was read. */
public final class OwnPlanWriter {
    /** A difference smaller than this is none, win chance. */
    private static final double NONE = 0.0005;

    private final Wording words;
    private final DecisionWriter decisions;
    private final Lexicon lexicon;
    private final String us;
    private final String them;

    OwnPlanWriter(Locale locale, Lexicon lexicon, String us, String them) {
        this.words = Wording.of("farglass.matchup.advise.Own", locale);
        this.decisions = new DecisionWriter(locale, lexicon, us, them);
        this.lexicon = lexicon;
        this.us = us;
        this.them = them;
    }

    /** How an intent was read: "From half guard: underhook sweep." Of one that was not, its own words. */
    public String sentence(Intent i) {
        if (i.unvalued() != null) {
            return words.say("unread", i.words());
        }
        if (i.never()) {
            return words.say(i.anywhere() ? "never.anywhere" : "never", names(i), places(i));
        }
        return i.decisions().stream().map(d -> sentence(i, d)).collect(Collectors.joining(" "));
    }

    /** One of the decisions that a sentence means. */
    public String sentence(Intent i, Decision d) {
        return i.anywhere() && d.option().kind() == Option.Kind.PRESS
                ? words.upper(words.say("anywhere", decisions.call(d), decisions.condition(d)))
                : decisions.sentence(d);
    }

    private String names(Intent i) {
        return words.list(i.barred().stream()
                .map(k -> lexicon.techniqueName(String.valueOf(k.technique())))
                .distinct()
                .sorted()
                .toList());
    }

    private String places(Intent i) {
        return i.barred().stream()
                .map(Exit.Key::from)
                .distinct()
                .sorted()
                .map(decisions::spot)
                .collect(Collectors.joining(words.say("or")));
    }

    /** What one of them is worth and how sure that is, or why film cannot tell. */
    public String worth(OwnPlan.Valued v, int draws) {
        if (v.worth() == null) {
            return words.say("unvalued." + v.intent().unvalued(), us);
        }
        if (v.range() == null || v.holds() == null) {
            return words.say("worth", words.signed(v.worth()));
        }
        return words.say(
                "worth.drawn",
                words.signed(v.worth()),
                words.signed(v.range().lo()),
                words.signed(v.range().hi()),
                Math.round(v.holds() * draws),
                draws);
    }

    /** The plan against the natural game and the computed decisions. */
    public String compared(OwnPlan p) {
        OwnPlan.Ranges r = p.ranges();
        if (r == null) {
            return words.say("compared", percent(p.win()), percent(p.natural()), percent(p.proposed()), verdict(p));
        }
        return words.say(
                "compared.drawn",
                percent(r.win().mean()),
                percent(r.win().lo()),
                percent(r.win().hi()),
                percent(r.natural().mean()),
                difference(r.overNatural()),
                percent(r.proposed().mean()),
                difference(r.overProposed()),
                verdict(p));
    }

    private String difference(Uncertainty.Range range) {
        return words.say("difference", words.signed(range.mean()), words.signed(range.lo()), words.signed(range.hi()));
    }

    private String verdict(OwnPlan p) {
        double more = p.win() - p.natural();
        if (Math.abs(more) < NONE) {
            return words.say("verdict.same", us);
        }
        OwnPlan.Ranges r = p.ranges();
        if (r != null && r.overNatural().lo() < 0 && r.overNatural().hi() > 0) {
            return words.say("verdict.unsure", us);
        }
        return words.say(more < 0 ? "verdict.worse" : "verdict.better", us);
    }

    /** Win chances of plans differ by less than a point, so one decimal is shown. */
    private String percent(double share) {
        return words.points(share) + "%";
    }

    /** What the computed plan does that ours does not: "Not in our plan: ..." Empty for nothing. */
    public String left(List<Decision> left) {
        return left.isEmpty()
                ? ""
                : words.say(
                        "left", left.stream().map(d -> decisions.sentence(d)).collect(Collectors.joining(" ")), them);
    }
}
