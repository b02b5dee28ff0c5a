package farglass.narration;

import farglass.narration.Word.Pause;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Timed lines as one row of words: lines that a machine wrote twice are taken once, each word has its moment. */
final class Speech {
    /** Silence after which something new is said. */
    private static final long BREATH_MS = 1500;
    /** What a line repeats of the ones before it is looked for so far back. */
    private static final int REPEATED = 40;

    private static final Pattern MARKS = Pattern.compile("<[^>]*>|\\{[^}]*\\}|\\[[^\\]]*\\]|&nbsp;|\u266a");
    private static final Pattern SPEAKER = Pattern.compile("^\\s*(?:-\\s+|>>+\\s*)");
    /** A name cut short ends no sentence: "sweep T. left". */
    private static final Pattern INITIAL = Pattern.compile("\\p{Lu}\\.");

    private static final Pattern NO_LETTER = Pattern.compile("[^\\p{L}\\p{N}/]+");
    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");

    private Speech() {}

    /** All words in their order. */
    static List<Word> words(List<Cue> cues) {
        List<Word> all = new ArrayList<>();
        for (Cue c : cues) {
            List<String> said = tokens(c.text());
            int repeated = repeated(all, said);
            int fresh = said.size() - repeated;
            if (fresh <= 0) {
                continue;
            }
            breathe(all, c.fromMs());
            for (int i = repeated; i < said.size(); i++) {
                long ms = c.fromMs() + (c.toMs() - c.fromMs()) * (i - repeated) / Math.max(1, fresh);
                all.add(word(said.get(i), ms));
            }
        }
        return all;
    }

    private static List<String> tokens(String text) {
        String plain = SPEAKER.matcher(MARKS.matcher(text).replaceAll(" ")).replaceFirst("");
        List<String> tokens = new ArrayList<>();
        for (String t : plain.strip().split("[\\s\u2014\u2013]+|-(?=\\s)|(?<=\\p{L})-(?=\\p{L})")) {
            if (!NO_LETTER.matcher(t).replaceAll("").isEmpty()) {
                tokens.add(t);
            } else if (!t.isEmpty() && !tokens.isEmpty()) {
                tokens.set(tokens.size() - 1, tokens.get(tokens.size() - 1) + t);
            }
        }
        return tokens;
    }

    /** How many words at its beginning a line repeats of the end of what was said before. */
    private static int repeated(List<Word> before, List<String> line) {
        for (int n = Math.min(Math.min(before.size(), line.size()), REPEATED); n >= 2; n--) {
            boolean same = true;
            for (int i = 0; same && i < n; i++) {
                same = before.get(before.size() - n + i).said().equals(line.get(i));
            }
            if (same) {
                return n;
            }
        }
        // a whole line of one word may stand twice
        boolean again = line.size() == 1
                && !before.isEmpty()
                && before.get(before.size() - 1).said().equals(line.get(0));
        return again ? 1 : 0;
    }

    private static void breathe(List<Word> all, long ms) {
        if (!all.isEmpty()) {
            Word last = all.get(all.size() - 1);
            if (ms - last.ms() > BREATH_MS + wordMs(last)) {
                all.set(all.size() - 1, new Word(last.said(), last.bare(), last.owned(), last.ms(), Pause.LONG));
            }
        }
    }

    /** How long a word takes to say, roughly. */
    private static long wordMs(Word w) {
        return 80L * w.said().length();
    }

    private static Word word(String said, long ms) {
        String lower = said.toLowerCase(Locale.ROOT).replace('\u2019', '\'');
        String trimmed = lower.replaceAll("[^\\p{L}\\p{N}']+$", "");
        boolean owned = trimmed.endsWith("'s") || trimmed.endsWith("s'");
        String stem = trimmed.endsWith("'s") ? trimmed.substring(0, trimmed.length() - 2) : trimmed;
        char end = lower.charAt(lower.length() - 1);
        if (INITIAL.matcher(said).matches()) {
            return new Word(said, bare(stem), owned, ms, Pause.NONE);
        }
        Pause pause = ".!?;\u2026".indexOf(end) >= 0 ? Pause.LONG : ",:)".indexOf(end) >= 0 ? Pause.SHORT : Pause.NONE;
        return new Word(said, bare(stem), owned, ms, pause);
    }

    /** Letters and digits alone, without accents. */
    static String bare(String text) {
        String plain =
                ACCENTS.matcher(Normalizer.normalize(text, Normalizer.Form.NFD)).replaceAll("");
        return NO_LETTER.matcher(plain.toLowerCase(Locale.ROOT)).replaceAll("");
    }
}
