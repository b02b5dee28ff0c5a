package farglass.narration;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is said for an action beside its names, mostly verbs: "takes the back", "passes the guard". */
final class SpokenForms {
    private static final Pattern PIECE = Pattern.compile("\\{([a-z]+)\\}");

    private final List<Form> forms;

    /** @param code of a technique, or a family with a colon behind it */
    private record Form(String code, Pattern pattern) {}

    /**
     * A form that was found.
     *
     * @param from index of its first word
     * @param to index of its last word
     */
    record Found(String code, int from, int to) {
        /** Whether only the family was said. */
        boolean family() {
            return code.endsWith(":");
        }
    }

    SpokenForms() {
        List<Form> all = new ArrayList<>();
        Map<String, String> pieces = new HashMap<>();
        for (String line : WordList.lines("forms.txt")) {
            String[] parts = line.split(" ", 2);
            String pattern = filled(parts[1], pieces);
            switch (parts[0].charAt(0)) {
                case '@' -> pieces.put(parts[0].substring(1), Inflection.pattern(List.of(pattern.split(" "))));
                case '=' -> pieces.put(parts[0].substring(1), pattern);
                default -> all.add(new Form(parts[0], Pattern.compile("(?<= )" + pattern + "(?= )")));
            }
        }
        forms = List.copyOf(all);
    }

    /** With the pieces that are named in braces. */
    private static String filled(String pattern, Map<String, String> pieces) {
        return PIECE.matcher(pattern)
                .replaceAll(m -> Matcher.quoteReplacement(
                        Objects.requireNonNull(pieces.get(m.group(1)), () -> "no words are named " + m.group())));
    }

    /** Every form between two words, the longer of two that overlap. */
    List<Found> in(List<Word> words, int from, int to) {
        StringBuilder text = new StringBuilder(" ");
        int[] starts = new int[to - from + 1];
        for (int i = from; i < to; i++) {
            starts[i - from] = text.length();
            text.append(words.get(i).bare()).append(' ');
        }
        starts[to - from] = text.length();
        List<Found> found = new ArrayList<>();
        for (Form f : forms) {
            Matcher m = f.pattern().matcher(text);
            while (m.find()) {
                found.add(new Found(f.code(), from + at(starts, m.start()), from + at(starts, m.end() - 1)));
            }
        }
        found.removeIf(f -> found.stream()
                .anyMatch(o -> o != f
                        && o.from() <= f.to()
                        && f.from() <= o.to()
                        && (length(o) > length(f)
                                || (length(o) == length(f)
                                        && ((f.family() && !o.family()) || found.indexOf(o) < found.indexOf(f))))));
        return found;
    }

    private static int length(Found f) {
        return f.to() - f.from();
    }

    private static int at(int[] starts, int offset) {
        int i = 0;
        while (i + 1 < starts.length && starts[i + 1] <= offset) {
            i++;
        }
        return i;
    }
}
