package farglass.phrase;

import farglass.text.Language;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;

/**
 * The fixed words of the phrase line in the language in force. English is always understood; the bundle gives for each
 * English word those that mean it, the first of which is the one that is written.
 */
public final class TypedWords {
    private static final String NAME = "farglass.phrase.Typed";

    private static final class Portuguese {
        static final Map<String, String> ENGLISH = english(Language.PORTUGUESE);
    }

    private TypedWords() {}

    private static Map<String, String> english(Language language) {
        ResourceBundle words = ResourceBundle.getBundle(NAME, language.spoken());
        Map<String, String> all = new HashMap<>();
        words.keySet().forEach(k -> typed(words, k).forEach(w -> all.put(w, k)));
        return Map.copyOf(all);
    }

    private static List<String> typed(ResourceBundle words, String english) {
        return Arrays.asList(words.getString(english).split(","));
    }

    /** The English word for a fixed word, in small letters; itself where it is none of the language in force. */
    public static String english(String typed) {
        String w = typed.toLowerCase(Locale.ROOT);
        return Language.current() == Language.PORTUGUESE ? Portuguese.ENGLISH.getOrDefault(w, w) : w;
    }

    /** How an English fixed word is written in the language in force; itself where it has no other. */
    public static String written(String english) {
        ResourceBundle words = ResourceBundle.getBundle(NAME, Language.locale());
        return words.containsKey(english) ? typed(words, english).get(0) : english;
    }

    /** Whether a phrase says what the match clock shows, as {@code clock 6:30}, and is no tag. */
    public static boolean clock(String phrase) {
        return english(phrase.strip().split("\\s+", 2)[0]).startsWith("clock");
    }
}
