package farglass.narration;

import farglass.match.Side;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** To which side an action goes, where that is said. */
final class Sides {
    /** Words between an action and its side. */
    private static final int AWAY = 8;

    /** The same of "to the left". */
    private static final int FAR = 14;

    /** Behind a side that is not the action's. */
    private static final Set<String> LIMBS = Set.of(
            "hand",
            "arm",
            "foot",
            "leg",
            "knee",
            "hip",
            "shoulder",
            "grip",
            "elbow",
            "sleeve",
            "collar",
            "lapel",
            "ankle",
            "wrist",
            "heel",
            "underhook",
            "hook");

    /** What is attacked of an arm or a leg. */
    private static final Map<String, String> ATTACKED = Map.of(
            "arm",
            "arm",
            "elbow",
            "arm",
            "shoulder",
            "arm",
            "wrist",
            "arm",
            "leg",
            "leg",
            "foot",
            "leg",
            "knee",
            "leg",
            "ankle",
            "leg",
            "heel",
            "leg");

    /** Behind "right" where it is no side: "right now". */
    private static final Set<String> MOMENTS = Set.of("now", "away", "there", "here");

    /** Before a side. */
    private static final Set<String> BEFORE = Set.of(
            "to",
            "the",
            "her",
            "his",
            "my",
            "our",
            "their",
            "on",
            "again",
            "your",
            "side",
            "going",
            "towards",
            "opposite",
            "round",
            "around");

    /** Before "left" where it is what remains, and before "right" where it agrees. */
    private static final Set<String> REMAINS = Set.of(
            "seconds",
            "minutes",
            "minute",
            "second",
            "nothing",
            "points",
            "is",
            "was",
            "has",
            "have",
            "been",
            "all",
            "thats",
            "that",
            "yeah",
            "youre",
            "you",
            "quite",
            "not",
            "about",
            "are",
            "options",
            "anything",
            "much");

    /** Behind "left" and "right" where they are no side: "right into it". */
    private static final Set<String> MOVES =
            Set.of("now", "there", "here", "away", "back", "into", "through", "to", "over", "past");

    private static final Set<String> THE = Set.of("the", "her", "his", "your", "my", "their");
    private static final Set<String> LEFT = Set.of("left", "lefthand");
    private static final Set<String> RIGHT = Set.of("right", "righthand");

    private final List<Word> words;
    private final Subjects subjects;

    Sides(List<Word> words, Subjects subjects) {
        this.words = words;
        this.subjects = subjects;
    }

    /**
     * "left" and "right" beside what is done, unless it is a hand, a foot or a moment: "right now".
     *
     * @param from, to stretch of words that speaks of the action
     */
    @Nullable
    Side of(NamedAct s, int from, int to) {
        // "passes to your left with the long step"
        for (int i = s.from() + 1; i <= s.to(); i++) {
            Side within = BEFORE.contains(words.get(i - 1).bare()) ? side(i, s.to() + 1) : null;
            if (within != null) {
                return within;
            }
        }
        for (int away = 1; away <= FAR; away++) {
            for (int i : new int[] {s.to() + away, s.from() - away}) {
                boolean sided = i >= from
                        && i < to
                        && (away <= AWAY || towards(i))
                        && (i > s.to() ? behind(i, away, to) : before(i, to));
                Side side = sided ? side(i, to) : null;
                if (side != null) {
                    return side;
                }
            }
        }
        return null;
    }

    /** The arm or leg that is attacked, such as "left-arm" for "armbar on the left arm"; null when none is said. */
    @Nullable
    String limb(NamedAct s, int from, int to) {
        for (int away = 1; away <= AWAY; away++) {
            for (int i : new int[] {s.to() + away, s.from() - away}) {
                String part =
                        i >= from && i + 1 < to ? ATTACKED.get(words.get(i + 1).bare()) : null;
                String w = part == null ? "" : words.get(i).bare();
                if (LEFT.contains(w) || RIGHT.contains(w)) {
                    return (LEFT.contains(w) ? "left-" : "right-") + part;
                }
            }
        }
        return null;
    }

    /** The side that a word says; null when it says none. */
    private @Nullable Side side(int i, int to) {
        Word word = words.get(i);
        String next =
                i + 1 < to && word.pause() == Word.Pause.NONE ? words.get(i + 1).bare() : "";
        boolean moment =
                MOMENTS.contains(next) && (i == 0 || !words.get(i - 1).bare().equals("the"));
        if (moment || LIMBS.contains(next) || word.said().endsWith("?")) {
            return null;
        }
        // notes have a letter
        boolean letter = word.said().matches("\\(?[LR][,.;)]*");
        String w = letter ? (word.bare().equals("l") ? "left" : "right") : word.bare();
        return LEFT.contains(w) ? Side.LEFT : RIGHT.contains(w) ? Side.RIGHT : null;
    }

    /** Whether a word behind an action says where it goes: right behind it, at a pause, or after "to the". */
    private boolean behind(int i, int away, int to) {
        Word last = words.get(i - 1);
        boolean alone = (words.get(i).pause() != Word.Pause.NONE
                        || i + 1 >= to
                        || Set.of("side", "and").contains(words.get(i + 1).bare()))
                && !REMAINS.contains(last.bare());
        return away == 1
                || alone
                || last.pause() != Word.Pause.NONE
                || subjects.first(i - 1, i) != null
                || BEFORE.contains(last.bare());
    }

    /** "To the left", "towards her right". */
    private boolean towards(int i) {
        return i > 1
                && THE.contains(words.get(i - 1).bare())
                && Set.of("to", "towards").contains(words.get(i - 2).bare());
    }

    /** Whether a word before an action may say where it goes. */
    private boolean before(int i, int to) {
        return i + 1 >= to || !MOVES.contains(words.get(i + 1).bare());
    }
}
