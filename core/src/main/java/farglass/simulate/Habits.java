package farglass.simulate;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What usually follows what: an attempt calls for another of one's own, or for an answer of the other athlete. These are
 * the common sequences of the sport; a {@link Style} may put sequences of its own before them.
 */
final class Habits {
    /** Chance that an athlete who has just made an attempt, or met one, does what he always does then. */
    static final double FOLLOWED = 0.78;
    /** Chance that it is the one who acted who goes on, when both have something to do. */
    static final double GOES_ON = 0.6;

    private static final Map<String, List<String>> OWN = new LinkedHashMap<>();
    private static final Map<String, List<String>> ANSWERS = new LinkedHashMap<>();

    static {
        own("collar-drag", "single-leg", "ankle-pick", "go-behind");
        own("single-leg", "double-leg", "knee-cut", "toreando", "guard-pull");
        own("double-leg", "single-leg", "body-lock-pass", "knee-cut", "guard-pull");
        own("snap-down", "go-behind", "darce", "guillotine", "collar-drag");
        own("foot-sweep", "collar-drag", "snap-down", "toreando");
        own("go-behind", "hook-insert", "back-take", "mat-return");
        own("guard-pull", "lasso-sweep", "spider-sweep", "half-guard-sweep", "scissor-sweep", "tripod-sweep");
        own("enter-guard", "lasso-sweep", "spider-sweep", "dlr-sweep", "half-guard-sweep", "triangle");
        own("knee-cut", "half-guard-pass", "leg-drag", "x-pass", "to-mount");
        own("toreando", "x-pass", "leg-drag", "knee-cut", "to-knee-on-belly");
        own("x-pass", "toreando", "knee-cut", "to-knee-on-belly");
        own("leg-drag", "toreando", "back-take", "smash-pass");
        own("over-under", "body-lock-pass", "knee-cut", "to-mount");
        own("body-lock-pass", "over-under", "half-guard-pass", "to-mount");
        own("half-guard-pass", "knee-cut", "arm-triangle", "to-mount");
        own("smash-pass", "half-guard-pass", "knee-cut", "to-mount");
        own("lasso-sweep", "triangle", "omoplata", "cross-collar-choke");
        own("spider-sweep", "triangle", "scissor-sweep", "armbar");
        own("scissor-sweep", "triangle", "cross-collar-choke", "armbar");
        own("half-guard-sweep", "underhook-sweep", "wrestle-up", "half-guard-pass");
        own("underhook-sweep", "half-guard-sweep", "wrestle-up", "half-guard-pass");
        own("wrestle-up", "single-leg", "knee-cut", "half-guard-sweep");
        own("butterfly-sweep", "wrestle-up", "knee-cut");
        own("tripod-sweep", "wrestle-up", "knee-cut");
        own("triangle", "armbar", "omoplata", "lasso-sweep");
        own("armbar", "triangle", "omoplata", "to-mount");
        own("omoplata", "triangle", "lasso-sweep");
        own("to-knee-on-belly", "cross-collar-choke", "baseball-choke", "armbar", "to-mount");
        own("to-mount", "cross-collar-choke", "arm-triangle", "armbar");
        own("cross-collar-choke", "baseball-choke", "armbar", "back-take");
        own("baseball-choke", "to-knee-on-belly", "to-mount");
        own("back-take", "hook-insert", "rear-choke", "bow-and-arrow");
        own("hook-insert", "rear-choke", "bow-and-arrow");
        own("rear-choke", "rear-choke", "armbar");
        own("guillotine", "darce", "snap-down", "go-behind");
        own("darce", "anaconda", "go-behind", "to-mount");
        own("hip-escape", "half-recovery", "guard-recovery", "hip-escape");
        own("half-recovery", "half-guard-sweep", "underhook-sweep", "enter-guard");
        own("guard-recovery", "enter-guard", "technical-stand-up");
        own("technical-stand-up", "single-leg", "guard-pull", "collar-drag");
        answer("guard-pull", "toreando", "knee-cut", "over-under", "body-lock-pass");
        answer("enter-guard", "toreando", "knee-cut", "body-lock-pass");
        answer("knee-cut", "half-recovery", "enter-guard", "hip-escape");
        answer("toreando", "frame-retention", "enter-guard", "guard-recovery", "hip-escape");
        answer("x-pass", "guard-recovery", "enter-guard", "hip-escape");
        answer("leg-drag", "enter-guard", "guard-recovery", "hip-escape");
        answer("body-lock-pass", "half-recovery", "enter-guard", "hip-escape");
        answer("over-under", "enter-guard", "half-recovery", "hip-escape");
        answer("half-guard-pass", "half-guard-sweep", "hip-escape", "half-recovery");
        answer("lasso-sweep", "guard-recovery", "enter-guard", "toreando", "leg-drag");
        answer("spider-sweep", "guard-recovery", "enter-guard", "toreando");
        answer("half-guard-sweep", "half-guard-pass", "enter-guard", "knee-cut");
        answer("triangle", "posture-out", "stack-pass", "knee-cut");
        answer("armbar", "posture-out", "stack-pass", "hip-escape");
        answer("to-mount", "hip-escape", "bridge-escape");
        answer("to-knee-on-belly", "hip-escape", "guard-recovery");
        answer("back-take", "back-escape", "hook-clear");
        answer("double-leg", "guillotine", "enter-guard", "guard-recovery", "technical-stand-up");
        answer("single-leg", "guillotine", "guard-pull", "enter-guard", "technical-stand-up");
        answer("snap-down", "turtle-roll", "guard-recovery", "single-leg");
    }

    private Habits() {}

    private static void own(String after, String... next) {
        OWN.put(after, List.of(next));
    }

    private static void answer(String to, String... next) {
        ANSWERS.put(to, List.of(next));
    }

    /** What usually follows an own attempt, likeliest first. */
    static List<String> own(String technique) {
        return OWN.getOrDefault(technique, List.of());
    }

    /** What usually answers the other's attempt, likeliest first. */
    static List<String> answers(String technique) {
        return ANSWERS.getOrDefault(technique, List.of());
    }
}
