package farglass.text;

import java.text.MessageFormat;
import java.util.ResourceBundle;
import org.jspecify.annotations.Nullable;

/** Names of codes, and what the computation itself tells, in the language in force. */
public final class CoreWords {
    private static final String NAME = "farglass.text.Core";

    private CoreWords() {}

    /** @throws java.util.MissingResourceException when there is no such key */
    public static String of(String key, @Nullable Object... args) {
        String pattern = words().getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Language.locale()).format(args);
    }

    /** What a code of the formats is called, as {@code not-visible}: "not visible"; an unknown one as it is. */
    public static String code(String code) {
        String key = "code." + code;
        return words().containsKey(key) ? words().getString(key) : code.replace('-', ' ');
    }

    /** What something that ships under an English name is called, as a ruleset; any other name as it is. */
    public static String name(String name) {
        String key = "name." + name.replaceAll("[^a-z]+", "-");
        return words().containsKey(key) ? words().getString(key) : name;
    }

    private static ResourceBundle words() {
        return ResourceBundle.getBundle(NAME, Language.locale());
    }
}
