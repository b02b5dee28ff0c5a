package farglass.text;

import java.util.Arrays;
import java.util.Locale;

/** What the program speaks: words, numbers and dates of all that is shown, printed and spoken of. */
public enum Language {
    ENGLISH(Locale.ENGLISH, "English"),
    PORTUGUESE(Locale.forLanguageTag("pt-BR"), "Português (Brasil)");

    /** Where a library keeps which one was chosen. */
    public static final String PREFERENCE = "look.language";

    /** What the system spoke when Java began: the property is not changed by {@link Locale#setDefault}. */
    private static final String OF_SYSTEM = System.getProperty("user.language", "");

    private final Locale spoken;
    private final String ownName;

    Language(Locale spoken, String ownName) {
        this.spoken = spoken;
        this.ownName = ownName;
    }

    /** The one in force: that of Java's default locale, English where that is another one. */
    public static Language current() {
        return named(Locale.getDefault().getLanguage());
    }

    /** Locale of {@link #current()}: of its words, and of how its numbers and dates are written. */
    public static Locale locale() {
        return current().spoken;
    }

    /** That of the system, English where that is another one. */
    public static Language ofSystem() {
        return named(OF_SYSTEM);
    }

    /** @param tag a language as {@code pt} or {@code pt-BR}; English for all that is not known */
    public static Language named(String tag) {
        String language = Locale.forLanguageTag(tag).getLanguage();
        return Arrays.stream(values())
                .filter(l -> l.tag().equals(language))
                .findFirst()
                .orElse(ENGLISH);
    }

    /** Of its words, and of how its numbers and dates are written. */
    public Locale spoken() {
        return spoken;
    }

    /** Two letters, as {@code pt}. */
    public String tag() {
        return spoken.getLanguage();
    }

    /** What it calls itself. */
    public String ownName() {
        return ownName;
    }

    /** Puts it in force for the whole program; what was written before stays as it is. */
    public void use() {
        Locale.setDefault(spoken);
    }
}
