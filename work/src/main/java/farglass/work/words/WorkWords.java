package farglass.work.words;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;
import org.jspecify.annotations.Nullable;

/** What use cases tell the user, in a window and on the command line alike. */
public final class WorkWords {
    private static final ResourceBundle WORDS = ResourceBundle.getBundle("farglass.work.Work", Locale.ENGLISH);

    private WorkWords() {}

    /** @throws java.util.MissingResourceException when there is no such key */
    public static String of(String key, @Nullable Object... args) {
        String pattern = WORDS.getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Locale.ENGLISH).format(args);
    }

    /** Something that must not happen, as something a user can be told. */
    public static String unexpected(Throwable e) {
        return e instanceof OutOfMemoryError
                ? of("error.memory")
                : of("error.unexpected", e.getClass().getSimpleName());
    }
}
