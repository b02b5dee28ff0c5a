package farglass.tendency;

import farglass.stats.Estimate;
import farglass.stats.Grade;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;

/** Puts claims into words of one language. */
public final class ClaimWriter {
    private final ResourceBundle words;
    private final Locale locale;

    public ClaimWriter(Locale locale) {
        this.locale = locale;
        this.words = ResourceBundle.getBundle("farglass.tendency.Claims", locale);
    }

    public String sentence(Claim c) {
        return format(c.template(), c.args().toArray());
    }

    public String grade(Grade g) {
        return words.getString("grade." + g);
    }

    /** Its counts: "9 of 12 in 5 matches". */
    public String counts(Claim c) {
        Estimate e = c.estimate();
        return switch (c.topic()) {
            case NOT_SEEN -> format("number.never", percent(e.hi()), e.matches());
            case PLACE, GUARD -> format("number.time", minutes(e.x()), minutes(e.n()), e.matches());
            default -> format("number", (long) e.x(), (long) e.n(), e.matches());
        };
    }

    /** Everything that qualifies the number, a sentence fragment each. */
    public List<String> notes(Claim c) {
        Estimate e = c.estimate();
        List<String> notes = new ArrayList<>();
        if (c.oneMatch()) {
            notes.add(words.getString("note.oneMatch"));
        }
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
        if (!Double.isNaN(e.baseline()) && c.side() == null) {
            boolean share = c.topic() == Claim.Topic.PLACE || c.topic() == Claim.Topic.GUARD;
            notes.add(format(share ? "note.average" : "note.prior", percent(e.baseline()), e.prior()));
        }
        return notes;
    }

    public static String percent(double p) {
        return Double.isNaN(p) ? "?" : Math.round(p * 100) + "%";
    }

    private static String minutes(double ms) {
        return String.format(Locale.ROOT, "%.1f", ms / 60_000);
    }

    private String format(String key, Object... args) {
        return new MessageFormat(words.getString(key), locale).format(args);
    }
}
