package farglass.narration;

import farglass.match.Corner;
import farglass.match.MatchAthlete;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Who is meant: by a name or a part of it, also misheard, by the colour of what is worn. */
final class People {
    /** Behind a colour that is no athlete. */
    private static final Set<String> CLOTHES = Set.of(
            "belt", "belts", "gi", "gis", "kimono", "shorts", "trousers", "pants", "shirt", "rashguard", "and", "mat");

    /** Behind "Brisa's" where that is "Brisa is". */
    private static final Set<String> IS = Set.of(
            "in",
            "on",
            "inside",
            "under",
            "underneath",
            "out",
            "up",
            "down",
            "over",
            "behind",
            "back",
            "at",
            "by",
            "got",
            "not",
            "now",
            "still",
            "already",
            "just",
            "really",
            "very",
            "so",
            "too",
            "a",
            "an",
            "the",
            "been",
            "flat",
            "stuck",
            "trapped",
            "caught",
            "here",
            "there",
            "about",
            "off",
            "through",
            "around",
            "always",
            "never",
            "after",
            "done",
            "forced",
            "pinned",
            "tired",
            "safe",
            "free",
            "happy",
            "ahead",
            "probably",
            "clearly",
            "also");

    private static final int SIMILAR = 4;
    private static final int TWO = 6;
    private static final Map<String, int[]> COLOURS = Map.of(
            "white", new int[] {245, 245, 245},
            "black", new int[] {20, 20, 20},
            "blue", new int[] {40, 80, 190},
            "red", new int[] {200, 40, 40},
            "green", new int[] {40, 140, 60},
            "grey", new int[] {128, 128, 128},
            "yellow", new int[] {230, 210, 50},
            "orange", new int[] {235, 130, 30},
            "purple", new int[] {120, 50, 150},
            "pink", new int[] {240, 140, 180});
    /** Colours that are said, and those above that they are. */
    private static final Map<String, String> SHADES =
            Map.of("navy", "blue", "gray", "grey", "golden", "yellow", "gold", "yellow", "crimson", "red");

    private final Map<String, Corner> names = new HashMap<>();
    private final Map<String, Corner> worn = new HashMap<>();
    private final Map<String, Corner> initials = new HashMap<>();

    People(MatchAthlete first, MatchAthlete second) {
        Map<Corner, Set<String>> words = new HashMap<>();
        for (Corner c : Corner.values()) {
            MatchAthlete a = c == Corner.A ? first : second;
            String[] parts = a.name().split("\\s+");
            if (parts.length == 2) {
                String both = "" + parts[0].charAt(0) + parts[1].charAt(0);
                names.merge(both.toLowerCase(Locale.ROOT), c, (x, y) -> x == y ? x : null);
            }
            for (String part : parts) {
                initials.merge(part.charAt(0) + ".", c, (x, y) -> x == y ? x : null);
            }
            for (String part : parts) {
                String bare = Speech.bare(part);
                if (bare.length() >= 3) {
                    names.merge(bare, c, (x, y) -> x == y ? x : null);
                }
            }
            Set<String> said = new HashSet<>();
            if (a.marker() != null) {
                for (String w : a.marker().toLowerCase(Locale.ROOT).split("[^\\p{L}]+")) {
                    said.add(w);
                }
            }
            if (a.colour() != null) {
                said.add(nearest(a.colour()));
            }
            words.put(c, said);
        }
        for (Corner c : Corner.values()) {
            for (String w : words.getOrDefault(c, Set.of())) {
                boolean other = words.getOrDefault(c.other(), Set.of()).contains(w);
                String colour = SHADES.getOrDefault(w, w);
                if (!other && COLOURS.containsKey(colour)) {
                    worn.put(w, c);
                    SHADES.forEach((said, is) -> {
                        if (is.equals(colour)) {
                            worn.putIfAbsent(said, c);
                        }
                    });
                }
            }
        }
    }

    private static String nearest(String hex) {
        int rgb = Integer.parseInt(hex.substring(1), 16);
        String best = "";
        double least = Double.MAX_VALUE;
        for (Map.Entry<String, int[]> e : COLOURS.entrySet()) {
            int[] c = e.getValue();
            double away = Math.hypot(Math.hypot((rgb >> 16) - c[0], (rgb >> 8 & 0xff) - c[1]), (rgb & 0xff) - c[2]);
            if (away < least) {
                least = away;
                best = e.getKey();
            }
        }
        return best;
    }

    /**
     * Somebody that was named.
     *
     * @param words how many words name him
     * @param owned whether something of his is meant
     */
    record Named(Corner who, int words, boolean owned) {}

    /** Who is named from a word on; null when nobody is. */
    @Nullable
    Named at(List<Word> words, int i) {
        Word w = words.get(i);
        boolean owned = w.owned() && !is(words, i);
        Corner c = names.get(w.bare());
        if (c != null && (w.bare().length() > 2 || w.said().equals(w.said().toUpperCase(Locale.ROOT)))) {
            boolean more = i + 1 < words.size()
                    && !w.owned()
                    && w.pause() == Word.Pause.NONE
                    && names.get(words.get(i + 1).bare()) == c;
            return new Named(c, more ? 2 : 1, more ? words.get(i + 1).owned() && !is(words, i + 1) : owned);
        }
        if (initials.containsKey(w.said())) {
            return new Named(initials.get(w.said()), 1, false);
        }
        Named joined = similar(words, i);
        if (joined != null) {
            return joined;
        }
        Corner colour = worn.get(w.bare());
        boolean inColour = colour != null
                && (begins(words, i)
                        || Set.of("in", "the", "to", "for", "by", "on", "from", "wearing")
                                .contains(words.get(i - 1).bare()))
                && !(i + 1 < words.size()
                        && w.pause() == Word.Pause.NONE
                        && CLOTHES.contains(words.get(i + 1).bare()));
        return inColour && colour != null ? new Named(colour, 1, owned) : null;
    }

    /** Whether "Brisa's" is short for "Brisa is": before what one does, where one is or how. */
    private static boolean is(List<Word> words, int i) {
        if (!words.get(i).owned() || i + 1 >= words.size()) {
            return false;
        }
        String next = words.get(i + 1).bare();
        return IS.contains(next) || (next.endsWith("ing") && next.length() > SIMILAR);
    }

    /** Whether a clause begins with a word, as "black" in "black passes" or "and red has". */
    private static boolean begins(List<Word> words, int i) {
        return i == 0
                || words.get(i - 1).pause() != Word.Pause.NONE
                || Set.of("and", "but", "then", "so", "now", "when", "while", "because", "until", "as")
                        .contains(words.get(i - 1).bare());
    }

    /** A name that was misheard, in one word or two. */
    private @Nullable Named similar(List<Word> words, int i) {
        for (int n = 1; n <= 2 && i + n <= words.size(); n++) {
            if (n == 2
                    && (words.get(i).pause() != Word.Pause.NONE || words.get(i).owned())) {
                break;
            }
            StringBuilder said = new StringBuilder();
            words.subList(i, i + n).forEach(w -> said.append(w.bare()));
            if (words.subList(i, i + n).stream().allMatch(w -> TermFinder.everyday(w.bare()))) {
                continue;
            }
            boolean written = Character.isUpperCase(words.get(i).said().charAt(0));
            for (String form : forms(said.toString())) {
                for (Map.Entry<String, Corner> e : names.entrySet()) {
                    String name = e.getKey();
                    int allowed = name.length() >= TWO ? 2 : name.length() >= SIMILAR ? 1 : 0;
                    boolean close = form.length() >= SIMILAR
                            && form.charAt(0) == name.charAt(0)
                            && Math.abs(form.length() - name.length()) <= allowed
                            && TermFinder.edits(form, name, allowed + 1) <= (written ? allowed : Math.min(1, allowed));
                    if (close || Sound.alike(form, name, 2, false)) {
                        boolean owned = (words.get(i + n - 1).owned() && !is(words, i + n - 1))
                                || !form.equals(said.toString());
                        return new Named(e.getValue(), n, owned);
                    }
                }
            }
        }
        return null;
    }

    private static List<String> forms(String said) {
        List<String> forms = new ArrayList<>(List.of(said));
        if (said.endsWith("s") && said.length() > SIMILAR) {
            forms.add(said.substring(0, said.length() - 1));
        }
        return forms;
    }
}
