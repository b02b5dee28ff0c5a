package farglass.simulate;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * What usually follows what: an attempt calls for another of one's own, or for an answer of the other athlete. These
 * are the common sequences of the sport; a {@link Style} may put sequences of its own before them.
 */
final class Habits {
    /** Chance that an athlete who has just made an attempt, or met one, does what he always does then. */
    static final double FOLLOWED = 0.78;
    /** Chance that it is the one who acted who goes on, when both have something to do. */
    static final double GOES_ON = 0.6;

    private static final Map<String, List<String>> OWN = habits(Habits::ownHabits);
    private static final Map<String, List<String>> ANSWERS = habits(Habits::answerHabits);

    /** Takes what usually comes after or against something, likeliest first. */
    private interface Notes {
        void usual(String technique, String... next);
    }

    private static Map<String, List<String>> habits(Consumer<Notes> told) {
        Map<String, List<String>> habits = new HashMap<>();
        told.accept((technique, next) -> habits.put(technique, List.of(next)));
        return Map.copyOf(habits);
    }

    private static void ownHabits(Notes h) {
        h.usual("collar-drag", "single-leg", "ankle-pick", "go-behind");
        h.usual("single-leg", "double-leg", "knee-cut", "toreando", "guard-pull");
        h.usual("double-leg", "single-leg", "body-lock-pass", "knee-cut", "guard-pull");
        h.usual("snap-down", "go-behind", "darce", "guillotine", "collar-drag");
        h.usual("foot-sweep", "collar-drag", "snap-down", "toreando");
        h.usual("go-behind", "hook-insert", "back-take", "mat-return");
        h.usual("guard-pull", "lasso-sweep", "spider-sweep", "half-guard-sweep", "scissor-sweep", "tripod-sweep");
        h.usual("enter-guard", "lasso-sweep", "spider-sweep", "dlr-sweep", "half-guard-sweep", "triangle");
        h.usual("knee-cut", "half-guard-pass", "leg-drag", "x-pass", "to-mount");
        h.usual("toreando", "x-pass", "leg-drag", "knee-cut", "to-knee-on-belly");
        h.usual("x-pass", "toreando", "knee-cut", "to-knee-on-belly");
        h.usual("leg-drag", "toreando", "back-take", "smash-pass");
        h.usual("over-under", "body-lock-pass", "knee-cut", "to-mount");
        h.usual("body-lock-pass", "over-under", "half-guard-pass", "to-mount");
        h.usual("half-guard-pass", "knee-cut", "arm-triangle", "to-mount");
        h.usual("smash-pass", "half-guard-pass", "knee-cut", "to-mount");
        h.usual("lasso-sweep", "triangle", "omoplata", "cross-collar-choke");
        h.usual("spider-sweep", "triangle", "scissor-sweep", "armbar");
        h.usual("scissor-sweep", "triangle", "cross-collar-choke", "armbar");
        h.usual("half-guard-sweep", "underhook-sweep", "wrestle-up", "half-guard-pass");
        h.usual("underhook-sweep", "half-guard-sweep", "wrestle-up", "half-guard-pass");
        h.usual("wrestle-up", "single-leg", "knee-cut", "half-guard-sweep");
        h.usual("butterfly-sweep", "wrestle-up", "knee-cut");
        h.usual("tripod-sweep", "wrestle-up", "knee-cut");
        h.usual("triangle", "armbar", "omoplata", "lasso-sweep");
        h.usual("armbar", "triangle", "omoplata", "to-mount");
        h.usual("omoplata", "triangle", "lasso-sweep");
        h.usual("to-knee-on-belly", "cross-collar-choke", "baseball-choke", "armbar", "to-mount");
        h.usual("to-mount", "cross-collar-choke", "arm-triangle", "armbar");
        h.usual("cross-collar-choke", "baseball-choke", "armbar", "back-take");
        h.usual("baseball-choke", "to-knee-on-belly", "to-mount");
        h.usual("back-take", "hook-insert", "rear-choke", "bow-and-arrow");
        h.usual("hook-insert", "rear-choke", "bow-and-arrow");
        h.usual("rear-choke", "rear-choke", "armbar");
        h.usual("guillotine", "darce", "snap-down", "go-behind");
        h.usual("darce", "anaconda", "go-behind", "to-mount");
        h.usual("hip-escape", "half-recovery", "guard-recovery", "hip-escape");
        h.usual("half-recovery", "half-guard-sweep", "underhook-sweep", "enter-guard");
        h.usual("guard-recovery", "enter-guard", "technical-stand-up");
        h.usual("technical-stand-up", "single-leg", "guard-pull", "collar-drag");
    }

    private static void answerHabits(Notes h) {
        h.usual("guard-pull", "toreando", "knee-cut", "over-under", "body-lock-pass");
        h.usual("enter-guard", "toreando", "knee-cut", "body-lock-pass");
        h.usual("knee-cut", "half-recovery", "enter-guard", "hip-escape");
        h.usual("toreando", "frame-retention", "enter-guard", "guard-recovery", "hip-escape");
        h.usual("x-pass", "guard-recovery", "enter-guard", "hip-escape");
        h.usual("leg-drag", "enter-guard", "guard-recovery", "hip-escape");
        h.usual("body-lock-pass", "half-recovery", "enter-guard", "hip-escape");
        h.usual("over-under", "enter-guard", "half-recovery", "hip-escape");
        h.usual("half-guard-pass", "half-guard-sweep", "hip-escape", "half-recovery");
        h.usual("lasso-sweep", "guard-recovery", "enter-guard", "toreando", "leg-drag");
        h.usual("spider-sweep", "guard-recovery", "enter-guard", "toreando");
        h.usual("half-guard-sweep", "half-guard-pass", "enter-guard", "knee-cut");
        h.usual("triangle", "posture-out", "stack-pass", "knee-cut");
        h.usual("armbar", "posture-out", "stack-pass", "hip-escape");
        h.usual("to-mount", "hip-escape", "bridge-escape");
        h.usual("to-knee-on-belly", "hip-escape", "guard-recovery");
        h.usual("back-take", "back-escape", "hook-clear");
        h.usual("double-leg", "guillotine", "enter-guard", "guard-recovery", "technical-stand-up");
        h.usual("single-leg", "guillotine", "guard-pull", "enter-guard", "technical-stand-up");
        h.usual("snap-down", "turtle-roll", "guard-recovery", "single-leg");
    }

    private Habits() {}

    /** What usually follows an own attempt, likeliest first. */
    static List<String> own(String technique) {
        return OWN.getOrDefault(technique, List.of());
    }

    /** What usually answers the other's attempt, likeliest first. */
    static List<String> answers(String technique) {
        return ANSWERS.getOrDefault(technique, List.of());
    }
}
