package farglass.print;

import farglass.text.Language;
import java.text.MessageFormat;
import java.util.ResourceBundle;

/** What stands on paper besides the claims themselves. */
final class PrintWords {
    private static final String NAME = "farglass.print.Print";

    private PrintWords() {}

    static String of(String key, Object... args) {
        String pattern = ResourceBundle.getBundle(NAME, Language.locale()).getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Language.locale()).format(args);
    }
}
