package farglass.narration;

import farglass.match.Corner;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Whether whoever speaks tells of a match of his own, or speaks to one of the two. */
final class Speaker {
    static final Set<String> ADDRESSED = Set.of("you", "youre", "youve", "your");
    /** Of whoever tells of a match of his own. */
    static final Set<String> OWN = Set.of("i", "im", "ive", "id", "ill");

    static final Set<String> MINE = Set.of("my", "me");
    /** Behind "me" or "I'm" before what is worn: "this is me in the blue gi". */
    private static final Set<String> INTRODUCED = Set.of("in", "the", "wearing", "on", "as");
    /** Behind a name that is called. */
    private static final Set<String> CALLED = Set.of(
            "watch",
            "look",
            "listen",
            "see",
            "sit",
            "remember",
            "okay",
            "lets",
            "come",
            "you",
            "your",
            "youre",
            "i",
            "ive",
            "tell",
            "thanks");
    /** One word in so many is "I" where somebody tells of himself. */
    private static final int SELF = 30;
    /** Before the name of the other one: "me against Nerea". */
    private static final Set<String> MEETS = Set.of("against", "versus", "vs", "fought", "faced", "drew", "with");
    /** So few words behind "me", "my" or "I". */
    private static final int MET = 5;
    /** Before a name that is greeted: "okay Mira", "good to see you, Sol". */
    private static final Set<String> GREETINGS = Set.of(
            "okay", "ok", "alright", "right", "so", "hey", "hi", "hello", "listen", "well", "good", "you", "again",
            "back");
    /** Words at the beginning in which somebody is spoken to. */
    private static final int GREETING = 60;

    private final List<Word> words;
    private final People people;
    private final SpeechWords patterns;
    private final @Nullable Corner self;

    Speaker(List<Word> words, People people, SpeechWords patterns) {
        this.words = words;
        this.people = people;
        this.patterns = patterns;
        this.self = told();
    }

    /** Who tells of a match of his own; null for nobody. */
    @Nullable
    Corner self() {
        return self;
    }

    /** To whom it is said: named beside a greeting at the beginning, and spoken to a good deal; null for nobody. */
    @Nullable
    Corner addressed() {
        if (self != null) {
            return null;
        }
        long spoken = words.stream().filter(w -> ADDRESSED.contains(w.bare())).count();
        if (spoken * 40 < words.size()) {
            return null;
        }
        for (int i = 0; i < Math.min(GREETING, words.size()); i++) {
            People.Named n = people.at(words, i);
            boolean alone = n != null
                    && !n.owned()
                    && words.get(Math.min(words.size(), i + n.words()) - 1).pause() != Word.Pause.NONE;
            if (n != null
                    && alone
                    && ((i > 0 && GREETINGS.contains(words.get(i - 1).bare())) || called(i, n))) {
                return n.who();
            }
        }
        return null;
    }

    /** Whether a name begins a sentence that goes on to that athlete: "Mira, watch this with me". */
    private boolean called(int i, People.Named n) {
        boolean begins = i == 0 || words.get(i - 1).pause() == Word.Pause.LONG;
        int next = i + n.words();
        return begins && next < words.size() && CALLED.contains(words.get(next).bare());
    }

    /** Who tells of a match of his own: "this is me in blue", and "I" again and again; null for nobody. */
    private @Nullable Corner told() {
        long own = words.stream().filter(w -> OWN.contains(w.bare())).count();
        if (own * SELF < words.size()) {
            return null;
        }
        for (int i = 0; i < Math.min(GREETING, words.size()); i++) {
            Corner met = met(i);
            if (met != null) {
                return met.other();
            }
            boolean introduced = patterns.has("self", " " + words.get(i).bare() + " ")
                    && i + 1 < words.size()
                    && (INTRODUCED.contains(words.get(i + 1).bare()) || people.at(words, i + 1) != null);
            if (!introduced) {
                continue;
            }
            for (int k = i + 1; k < Math.min(words.size(), i + 8); k++) {
                People.Named n = people.at(words, k);
                if (n != null && !n.owned()) {
                    return n.who();
                }
                if (words.get(k).pause() == Word.Pause.LONG) {
                    break;
                }
            }
        }
        return null;
    }

    /** Against whom, as in "me against Nerea" and "my match with Nerea"; null where nothing such begins. */
    private @Nullable Corner met(int i) {
        String w = words.get(i).bare();
        if (!MINE.contains(w) && !OWN.contains(w)) {
            return null;
        }
        for (int k = i + 1; k < Math.min(words.size() - 1, i + MET); k++) {
            People.Named n = MEETS.contains(words.get(k).bare()) ? people.at(words, k + 1) : null;
            if (n != null && !n.owned()) {
                return n.who();
            }
        }
        return null;
    }
}
