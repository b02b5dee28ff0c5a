package farglass.narration;

import farglass.match.RemarkKind;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What a sentence thinks of what it tells: by how such things are said, and by words that praise or find fault. */
final class Opinions {
    private static final Set<String> PRAISE = WordList.read("praise.txt");
    private static final Set<String> FAULTS = WordList.read("faults.txt");

    private final SpeechWords patterns;

    Opinions(SpeechWords patterns) {
        this.patterns = patterns;
    }

    /**
     * Which kind of remark a sentence is; null when it only tells what happens.
     *
     * @param text bare words with a blank before, between and behind
     */
    @Nullable
    RemarkKind of(String text) {
        boolean fault = patterns.has("error", text);
        if (!fault && patterns.has("question", text)) {
            return RemarkKind.QUESTION;
        }
        if (fault || patterns.has("hypothetical", text)) {
            return RemarkKind.ERROR;
        }
        if (patterns.has("preference", text)) {
            return RemarkKind.PREFERENCE;
        }
        if (patterns.has("trigger", text)) {
            return RemarkKind.TRIGGER;
        }
        if (patterns.has("praise", text)) {
            return RemarkKind.PRAISE;
        }
        if (any(FAULTS, text)) {
            return RemarkKind.ERROR;
        }
        if (any(PRAISE, text)) {
            return RemarkKind.PRAISE;
        }
        boolean note = patterns.has("teaching", text)
                || patterns.has("reason", text)
                || patterns.has("opinion", text)
                || patterns.has("judges", text);
        return note ? RemarkKind.NOTE : null;
    }

    private static boolean any(Set<String> words, String text) {
        return Stream.of(text.strip().split(" ")).anyMatch(words::contains);
    }
}
