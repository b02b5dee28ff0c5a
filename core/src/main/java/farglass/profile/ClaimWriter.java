package farglass.profile;

import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.text.CoreWords;
import farglass.text.Language;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;

/** Puts claims and pages into words of one language. */
public final class ClaimWriter {
    private final ResourceBundle words;
    private final Locale locale;

    /** Writes in a language that has words. */
    public ClaimWriter(Locale locale) {
        this.locale = locale;
        this.words = ResourceBundle.getBundle("farglass.profile.Claims", locale);
    }

    /** The claim as one sentence. */
    public String sentence(Claim c) {
        return format(c.template(), c.args().toArray());
    }

    /** The heading of a section. */
    public String title(Section s) {
        return format(s.title(), s.args().toArray());
    }

    /** What stands in a section that has no claim. */
    public String empty(Section s) {
        return words.getString(s.empty());
    }

    /** Name of a page. */
    public String name(String key) {
        return words.getString(key);
    }

    /** The question a page answers. */
    public String question(String key, String surname) {
        return format(key + ".question", surname);
    }

    /** A grade in a word. */
    public String grade(Grade g) {
        return words.getString("grade." + g);
    }

    /** The number itself: a percentage, a rate, seconds, points. */
    public String number(Claim c) {
        return c.topic() == Claim.Topic.NOT_SEEN
                ? "0"
                : value(c.unit(), c.estimate().mean());
    }

    /** The interval with its unit where the numbers do not carry it. */
    public String interval(Claim c) {
        if (c.unit() == Claim.Unit.COUNT) {
            return "";
        }
        boolean endless = c.unit() == Claim.Unit.TIMES_EXPECTED;
        String lo = value(c.unit(), c.estimate().lo());
        String hi = value(c.unit(), c.estimate().hi());
        String range = endless
                ? "\u2265 " + lo
                : c.unit() == Claim.Unit.DIFFERENCE ? CoreWords.of("range.difference", lo, hi) : lo + "\u2013" + hi;
        String unit = "unit." + c.unit();
        return words.containsKey(unit) ? range + " " + words.getString(unit) : range;
    }

    /** A value in the form in which its unit is read. */
    public static String value(Claim.Unit unit, double v) {
        if (Double.isNaN(v)) {
            return "?";
        }
        return switch (unit) {
            case SHARE, TIME_SHARE -> percent(v);
            case PER_TEN_MINUTES -> String.format(Language.locale(), v < 10 ? "%.1f" : "%.0f", v);
            case TIME -> String.format(Language.locale(), "%.1f", v / 1000);
            case DIFFERENCE -> String.format(Language.locale(), "%+d", Math.round(v * 100));
            case COUNT -> Long.toString((long) v);
            case TIMES_EXPECTED -> String.format(Language.locale(), v < 10 ? "\u00d7%.1f" : "\u00d7%.0f", v);
        };
    }

    /** Its counts: "9 of 12 in 5 matches". */
    public String counts(Claim c) {
        Estimate e = c.estimate();
        if (c.topic() == Claim.Topic.NOT_SEEN) {
            return c.unit() == Claim.Unit.PER_TEN_MINUTES
                    ? format("number.never.rate", value(c.unit(), e.hi()), minutes(e.n()))
                    : format("number.never", percent(e.hi()), e.matches());
        }
        return switch (c.unit()) {
            case TIME_SHARE -> format("number.time", minutes(e.x()), minutes(e.n()), e.matches());
            case PER_TEN_MINUTES -> format("number.rate", (long) e.x(), minutes(e.n()), e.matches());
            case TIME -> format("number.median", (long) e.n(), e.matches());
            case DIFFERENCE -> format("number.difference", (long) e.n(), e.matches());
            case TIMES_EXPECTED -> format("number.chain", (long) e.n(), e.matches());
            case COUNT -> format("number.seen", (long) e.x(), e.matches());
            case SHARE -> format("number", (long) e.x(), (long) e.n(), e.matches());
        };
    }

    /** Everything that qualifies the number, a sentence fragment each. */
    public List<String> notes(Claim c) {
        Estimate e = c.estimate();
        List<String> notes = new ArrayList<>();
        if (c.oneMatch()) {
            notes.add(words.getString("note.oneMatch"));
        }
        c.doubts().forEach(d -> notes.add(words.getString("doubt." + d)));
        if (c.side() != null) {
            notes.add(words.getString("word." + c.side().word()));
        }
        if (c.withoutUnsure() != null) {
            notes.add(format("note.unsure", percent(c.withoutUnsure())));
        }
        if (c.hidden() > 0) {
            notes.add(format("note.hidden", c.hidden()));
        }
        if (e.check() != null) {
            notes.add(format(
                    "note.check", percent(e.check().lo()), percent(e.check().hi())));
        }
        if (!Double.isNaN(e.baseline()) && c.side() == null && c.unit() != Claim.Unit.TIMES_EXPECTED) {
            String average = value(c.unit(), e.baseline());
            notes.add(
                    c.unit() == Claim.Unit.TIME_SHARE
                            ? format("note.average", average)
                            : format("note.prior", average, e.prior()));
        }
        if (c.note() != null) {
            notes.add(format(c.note()));
        }
        return notes;
    }

    /** A share in per cent, without decimals. */
    public static String percent(double p) {
        return Double.isNaN(p) ? "?" : Math.round(p * 100) + "%";
    }

    private static String minutes(double ms) {
        return String.format(Language.locale(), "%.1f", ms / 60_000);
    }

    private String format(String key, Object... args) {
        return new MessageFormat(words.getString(key), locale).format(args);
    }
}
