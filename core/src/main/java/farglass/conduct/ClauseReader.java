package farglass.conduct;

import farglass.lexicon.Lexicon;
import farglass.text.CoreWords;
import farglass.text.InEnglish;
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
    private static final String TIME = "(\\d+(?:[.,]\\d+)?) ?(?:s|sec|seconds?)";
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
    /** As Portuguese says it, after the thing. */
    private static final List<String> THEIRS = List.of(" deles", " dele", " dela", " do adversário");

    private static final double MS = 1000;

    /**
     * @param measure null when it cannot be measured
     * @param problem why not, in words; null when it can
     */
    public record Reading(
            @Nullable Measure measure, @Nullable String problem) {}

    private final Lexicon lexicon;
    private @Nullable String unknown;
    /** What was looked up last. */
    private @Nullable String missed;

    private ClauseReader(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    /** Reads one line; what is not understood is said in the reading. */
    public static Reading read(String text, Lexicon lexicon) {
        ClauseReader r = new ClauseReader(lexicon);
        Measure m = r.measure(numbers(Lexicon.normal(InEnglish.CLAUSE.of(text)).replaceAll("[.;!]+$", "")));
        if (m != null) {
            return new Reading(m, null);
        }
        return new Reading(
                null,
                r.unknown != null ? CoreWords.of("conduct.unknown", r.unknown) : CoreWords.of("conduct.uncounted"));
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
        return Math.round(Double.parseDouble(seconds.replace(',', '.')) * MS);
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
        Optional<EventPattern> as = whose(typed.strip(), typed);
        if (as.isEmpty()) {
            String bare = FILLING.matcher(typed).replaceAll(" ").strip().replaceAll("\\s+", " ");
            as = whose(bare, typed);
            if (as.isEmpty()) {
                unknown = unknown == null ? missed : unknown;
            }
        }
        return as.orElse(null);
    }

    /** What the words stand for, without those that say whose it is. */
    private Optional<EventPattern> whose(String said, String typed) {
        String words = said;
        boolean ours = true;
        for (Map.Entry<String, Boolean> w : WHOSE.entrySet()) {
            if (words.startsWith(w.getKey())) {
                ours = w.getValue();
                words = words.substring(w.getKey().length());
            }
        }
        for (String end : THEIRS) {
            if (words.endsWith(end)) {
                ours = false;
                words = words.substring(0, words.length() - end.length());
            }
        }
        missed = words;
        return EventPatternReader.whole(words, ours, typed, lexicon);
    }
}
