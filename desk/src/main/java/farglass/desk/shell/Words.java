package farglass.desk.shell;

import farglass.text.Language;
import java.text.MessageFormat;
import java.util.ResourceBundle;

/** Words on screen, from the resource bundle. */
public final class Words {
    private static final String NAME = "farglass.desk.Words";

    private Words() {}

    public static String of(String key, Object... args) {
        String pattern = ResourceBundle.getBundle(NAME, Language.locale()).getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Language.locale()).format(args);
    }
}
