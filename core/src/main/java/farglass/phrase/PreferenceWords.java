package farglass.phrase;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * "lasso sweep over scissor sweep because of long legs except in no-gi": what is preferred to what, why, and when not.
 */
public final class PreferenceWords {
    private static final Pattern SAID = Pattern.compile(
            "(?i)(.+?)(?: (?:over|em vez de) (.+?))?" + "(?: (?:because|porque) (.+?))?(?: (?:except|exceto) (.+?))?");
    private static final String[] FIELDS = {"choice", "over", "reason", "except"};

    private PreferenceWords() {}

    /** The fields of a preference as far as stated, in their order; none for a blank text. */
    public static Map<String, String> fields(@Nullable String text) {
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher m = SAID.matcher(text == null ? "" : text.strip());
        if (m.matches()) {
            for (int i = 0; i < FIELDS.length; i++) {
                if (m.group(i + 1) != null) {
                    fields.put(FIELDS[i], m.group(i + 1).strip());
                }
            }
        }
        return fields;
    }
}
