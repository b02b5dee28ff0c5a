package farglass.matchup.advise;

import farglass.matchup.solve.Region.Lead;
import farglass.matchup.solve.Region.Part;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The words of an intent that are neither places nor actions: never, who is on top, the score, the time. */
final class IntentWords {
    /** Who is on top, in words. */
    enum Sided {
        BELOW,
        ABOVE,
        /** The opponent's guard, or where the opponent is on top. */
        THEIRS
    }

    private final Pattern never;
    private final Pattern hold;
    private final Pattern theirs;
    private final Pattern below;
    private final Pattern above;
    private final Pattern clause;
    private final Pattern then;
    private final Pattern place;
    private final List<Pattern> unless;
    private final List<Pattern> lead;
    private final Pattern untilLast;
    private final Pattern between;
    private final Pattern first;
    private final Pattern second;
    private final Pattern last;

    /** @param them first name of the opponent */
    IntentWords(Locale locale, String them) {
        ResourceBundle words = ResourceBundle.getBundle("farglass.matchup.advise.Intent", locale);
        this.never = word(words, "never");
        this.hold = word(words, "hold");
        this.theirs = Pattern.compile("\\b(" + words.getString("theirs") + ")(?!\\p{L})|"
                + Pattern.quote(them.toLowerCase(locale)) + "['’]?s?(?!\\p{L})");
        this.below = word(words, "below");
        this.above = word(words, "above");
        this.clause = Pattern.compile("(?<=[,;:.\\n])|(?=\\b(" + words.getString("clause") + ")\\b)");
        this.place = Pattern.compile("(?=\\b(" + words.getString("place") + ")\\b)");
        this.then = word(words, "then");
        this.unless = byLead(words, "unless.");
        this.lead = byLead(words, "lead.");
        this.untilLast = word(words, "part.until.last");
        this.between = word(words, "part.between");
        this.first = word(words, "part.first");
        this.second = word(words, "part.second");
        this.last = word(words, "part.last");
    }

    private static Pattern word(ResourceBundle words, String key) {
        return Pattern.compile("\\b(" + words.getString(key) + ")\\b");
    }

    private static List<Pattern> byLead(ResourceBundle words, String prefix) {
        return Stream.of(Lead.values()).map(l -> word(words, prefix + l.name())).toList();
    }

    /** What is said in one go, each with the sign that ends it. */
    List<String> clauses(String text) {
        return Stream.of(clause.split(text)).filter(c -> !c.isBlank()).toList();
    }

    /** Parts of a clause that each speak of places on one side. */
    List<String> places(String clause) {
        return List.of(place.split(clause));
    }

    boolean never(String clause) {
        return never.matcher(clause).find();
    }

    /** Whether it speaks of what comes after, in another place. */
    boolean then(String clause) {
        return then.matcher(clause).find();
    }

    boolean hold(String clause) {
        return hold.matcher(clause).find();
    }

    /** On which side places are meant; null when nothing is said of it. */
    @Nullable
    Sided side(String text) {
        return below.matcher(text).find()
                ? Sided.BELOW
                : above.matcher(text).find()
                        ? Sided.ABOVE
                        : theirs.matcher(text).find() ? Sided.THEIRS : null;
    }

    Conditions conditions(String clause) {
        return new Conditions(leads(clause), parts(clause));
    }

    private Set<Lead> leads(String clause) {
        Set<Lead> all = EnumSet.noneOf(Lead.class);
        for (Lead l : Lead.values()) {
            int i = List.of(Lead.values()).indexOf(l);
            if (unless.get(i).matcher(clause).find()) {
                return EnumSet.complementOf(EnumSet.of(l));
            }
            if (lead.get(i).matcher(clause).find()) {
                all.add(l);
            }
        }
        return all;
    }

    private Set<Part> parts(String clause) {
        if (between.matcher(clause).find()) {
            return EnumSet.of(Part.SECOND);
        }
        if (untilLast.matcher(clause).find()) {
            return EnumSet.of(Part.FIRST, Part.SECOND);
        }
        Set<Part> all = EnumSet.noneOf(Part.class);
        if (first.matcher(clause).find()) {
            all.add(Part.FIRST);
        }
        if (second.matcher(clause).find()) {
            all.add(Part.SECOND);
            all.add(Part.LAST);
        }
        if (last.matcher(clause).find()) {
            all.add(Part.LAST);
        }
        return all;
    }
}
