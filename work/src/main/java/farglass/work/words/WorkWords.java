package farglass.work.words;

import farglass.text.Language;
import java.text.MessageFormat;
import java.util.ResourceBundle;
import org.jspecify.annotations.Nullable;

/** What use cases tell the user, in a window and on the command line alike. */
public final class WorkWords {
    private static final String NAME = "farglass.work.Work";

    private WorkWords() {}

    /** @throws java.util.MissingResourceException when there is no such key */
    public static String of(String key, @Nullable Object... args) {
        String pattern = ResourceBundle.getBundle(NAME, Language.locale()).getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Language.locale()).format(args);
    }

    /** Something that must not happen, as something a user can be told. */
    public static String unexpected(Throwable e) {
        return e instanceof OutOfMemoryError
                ? of("error.memory")
                : of("error.unexpected", e.getClass().getSimpleName());
    }
}
