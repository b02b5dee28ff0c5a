package farglass.store;

import farglass.text.Language;
import java.text.MessageFormat;
import java.util.ResourceBundle;
import org.jspecify.annotations.Nullable;

/** What is told of libraries and their backups, in the language in force. */
final class StoreWords {
    private static final String NAME = "farglass.store.Store";

    private StoreWords() {}

    /** @throws java.util.MissingResourceException when there is no such key */
    static String of(String key, @Nullable Object... args) {
        String pattern = ResourceBundle.getBundle(NAME, Language.locale()).getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Language.locale()).format(args);
    }
}
