package farglass.store.server;

import farglass.text.Language;
import java.text.MessageFormat;
import java.util.ResourceBundle;

/** What is told of a team's library, in the language in force. */
final class TeamWords {
    private static final String NAME = "farglass.store.server.Team";

    private TeamWords() {}

    /** @throws java.util.MissingResourceException when there is no such key */
    static String of(String key, Object... args) {
        String pattern = ResourceBundle.getBundle(NAME, Language.locale()).getString(key);
        return args.length == 0 ? pattern : new MessageFormat(pattern, Language.locale()).format(args);
    }
}
