package farglass.film;

import farglass.text.Language;
import java.text.MessageFormat;
import java.util.ResourceBundle;
import org.jspecify.annotations.Nullable;

/** What is told of films, in the language in force. */
public final class FilmWords {
    private static final String NAME = "farglass.film.Film";

    private FilmWords() {}

    /** @throws java.util.MissingResourceException when there is no such key */
    public static String of(String key, @Nullable Object... args) {
        String pattern = ResourceBundle.getBundle(NAME, Language.locale()).getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Language.locale()).format(args);
    }
}
