package farglass.match;

import farglass.time.MatchTime;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Changes some fields of an action and keeps the others. */
public final class ActionBuilder {
    private MatchTime t;
    private Corner by;
    private String technique;
    private @Nullable String family;
    private List<Side> sides;
    private @Nullable Outcome outcome;
    private @Nullable Integer reached;
    private @Nullable String to;
    private @Nullable MatchTime until;
    private @Nullable String answer;
    private @Nullable String limb;
    private Map<String, Boolean> checks;
    private @Nullable String target;
    private @Nullable Boolean believed;
    private TagInfo info;

    ActionBuilder(Tag.Action from) {
        t = from.t();
        by = from.by();
        technique = from.technique();
        family = from.family();
        sides = from.sides();
        outcome = from.outcome();
        reached = from.reached();
        to = from.to();
        until = from.until();
        answer = from.answer();
        limb = from.limb();
        checks = from.checks();
        target = from.target();
        believed = from.believed();
        info = from.info();
    }

    /** When it began. */
    public ActionBuilder t(MatchTime value) {
        t = value;
        return this;
    }

    /** Who tried. */
    public ActionBuilder by(Corner value) {
        by = value;
        return this;
    }

    /** What was tried. */
    public ActionBuilder technique(String value) {
        technique = value;
        return this;
    }

    /** Family, when the technique is unknown to the reader. */
    public ActionBuilder family(@Nullable String value) {
        family = value;
        return this;
    }

    /** Directions in order. */
    public ActionBuilder sides(List<Side> value) {
        sides = value;
        return this;
    }

    /** How it ended. */
    public ActionBuilder outcome(@Nullable Outcome value) {
        outcome = value;
        return this;
    }

    /** Rung of the ladder, 1..4. */
    public ActionBuilder reached(@Nullable Integer value) {
        reached = value;
        return this;
    }

    /** Position it ended in. */
    public ActionBuilder to(@Nullable String value) {
        to = value;
        return this;
    }

    /** Its end. */
    public ActionBuilder until(@Nullable MatchTime value) {
        until = value;
        return this;
    }

    /** What the opponent did. */
    public ActionBuilder answer(@Nullable String value) {
        answer = value;
        return this;
    }

    /** The opponent's attacked limb. */
    public ActionBuilder limb(@Nullable String value) {
        limb = value;
        return this;
    }

    /** Checkpoints met or unmet. */
    public ActionBuilder checks(Map<String, Boolean> value) {
        checks = value;
        return this;
    }

    /** Technique that a feint pretends. */
    public ActionBuilder target(@Nullable String value) {
        target = value;
        return this;
    }

    /** Whether a feint was believed. */
    public ActionBuilder believed(@Nullable Boolean value) {
        believed = value;
        return this;
    }

    /** Who tagged it, how surely. */
    public ActionBuilder info(TagInfo value) {
        info = value;
        return this;
    }

    /** The action as it now is. */
    public Tag.Action build() {
        return new Tag.Action(
                t, by, technique, family, sides, outcome, reached, to, until, answer, limb, checks, target, believed,
                info);
    }
}
