package farglass.desk.shell;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/** Words on screen, from the resource bundle. */
public final class Words {
    private static final ResourceBundle BUNDLE = ResourceBundle.getBundle("farglass.desk.Words", Locale.ENGLISH);

    private Words() {}

    public static String of(String key, Object... args) {
        String pattern = BUNDLE.getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Locale.ENGLISH).format(args);
    }
}
