package farglass.ask;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import farglass.match.Side;
import farglass.tendency.Filter;
import farglass.tendency.Opponents;
import farglass.text.CoreWords;
import farglass.text.InEnglish;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A question in the words of the phrase line: "passes to the left in no-gi when behind".
 *
 * @param techniques codes asked for; several when a word stands for several or for a family
 * @param subject the words of the subject as typed, or empty
 * @param positions codes asked for
 * @param side or null
 * @param measure what is asked, or null when the subject says it
 * @param filter what the rest of the words narrow
 * @param understood every piece that was understood, in words
 * @param notUnderstood words that mean nothing here
 */
public record Asked(
        List<String> techniques,
        String subject,
        List<String> positions,
        @Nullable Side side,
        @Nullable Measure measure,
        Filter filter,
        List<String> understood,
        List<String> notUnderstood) {
    /** What is asked about the subject. */
    public enum Measure {
        WORKS,
        SIDES,
        RATE,
        LASTS,
        NEXT,
        ANSWERS,
        AGAINST
    }

    private static final int LONGEST = 6;
    private static final Pattern SINCE = Pattern.compile("(since|after|from) (\\d{4})");
    private static final Pattern BEFORE = Pattern.compile("(before|until) (\\d{4})");
    private static final Pattern LEAD = Pattern.compile("against (left|right)( lead)?");

    public Asked {
        techniques = List.copyOf(techniques);
        positions = List.copyOf(positions);
        understood = List.copyOf(understood);
        notUnderstood = List.copyOf(notUnderstood);
    }

    /**
     * @param names id to displayed name of the athletes of the library
     * @param start filter that the words narrow
     */
    public static Asked read(String text, Lexicon lexicon, Map<String, String> names, Filter start) {
        return new Reader(lexicon, names, start).read(text);
    }

    /** Whether nothing of the question was understood. */
    public boolean empty() {
        return techniques.isEmpty() && positions.isEmpty();
    }

    /** Ways to go on with the last word, at most {@code most}. */
    public static List<String> complete(String text, Lexicon lexicon, Map<String, String> names, int most) {
        String[] words = text.toLowerCase(Locale.ROOT).split("\\s+", -1);
        String last = words[words.length - 1];
        if (last.isEmpty()) {
            return List.of();
        }
        TreeSet<String> found = new TreeSet<>();
        lexicon.words().stream().filter(w -> w.startsWith(last)).forEach(found::add);
        lexicon.families().stream()
                .map(f -> Lexicon.normal(f.name()))
                .filter(w -> w.startsWith(last))
                .forEach(found::add);
        AskWords.FILTERS.keySet().stream().filter(w -> w.startsWith(last)).forEach(found::add);
        AskWords.MEASURES.keySet().stream().filter(w -> w.startsWith(last)).forEach(found::add);
        List.of("left", "right", "since", "before", "against").stream()
                .filter(w -> w.startsWith(last))
                .forEach(found::add);
        names.values().stream()
                .map(n -> n.substring(n.lastIndexOf(' ') + 1).toLowerCase(Locale.ROOT))
                .filter(w -> w.startsWith(last))
                .forEach(found::add);
        found.remove(last);
        return found.stream()
                .sorted(java.util.Comparator.comparingInt(String::length))
                .limit(most)
                .toList();
    }

    private static final class Reader {
        private final Lexicon lexicon;
        private final Map<String, String> names;
        private Filter filter;
        private final List<String> techniques = new ArrayList<>();
        private final List<String> positions = new ArrayList<>();
        private final List<String> subject = new ArrayList<>();
        private @Nullable Side side;
        private @Nullable Measure measure;
        private final List<String> understood = new ArrayList<>();
        private final List<String> unknown = new ArrayList<>();

        Reader(Lexicon lexicon, Map<String, String> names, Filter start) {
            this.lexicon = lexicon;
            this.names = names;
            this.filter = start;
        }

        Asked read(String text) {
            String[] words =
                    InEnglish.QUESTION.of(text.strip()).toLowerCase(Locale.ROOT).split("[\\s,?]+");
            int i = 0;
            while (i < words.length) {
                int used = 0;
                for (int n = Math.min(LONGEST, words.length - i); n > 0 && used == 0; n--) {
                    used = take(String.join(" ", Arrays.copyOfRange(words, i, i + n))) ? n : 0;
                }
                if (used == 0) {
                    if (!words[i].isEmpty() && !AskWords.SKIPPED.contains(words[i])) {
                        unknown.add(words[i]);
                    }
                    used = 1;
                }
                i += used;
            }
            return new Asked(
                    techniques, String.join(" ", subject), positions, side, measure, filter, understood, unknown);
        }

        private boolean take(String typed) {
            UnaryOperator<Filter> narrower = AskWords.FILTERS.get(typed);
            if (narrower != null) {
                filter = narrower.apply(filter);
                understood.add(typed);
                return true;
            }
            if (AskWords.SIDES.containsKey(typed)) {
                side = AskWords.SIDES.get(typed);
                understood.add(CoreWords.of("ask.side", CoreWords.code(side.code())));
                return true;
            }
            if (AskWords.MEASURES.containsKey(typed)) {
                measure = AskWords.MEASURES.get(typed);
                understood.add(typed);
                return true;
            }
            return date(typed) || opponent(typed) || term(typed);
        }

        private boolean date(String typed) {
            Matcher since = SINCE.matcher(typed);
            Matcher before = BEFORE.matcher(typed);
            if (since.matches()) {
                filter = filter.dates(LocalDate.of(Integer.parseInt(since.group(2)), 1, 1), filter.to());
            } else if (before.matches()) {
                LocalDate day = LocalDate.of(Integer.parseInt(before.group(2)), 1, 1);
                filter = filter.dates(filter.from(), day.minusDays(1));
            } else {
                return false;
            }
            understood.add(typed);
            return true;
        }

        private boolean opponent(String typed) {
            Matcher lead = LEAD.matcher(typed);
            if (lead.matches()) {
                filter = filter.opponents(new Opponents(java.util.Set.of(), lead.group(1), null, null, null));
                understood.add(CoreWords.of("ask.lead", CoreWords.code(lead.group(1))));
                return true;
            }
            if (!typed.startsWith("against ")) {
                return false;
            }
            String who = typed.substring("against ".length());
            for (Map.Entry<String, String> e : names.entrySet()) {
                String name = e.getValue().toLowerCase(Locale.ROOT);
                if (name.equals(who) || Arrays.asList(name.split("\\s+")).contains(who)) {
                    filter = filter.opponents(Opponents.only(e.getKey()));
                    understood.add(CoreWords.of("ask.against", e.getValue()));
                    return true;
                }
            }
            return false;
        }

        /** A family, or whatever the lexicon knows by that word, its plural or its -ing form. */
        private boolean term(String typed) {
            for (String word : forms(typed)) {
                List<String> family = lexicon.families().stream()
                        .filter(f -> Lexicon.normal(f.code()).equals(word)
                                || Lexicon.normal(f.name()).equals(word))
                        .flatMap(f -> lexicon.techniques().stream()
                                .filter(t -> t.family().equals(f.code())))
                        .map(Technique::code)
                        .toList();
                if (!family.isEmpty()) {
                    return subject(typed, family, List.of());
                }
                List<Term> terms = lexicon.lookUp(word);
                List<String> t = terms.stream()
                        .filter(Technique.class::isInstance)
                        .map(Term::code)
                        .toList();
                List<String> p = terms.stream()
                        .filter(Position.class::isInstance)
                        .map(Term::code)
                        .toList();
                if (!t.isEmpty() || !p.isEmpty()) {
                    return subject(typed, t, t.isEmpty() ? p : List.of());
                }
            }
            return false;
        }

        private boolean subject(String typed, List<String> t, List<String> p) {
            techniques.addAll(t);
            positions.addAll(p);
            subject.add(typed);
            understood.add(typed);
            return true;
        }

        private static List<String> forms(String typed) {
            List<String> forms = new ArrayList<>(List.of(typed));
            for (String end : List.of("es", "s", "ing", "ping")) {
                if (typed.endsWith(end) && typed.length() > end.length() + 2) {
                    forms.add(typed.substring(0, typed.length() - end.length()));
                }
            }
            return forms;
        }
    }
}
