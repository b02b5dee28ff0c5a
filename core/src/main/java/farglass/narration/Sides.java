package farglass.narration;

import farglass.match.Side;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** To which side an action goes, where that is said. */
final class Sides {
    /** Words between an action and its side. */
    private static final int AWAY = 8;

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

    /** Behind "right" where it is no side: "right now". */
    private static final Set<String> MOMENTS = Set.of("now", "away", "there", "here");

    /** Before a side. */
    private static final Set<String> BEFORE = Set.of(
            "to", "the", "her", "his", "my", "our", "their", "on", "again", "your", "side", "going", "towards",
            "opposite", "round", "around");

    private static final Set<String> LEFT = Set.of("left", "lefthand");
    private static final Set<String> RIGHT = Set.of("right", "righthand");

    private final List<Word> words;
    private final Subjects subjects;

    Sides(List<Word> words, Subjects subjects) {
        this.words = words;
        this.subjects = subjects;
    }

    /** "left" and "right" beside what is done, unless it is a hand, a foot or a moment: "right now". */
    @Nullable
    Side of(NamedAct s, int from, int to) {
        // "passes to your left with the long step"
        for (int i = s.from(); i <= s.to(); i++) {
            String w = words.get(i).bare();
            String next = i < s.to() ? words.get(i + 1).bare() : "";
            if (LEFT.contains(w) && !LIMBS.contains(next)) {
                return Side.LEFT;
            } else if (RIGHT.contains(w) && !LIMBS.contains(next) && i > s.from() && BEFORE.contains(words.get(i - 1).bare())) {
                return Side.RIGHT;
            }
        }
        for (int away = 1; away <= AWAY; away++) {
            for (int i : new int[] {s.to() + away, s.from() - away}) {
                if (i >= from && i < to) {
                    String next = i + 1 < to ? words.get(i + 1).bare() : "";
                    boolean sided = i > s.to()
                            ? away == 1
                                    || words.get(i - 1).pause() != Word.Pause.NONE
                                    || subjects.first(i - 1, i) != null
                                    || BEFORE.contains(words.get(i - 1).bare())
                            : !Set.of("now", "there", "here", "away", "back", "into", "through", "to", "over", "past")
                                    .contains(next);
                    boolean moment = MOMENTS.contains(next)
                            && (i == 0 || !words.get(i - 1).bare().equals("the"));
                    boolean limb = moment || LIMBS.contains(next);
                    String w = words.get(i).bare();
                    // notes have a letter
                    w = words.get(i).said().matches("\\(?[LR][,.;)]*") ? w.equals("l") ? "left" : "right" : w;
                    if (sided && !limb && LEFT.contains(w)) {
                        return Side.LEFT;
                    } else if (sided && !limb && RIGHT.contains(w)) {
                        return Side.RIGHT;
                    }
                }
            }
        }
        return null;
    }
}
