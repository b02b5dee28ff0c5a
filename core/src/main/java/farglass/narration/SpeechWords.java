package farglass.narration;

import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The patterns of a language: what makes a sentence a lesson, a wish, a look back, a success. */
final class SpeechWords {
    private final Map<String, Pattern> patterns = new ConcurrentHashMap<>();

    SpeechWords(Locale locale) {
        ResourceBundle words = ResourceBundle.getBundle("farglass.narration.Speech", locale);
        words.keySet().forEach(k -> patterns.put(k, Pattern.compile("(?<= )(?:" + words.getString(k) + ")(?= )")));
    }

    private Matcher matcher(String key, String text) {
        Pattern p = patterns.get(key);
        if (p == null) {
            throw new IllegalArgumentException("no pattern " + key);
        }
        return p.matcher(text);
    }

    /** Whether bare words, with a blank before and behind, hold a pattern. */
    boolean has(String key, String text) {
        return matcher(key, text).find();
    }

    /** Where a pattern begins first; -1 when it is not there. */
    int first(String key, String text) {
        Matcher m = matcher(key, text);
        return m.find() ? m.start() : -1;
    }

    /** Where a pattern ends last; -1 when it is not there. */
    int last(String key, String text) {
        Matcher m = matcher(key, text);
        int at = -1;
        while (m.find()) {
            at = m.end();
        }
        return at;
    }

    /** What the first group that took part holds; empty when there is none. */
    String group(String key, String text) {
        Matcher m = matcher(key, text);
        if (m.find()) {
            for (int g = 1; g <= m.groupCount(); g++) {
                if (m.group(g) != null) {
                    return m.group(g);
                }
            }
        }
        return "";
    }
}
