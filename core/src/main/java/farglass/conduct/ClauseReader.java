package farglass.conduct;

import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Reads a clause out of one line: {@code A within 10 s of B}, {@code A at most 2 s at a time}, {@code no A with B},
 * {@code no A without B}, {@code at least 3 A}, {@code at most 1 A}, {@code no A}. A and B are named as everywhere: an action
 * or its family, a grip, a position, a body fact, {@code restart}; {@code our} and {@code their} say whose.
 */
public final class ClauseReader {
    private static final String TIME = "(\\d+(?:\\.\\d+)?) ?(?:s|sec|seconds?)";
    private static final Pattern SOON =
            Pattern.compile("(.+?) (?:within|in) " + TIME + " (?:of|after)(?: every| each| any)? (.+)");
    private static final Pattern BRIEF = Pattern.compile("(.+?)(?: for)? at most " + TIME + "(?: at a time)?");
    private static final Pattern ONLY = Pattern.compile("(?:no|never) (.+?) (without|with|while) (.+)");
    private static final Pattern MANY = Pattern.compile("at (least|most) (\\d+) (.+)");
    private static final Pattern NONE = Pattern.compile("(?:no|never) (.+)");
    private static final Set<String> RESTARTS = Set.of("restart", "start", "restart of the match");
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
    public record Reading(Measure measure, String problem) {}

    private final Lexicon lexicon;
    private String unknown;

    private ClauseReader(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

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

    private Measure measure(String text) {
        Matcher m = SOON.matcher(text);
        if (m.matches()) {
            Sight what = sight(m.group(1));
            Sight after = sight(m.group(3));
            return what == null || after == null ? null : new Measure.Soon(what, ms(m.group(2)), after);
        }
        m = BRIEF.matcher(text);
        if (m.matches()) {
            Sight what = sight(m.group(1));
            return what == null ? null : new Measure.Brief(what, ms(m.group(2)));
        }
        m = MANY.matcher(text);
        if (m.matches()) {
            Sight what = sight(m.group(3));
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
            Sight what = sight(m.group(1));
            return what == null ? null : new Measure.HowMany(what, 0, false);
        }
        return null;
    }

    private static long ms(String seconds) {
        return Math.round(Double.parseDouble(seconds) * MS);
    }

    private Measure only(String deed, boolean wanted, String state) {
        Sight what = sight(deed);
        if (what == null) {
            return null;
        }
        if (what.kind() == Sight.Kind.ACTION && wanted) {
            for (String technique : what.codes()) {
                for (String point : lexicon.checkpoints(technique)) {
                    if (Lexicon.normal(point).equals(state)) {
                        return new Measure.Checked(what, point);
                    }
                }
            }
        }
        Sight so = sight(state);
        return so == null ? null : new Measure.Only(what, so, wanted);
    }

    private Sight sight(String typed) {
        String words = FILLING.matcher(typed).replaceAll(" ").strip().replaceAll("\\s+", " ");
        Boolean whose = null;
        for (Map.Entry<String, Boolean> w : WHOSE.entrySet()) {
            if (words.startsWith(w.getKey())) {
                whose = w.getValue();
                words = words.substring(w.getKey().length());
            }
        }
        boolean ours = whose == null || whose;
        for (String word : forms(words)) {
            Sight s = RESTARTS.contains(word)
                    ? new Sight(Sight.Kind.RESTART, true, Set.of(), typed)
                    : named(word, ours, typed);
            if (s != null) {
                return s;
            }
        }
        unknown = unknown == null ? words : unknown;
        return null;
    }

    private Sight named(String word, boolean ours, String typed) {
        Set<String> family = lexicon.families().stream()
                .filter(f -> Lexicon.normal(f.code()).equals(word)
                        || Lexicon.normal(f.name()).equals(word))
                .flatMap(f ->
                        lexicon.techniques().stream().filter(t -> t.family().equals(f.code())))
                .map(Technique::code)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        if (!family.isEmpty() && !word.equals("grip")) {
            return new Sight(Sight.Kind.ACTION, ours, family, typed);
        }
        List<Term> terms = lexicon.lookUp(word);
        Set<String> grips = codes(terms, Grip.class);
        // "collar" and "sleeve" are words of several grips, all of which are meant
        lexicon.grips().stream()
                .filter(g -> g.code().startsWith(word + "-") || (word + "s").equals(g.code()))
                .forEach(g -> grips.add(g.code()));
        Set<String> techniques = codes(terms, Technique.class);
        Set<String> positions = codes(terms, Position.class);
        String fact = word.replace(' ', '-');
        if (!techniques.isEmpty()) {
            return new Sight(Sight.Kind.ACTION, ours, techniques, typed);
        }
        if (!positions.isEmpty()) {
            return new Sight(Sight.Kind.PLACE, ours, positions, typed);
        }
        if (!grips.isEmpty()) {
            return new Sight(Sight.Kind.GRIP, ours, grips, typed);
        }
        return lexicon.facts().contains(fact) ? new Sight(Sight.Kind.FACT, ours, Set.of(fact), typed) : null;
    }

    private static Set<String> codes(List<Term> terms, Class<? extends Term> type) {
        return terms.stream()
                .filter(type::isInstance)
                .map(Term::code)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** As typed, without plural, without the word grip or "on one's back" at the end. */
    private static List<String> forms(String typed) {
        List<String> forms = new ArrayList<>(List.of(typed));
        for (String end : List.of("es", "s", " grip", " grips", " back", " our back", " his back", " her back")) {
            if (typed.endsWith(end) && typed.length() > end.length() + 2) {
                forms.add(typed.substring(0, typed.length() - end.length()));
            }
        }
        return forms;
    }
}
