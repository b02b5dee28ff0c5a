package farglass.matchup.advise;

import java.text.MessageFormat;
import java.util.List;
import java.util.Locale;
import java.util.ResourceBundle;
import org.jspecify.annotations.Nullable;

/** Sentences of a bundle, and how figures stand in them. */
record Wording(ResourceBundle words, Locale locale) {
    /** @param bundle name within this package */
    static Wording of(String bundle, Locale locale) {
        return new Wording(ResourceBundle.getBundle("farglass.matchup.advise." + bundle, locale), locale);
    }

    String say(String key, @Nullable Object... args) {
        return new MessageFormat(words.getString(key), locale).format(args);
    }

    /** Whole percent of a share. */
    String percent(double share) {
        return Math.round(100 * share) + "%";
    }

    /** Points of a share, one decimal. */
    String points(double share) {
        return String.format(locale, "%.1f", 100 * share);
    }

    /** Points with their sign, one decimal. */
    String signed(double share) {
        return String.format(locale, "%+.1f", 100 * share);
    }

    String upper(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(locale) + text.substring(1);
    }

    /** "half guard, knee shield or closed guard". */
    String list(List<String> names) {
        String last = names.get(names.size() - 1);
        return names.size() == 1 ? last : String.join(", ", names.subList(0, names.size() - 1)) + say("or") + last;
    }
}
