package farglass.conduct;

import farglass.lexicon.Lexicon;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Reads a clause out of one line: {@code A within 10 s of B}, {@code A at most 2 s at a time}, {@code no A with B},
 * {@code no A without B}, {@code at least 3 A}, {@code at most 1 A}, {@code no A}. A and B are named as everywhere: an
 * action or its family, a grip, a position, a body fact, {@code restart}; {@code our} and {@code their} say whose.
 */
public final class ClauseReader {
    private static final String TIME = "(\\d+(?:\\.\\d+)?) ?(?:s|sec|seconds?)";
    private static final Pattern SOON =
            Pattern.compile("(.+?) (?:within|in) " + TIME + " (?:of|after)(?: every| each| any)? (.+)");
    private static final Pattern BRIEF = Pattern.compile("(.+?)(?: for)? at most " + TIME + "(?: at a time)?");
    private static final Pattern ONLY = Pattern.compile("(?:no|never) (.+?) (without|with|while) (.+)");
    private static final Pattern MANY = Pattern.compile("at (least|most) (\\d+) (.+)");
    private static final Pattern NONE = Pattern.compile("(?:no|never) (.+)");
    /** Words that say nothing of their own here. */
    private static final Pattern FILLING = Pattern.compile("\\b(?:a|an|the|begun|begins|on|held|grip on|in place)\\b");

    private static final List<String> NUMBERS =
            List.of("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten");
    private static final Map<String, Boolean> WHOSE =
            Map.of("our ", true, "own ", true, "my ", true, "their ", false, "the opponent's ", false);
    private static final double MS = 1000;

    /**
     * @param measure null when it cannot be measured
     * @param problem why not, in words; null when it can
     */
    public record Reading(
            @Nullable Measure measure, @Nullable String problem) {}

    private final Lexicon lexicon;
    private @Nullable String unknown;

    private ClauseReader(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    /** Reads one line; what is not understood is said in the reading. */
    public static Reading read(String text, Lexicon lexicon) {
        ClauseReader r = new ClauseReader(lexicon);
        Measure m = r.measure(numbers(Lexicon.normal(text).replaceAll("[.;!]+$", "")));
        if (m != null) {
            return new Reading(m, null);
        }
        return new Reading(
                null,
                r.unknown != null
                        ? "\"" + r.unknown + "\" is no action, grip, position or body fact of the lexicon"
                        : "nothing here can be counted; say how soon, how long, how many, or with or without what");
    }

    private static String numbers(String text) {
        String said = text;
        for (int i = 0; i < NUMBERS.size(); i++) {
            said = said.replaceAll("\\b" + NUMBERS.get(i) + "\\b", Integer.toString(i + 1));
        }
        return said;
    }

    private @Nullable Measure measure(String text) {
        Matcher m = SOON.matcher(text);
        if (m.matches()) {
            EventPattern what = sight(m.group(1));
            EventPattern after = sight(m.group(3));
            return what == null || after == null ? null : new Measure.Soon(what, ms(m.group(2)), after);
        }
        m = BRIEF.matcher(text);
        if (m.matches()) {
            EventPattern what = sight(m.group(1));
            return what == null ? null : new Measure.Brief(what, ms(m.group(2)));
        }
        m = MANY.matcher(text);
        if (m.matches()) {
            EventPattern what = sight(m.group(3));
            return what == null
                    ? null
                    : new Measure.HowMany(
                            what, Integer.parseInt(m.group(2)), m.group(1).equals("least"));
        }
        m = ONLY.matcher(text);
        if (m.matches()) {
            return only(m.group(1), m.group(2).equals("without"), m.group(3));
        }
        m = NONE.matcher(text);
        if (m.matches()) {
            EventPattern what = sight(m.group(1));
            return what == null ? null : new Measure.HowMany(what, 0, false);
        }
        return null;
    }

    private static long ms(String seconds) {
        return Math.round(Double.parseDouble(seconds) * MS);
    }

    private @Nullable Measure only(String deed, boolean wanted, String state) {
        EventPattern what = sight(deed);
        if (what == null) {
            return null;
        }
        if (what.kind() == EventPattern.Kind.ACTION && wanted) {
            for (String technique : what.codes()) {
                for (String point : lexicon.checkpoints(technique)) {
                    if (Lexicon.normal(point).equals(state)) {
                        return new Measure.Checked(what, point);
                    }
                }
            }
        }
        EventPattern so = sight(state);
        return so == null ? null : new Measure.Only(what, so, wanted);
    }

    private @Nullable EventPattern sight(String typed) {
        String words = FILLING.matcher(typed).replaceAll(" ").strip().replaceAll("\\s+", " ");
        Boolean whose = null;
        for (Map.Entry<String, Boolean> w : WHOSE.entrySet()) {
            if (words.startsWith(w.getKey())) {
                whose = w.getValue();
                words = words.substring(w.getKey().length());
            }
        }
        boolean ours = whose == null || whose;
        Optional<EventPattern> s = EventPatternReader.whole(words, ours, typed, lexicon);
        if (s.isPresent()) {
            return s.get();
        }
        unknown = unknown == null ? words : unknown;
        return null;
    }
}
