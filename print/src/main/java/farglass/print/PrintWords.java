package farglass.print;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/** What stands on paper besides the claims themselves. */
final class PrintWords {
    private static final ResourceBundle WORDS = ResourceBundle.getBundle("farglass.print.Print", Locale.ENGLISH);

    private PrintWords() {}

    static String of(String key, Object... args) {
        String pattern = WORDS.getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Locale.ENGLISH).format(args);
    }
}
