package farglass.narration;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/** The forms of English verbs: a narrator says what happens, what happened and what is about to. */
final class Inflection {
    private static final String VOWELS = "aeiou";
    /** One short vowel before one consonant doubles it: "sitting". */
    private static final Pattern SHORT = Pattern.compile("(?:[^aeiou]|^)+[aeiou][bdgklmnprtv]");

    private static final Pattern HISSES = Pattern.compile(".*(?:s|x|z|ch|sh|o)");

    private Inflection() {}

    /** Any form of one of some verbs, as a pattern; forms that no rule gives stand behind a slash: "go/went/gone". */
    static String pattern(List<String> verbs) {
        Set<String> all = new LinkedHashSet<>();
        for (String v : verbs) {
            all.addAll(forms(v));
        }
        return "(?:" + String.join("|", all) + ")";
    }

    /** All forms of one verb. */
    static Set<String> forms(String verb) {
        List<String> told = List.of(verb.split("/"));
        Set<String> all = new LinkedHashSet<>(regular(told.get(0)));
        all.addAll(told);
        return all;
    }

    /** The verb itself, "-s", "-ed" and "-ing". */
    static List<String> regular(String verb) {
        int last = verb.length() - 1;
        char end = verb.charAt(last);
        boolean afterVowel = last > 0 && VOWELS.indexOf(verb.charAt(last - 1)) >= 0;
        if (end == 'y' && !afterVowel) {
            String stem = verb.substring(0, last);
            return List.of(verb, stem + "ies", stem + "ied", verb + "ing");
        }
        if (end == 'e') {
            return List.of(verb, verb + "s", verb + "d", verb.substring(0, last) + "ing");
        }
        String stem = SHORT.matcher(verb).matches() ? verb + end : verb;
        return List.of(verb, verb + (HISSES.matcher(verb).matches() ? "es" : "s"), stem + "ed", stem + "ing");
    }
}
