package farglass.matchup.advise;

import java.text.MessageFormat;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import org.jspecify.annotations.Nullable;

/** Sentences of a bundle, and how figures stand in them. */
public record Wording(ResourceBundle words, Locale locale) {
    /** Half of the last digit that is shown. */
    private static final double LEAST = 0.05;

    /** @param bundle name of the bundle */
    public static Wording of(String bundle, Locale locale) {
        return new Wording(ResourceBundle.getBundle(bundle, locale), locale);
    }

    /** A sentence with what stands in it. */
    public String say(String key, @Nullable Object... args) {
        return new MessageFormat(words.getString(key), locale).format(args);
    }

    /** Whole percent of a share. */
    public String percent(double share) {
        return Math.round(100 * share) + "%";
    }

    /** Points of a share, one decimal. */
    public String points(double share) {
        return figure("%.1f", 100 * share);
    }

    /** Points with their sign, one decimal. */
    public String signed(double share) {
        return figure("%+.1f", 100 * share);
    }

    /** What rounds to nought has no sign below it. */
    private String figure(String format, double x) {
        return String.format(locale, format, Math.abs(x) < LEAST ? 0 : x);
    }

    /** With a capital at its beginning. */
    public String upper(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(locale) + text.substring(1);
    }

    /** At least one: "half guard, knee shield or closed guard". */
    public String list(List<String> names) {
        String last = names.get(names.size() - 1);
        return names.size() == 1 ? last : String.join(", ", names.subList(0, names.size() - 1)) + say("or") + last;
    }
}
