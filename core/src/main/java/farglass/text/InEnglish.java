package farglass.text;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Puts the fixed words of a question or a clause that is typed in the language in force into the English ones, which
 * its reader knows; names of the lexicon stay, since the lexicon knows them in both. English is always understood.
 */
public final class InEnglish {
    /** A question about an athlete. */
    public static final InEnglish QUESTION = new InEnglish("question");

    /** A clause of conduct. */
    public static final InEnglish CLAUSE = new InEnglish("clause");

    /** What is typed, as an expression over small letters, and what stands for it. */
    private record Word(Pattern typed, String english) {}

    private static final String BETWEEN = " = ";

    private final List<Word> portuguese;

    private InEnglish(String name) {
        this.portuguese = read(name + "_pt_BR.txt");
    }

    private static List<Word> read(String name) {
        try (InputStream in = InEnglish.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> l.contains(BETWEEN))
                    .map(InEnglish::word)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Word word(String line) {
        int at = line.indexOf(BETWEEN);
        String typed = "(?<![\\p{L}\\p{N}-])(?:" + line.substring(0, at) + ")(?![\\p{L}\\p{N}])";
        return new Word(Pattern.compile(typed), line.substring(at + BETWEEN.length()));
    }

    /** The same with the English words, in small letters; as it is when English is in force. */
    public String of(String text) {
        if (Language.current() != Language.PORTUGUESE) {
            return text;
        }
        String said = text.toLowerCase(Locale.ROOT);
        for (Word w : portuguese) {
            Matcher m = w.typed().matcher(said);
            said = m.replaceAll(w.english());
        }
        return said;
    }
}
