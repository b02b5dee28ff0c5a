package farglass.narration;

import farglass.lexicon.Grip;
import farglass.lexicon.Lexicon;
import farglass.lexicon.Technique;
import farglass.lexicon.Term;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Finds the lexicon's names in a row of words, also inflected, joined, taken apart or misheard: what was said is
 * written without blanks and held against every name written so, with an edit or two in ten letters forgiven (Damerau
 * 1964), and names that only sound alike.
 */
final class TermFinder {
    private static final int LONGEST = 5;
    /** Names that are shorter are typed, not said. */
    private static final int LEAST = 4;
    /** From this many letters on one edit is forgiven, and two. */
    private static final int ONE = 6;

    private static final int TWO = 10;
    /** From this many letters on a name may only sound like it, and so many consonants must. */
    private static final int SOUNDS = 7;

    private static final int HEARD = 4;
    /** Words that are names of the lexicon and too much else in speech. */
    private static final Set<String> OTHERWISE = WordList.read("otherwise.txt");

    /** Everyday words; what is made of them alone is forgiven nothing. */
    private static final Set<String> EVERYDAY = everyday();

    private final Map<String, Term> exact = new HashMap<>();
    /** By first letter and length. */
    private final Map<String, List<String>> similar = new HashMap<>();

    TermFinder(Lexicon lexicon) {
        for (String word : lexicon.words()) {
            String bare = Speech.bare(word);
            if (bare.length() >= LEAST && !OTHERWISE.contains(bare) && !bare.equals("mounts")) {
                lexicon.lookUp(word).stream()
                        .filter(t -> !(t instanceof Grip))
                        // what is both is mostly said when it is done
                        .min(Comparator.comparing(t -> !(t instanceof Technique)))
                        .ifPresent(t -> exact.putIfAbsent(bare, t));
            }
        }
        Set<String> foreign = new HashSet<>();
        for (Collection<? extends Term> terms : List.of(lexicon.positions(), lexicon.techniques())) {
            for (Term t : terms) {
                // it is English that is spoken, whatever the names are shown in
                String english = t.names().getOrDefault("en", t.name());
                t.names().values().forEach(n -> foreign.add(Speech.bare(n)));
                foreign.remove(Speech.bare(english));
            }
        }
        for (String bare : exact.keySet()) {
            if (foreign.contains(bare)) {
                continue;
            }
            similar.computeIfAbsent(bare.charAt(0) + " " + bare.length(), k -> new ArrayList<>())
                    .add(bare);
        }
    }

    private static Set<String> everyday() {
        Set<String> all = new HashSet<>(WordList.read("everyday.txt"));
        for (String verb : WordList.read("verbs.txt")) {
            all.addAll(Inflection.forms(verb));
        }
        return Set.copyOf(all);
    }

    /** Whether a word means nothing by itself. */
    static boolean everyday(String bare) {
        return EVERYDAY.contains(bare);
    }

    /** All names between two words, in their order; the longest that fits counts. */
    List<Mention> in(List<Word> words, int from, int to) {
        List<Mention> found = new ArrayList<>(in(words, from, to, true));
        // what is only similar is looked for where nothing is named exactly
        int gap = from;
        for (Mention m : List.copyOf(found)) {
            found.addAll(in(words, gap, m.from(), false));
            gap = m.to() + 1;
        }
        found.addAll(in(words, gap, to, false));
        found.sort(Comparator.comparingInt(Mention::from));
        return found;
    }

    private List<Mention> in(List<Word> words, int from, int to, boolean sure) {
        List<Mention> found = new ArrayList<>();
        int i = from;
        while (i < to) {
            Term t = null;
            for (int n = Math.min(LONGEST, to - i); n > 0 && t == null; n--) {
                t = term(words, i, n, sure);
                if (t != null) {
                    found.add(new Mention(t, i, i + n - 1, sure));
                    i += n - 1;
                }
            }
            i++;
        }
        return found;
    }

    private @Nullable Term term(List<Word> words, int i, int n, boolean sure) {
        StringBuilder joined = new StringBuilder();
        boolean everyday = true;
        for (int k = i; k < i + n; k++) {
            Word w = words.get(k);
            // a name goes over no pause, and over no possessive but that of a name itself
            if (k < i + n - 1 && (w.pause() != Word.Pause.NONE || w.owned())) {
                return null;
            }
            joined.append(w.bare());
            everyday &= EVERYDAY.contains(w.bare());
        }
        String said = joined.toString();
        if (sure) {
            for (String form : forms(said)) {
                Term t = exact.get(form);
                if (t != null) {
                    return t;
                }
            }
            return null;
        }
        return everyday || (EVERYDAY.contains(words.get(i + n - 1).bare()) && n > 1 && said.length() < TWO)
                ? null
                : similar(said);
    }

    /** As said, and without what inflects it. */
    private static List<String> forms(String said) {
        List<String> forms = new ArrayList<>();
        forms.add(said);
        for (String end : List.of("s", "es", "ed", "ing", "ting", "ted", "position")) {
            if (said.endsWith(end) && said.length() - end.length() >= LEAST) {
                forms.add(said.substring(0, said.length() - end.length()));
            }
        }
        if (said.endsWith("ing") && said.length() > LEAST + 3) {
            forms.add(said.substring(0, said.length() - 3) + "e");
        }
        return forms;
    }

    private @Nullable Term similar(String said) {
        if (said.length() < ONE) {
            return null;
        }
        int allowed = said.length() >= SOUNDS ? 2 : 1;
        String best = null;
        int least = allowed + 1;
        for (int length = said.length() - allowed; length <= said.length() + allowed; length++) {
            for (String name : similar.getOrDefault(said.charAt(0) + " " + length, List.of())) {
                int edits = Sound.alike(said, name, HEARD, true) ? 1 : edits(said, name, least);
                if (edits < least
                        && edits <= (name.length() >= TWO && said.length() >= TWO ? 2 : name.length() >= ONE ? 1 : 0)) {
                    least = edits;
                    best = name;
                }
            }
        }
        return best == null ? null : exact.get(best);
    }

    /** Letters to insert, leave out, change or swap with their neighbour; at least {@code most} when it is no less. */
    static int edits(String a, String b, int most) {
        int[] before = new int[b.length() + 1];
        int[] last = new int[b.length() + 1];
        int[] now = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            last[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            now[0] = i;
            int row = i;
            for (int j = 1; j <= b.length(); j++) {
                int change = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
                now[j] = Math.min(Math.min(now[j - 1], last[j]) + 1, last[j - 1] + change);
                if (i > 1 && j > 1 && a.charAt(i - 1) == b.charAt(j - 2) && a.charAt(i - 2) == b.charAt(j - 1)) {
                    now[j] = Math.min(now[j], before[j - 2] + 1);
                }
                row = Math.min(row, now[j]);
            }
            if (row >= most) {
                return most;
            }
            int[] free = before;
            before = last;
            last = now;
            now = free;
        }
        return last[b.length()];
    }
}
