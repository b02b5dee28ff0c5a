package farglass.match;

import farglass.time.MatchTime;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Something that was seen at a moment of the match. Codes of positions, techniques and grips are kept as read, also
 * when the lexicon does not know them; fields that a tag may lack are null.
 */
public sealed interface Tag {
    /** When: of an action its beginning, of a position the moment it is reached. */
    MatchTime t();

    /** What all tags have. */
    TagInfo info();

    /** The same at another moment. */
    Tag at(MatchTime t);

    /** The same with other common fields. */
    Tag with(TagInfo info);

    /** Type word of the file format. */
    String type();

    record Start(MatchTime t, TagInfo info) implements Tag {
        @Override
        public Start at(MatchTime when) {
            return new Start(when, info);
        }

        @Override
        public Start with(TagInfo i) {
            return new Start(t, i);
        }

        @Override
        public String type() {
            return "start";
        }
    }

    /**
     * A new state.
     *
     * @param holder athlete on top, on the back, ahead; null when neutral
     * @param guard athlete playing guard, or null
     * @param technique the lock, for {@code LCK}
     * @param threat 2 or 3, for {@code LCK}
     * @param base position under the lock, for {@code LCK}
     */
    record Position(
            MatchTime t,
            String position,
            @Nullable Corner holder,
            @Nullable Corner guard,
            @Nullable Side side,
            @Nullable String variant,
            @Nullable Cause cause,
            @Nullable String technique,
            @Nullable Integer threat,
            @Nullable String base,
            TagInfo info)
            implements Tag {
        /** A position of which nothing further is known. */
        public static Position of(MatchTime t, String position, @Nullable Corner holder, @Nullable Corner guard) {
            return new Position(t, position, holder, guard, null, null, null, null, null, null, TagInfo.NONE);
        }

        /** To change some of its fields. */
        public PositionBuilder builder() {
            return new PositionBuilder(this);
        }

        @Override
        public Position at(MatchTime when) {
            return new PositionBuilder(this).t(when).build();
        }

        @Override
        public Position with(TagInfo i) {
            return new PositionBuilder(this).info(i).build();
        }

        /** The same on a side. */
        public Position sided(@Nullable Side s) {
            return new PositionBuilder(this).side(s).build();
        }

        /** The same with how it came about. */
        public Position caused(@Nullable Cause c) {
            return new PositionBuilder(this).cause(c).build();
        }

        @Override
        public String type() {
            return "position";
        }
    }

    /**
     * An attempt.
     *
     * @param family used when the technique is unknown to the reader; null otherwise
     * @param sides directions in order; empty when none was tagged
     * @param reached 1..4 on the ladder of the family, or null
     * @param to position it ended in, or null
     * @param until its end, or null when it has no length
     * @param answer what the opponent did, or null
     * @param limb the opponent's attacked limb, or null
     * @param checks checkpoints met or unmet
     * @param target technique that a feint pretends, or null
     * @param believed whether a feint was believed, or null
     */
    record Action(
            MatchTime t,
            Corner by,
            String technique,
            @Nullable String family,
            List<Side> sides,
            @Nullable Outcome outcome,
            @Nullable Integer reached,
            @Nullable String to,
            @Nullable MatchTime until,
            @Nullable String answer,
            @Nullable String limb,
            Map<String, Boolean> checks,
            @Nullable String target,
            @Nullable Boolean believed,
            TagInfo info)
            implements Tag {
        public Action {
            if (reached != null && (reached < 1 || reached > 4)) {
                throw new IllegalArgumentException("reached (" + reached + ") must lie in 1..4");
            }
            if (until != null && until.compareTo(t) < 0) {
                throw new IllegalArgumentException("until (" + until + ") must not come before t (" + t + ")");
            }
            sides = List.copyOf(sides);
            checks = checks.isEmpty() ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(checks));
        }

        /** An attempt of which nothing further is known. */
        public static Action of(MatchTime t, Corner by, String technique) {
            return new Action(
                    t,
                    by,
                    technique,
                    null,
                    List.of(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    Map.of(),
                    null,
                    null,
                    TagInfo.NONE);
        }

        /** The side where it ended, or null. */
        public @Nullable Side side() {
            return sides.isEmpty() ? null : sides.get(sides.size() - 1);
        }

        /** The side where it began, or null. */
        public @Nullable Side firstSide() {
            return sides.isEmpty() ? null : sides.get(0);
        }

        /** When it was over: as tagged, else the moment it began. */
        public MatchTime end() {
            return until == null ? t : until;
        }

        /** Whether it worked. */
        public boolean completed() {
            return outcome == Outcome.COMPLETED;
        }

        /** To change some of its fields. */
        public ActionBuilder builder() {
            return new ActionBuilder(this);
        }

        @Override
        public Action at(MatchTime when) {
            MatchTime end = until == null ? null : when.plus(until.since(t));
            return new ActionBuilder(this).t(when).until(end).build();
        }

        @Override
        public Action with(TagInfo i) {
            return new ActionBuilder(this).info(i).build();
        }

        /** The same to a side. */
        public Action sided(@Nullable Side s) {
            return sides(s == null ? List.of() : List.of(s));
        }

        /** The same with its directions in order. */
        public Action sides(List<Side> directions) {
            return new ActionBuilder(this).sides(directions).build();
        }

        /** The same with a checkpoint met or unmet. */
        public Action checked(String point, boolean met) {
            Map<String, Boolean> next = new LinkedHashMap<>(checks);
            next.put(point, met);
            return new ActionBuilder(this).checks(next).build();
        }

        /** The same with what the opponent did about it. */
        public Action answered(String what) {
            return new ActionBuilder(this).answer(what).build();
        }

        /** The same with how it ended: outcome, rung of the ladder, position reached, moment; each may be null. */
        public Action result(
                @Nullable Outcome o, @Nullable Integer level, @Nullable String target, @Nullable MatchTime end) {
            return new ActionBuilder(this)
                    .outcome(o)
                    .reached(level)
                    .to(target)
                    .until(end)
                    .build();
        }

        @Override
        public String type() {
            return "action";
        }
    }

    record Grip(
            MatchTime t,
            Corner by,
            String grip,
            @Nullable Side hand,
            @Nullable String depth,
            @Nullable MatchTime until,
            @Nullable String ended,
            TagInfo info)
            implements Tag {
        @Override
        public Grip at(MatchTime when) {
            MatchTime end = until == null ? null : when.plus(until.since(t));
            return new Grip(when, by, grip, hand, depth, end, ended, info);
        }

        @Override
        public Grip with(TagInfo i) {
            return new Grip(t, by, grip, hand, depth, until, ended, i);
        }

        /** The same at another depth. */
        public Grip deep(String d) {
            return new Grip(t, by, grip, hand, d, until, ended, info);
        }

        @Override
        public String type() {
            return "grip";
        }
    }

    /** A timed body fact about one athlete. */
    record Body(
            MatchTime t,
            Corner of,
            String fact,
            @Nullable Side side,
            @Nullable MatchTime until,
            TagInfo info) implements Tag {
        @Override
        public Body at(MatchTime when) {
            return new Body(when, of, fact, side, until == null ? null : when.plus(until.since(t)), info);
        }

        @Override
        public Body with(TagInfo i) {
            return new Body(t, of, fact, side, until, i);
        }

        @Override
        public String type() {
            return "body";
        }
    }

    /**
     * A referee call.
     *
     * @param who who gets the points or advantage; for a penalty or disqualification the athlete penalised
     * @param value points, for {@code points}
     * @param called false for an infringement nobody called
     */
    record Call(
            MatchTime t,
            CallKind call,
            Corner who,
            @Nullable Integer value,
            boolean called,
            @Nullable Corner causedBy,
            @Nullable String reason,
            TagInfo info)
            implements Tag {
        @Override
        public Call at(MatchTime when) {
            return new Call(when, call, who, value, called, causedBy, reason, info);
        }

        @Override
        public Call with(TagInfo i) {
            return new Call(t, call, who, value, called, causedBy, reason, i);
        }

        @Override
        public String type() {
            return "call";
        }
    }

    /**
     * A remark in words.
     *
     * @param instead what should have been done: text or a map of technique, grip, direction, timing; null when
     * unstated
     * @param fields choice, over, reason, except of a preference, in that order, as far as stated
     */
    record Remark(
            MatchTime t,
            RemarkKind kind,
            @Nullable Corner by,
            @Nullable String source,
            @Nullable String text,
            @Nullable Object instead,
            @Nullable Boolean punished,
            Map<String, String> fields,
            TagInfo info)
            implements Tag {
        public Remark {
            fields = Collections.unmodifiableMap(new LinkedHashMap<>(fields));
        }

        @Override
        public Remark at(MatchTime when) {
            return new Remark(when, kind, by, source, text, instead, punished, fields, info);
        }

        @Override
        public Remark with(TagInfo i) {
            return new Remark(t, kind, by, source, text, instead, punished, fields, i);
        }

        @Override
        public String type() {
            return "remark";
        }
    }

    record Stop(MatchTime t, @Nullable String reason, TagInfo info) implements Tag {
        @Override
        public Stop at(MatchTime when) {
            return new Stop(when, reason, info);
        }

        @Override
        public Stop with(TagInfo i) {
            return new Stop(t, reason, i);
        }

        @Override
        public String type() {
            return "stop";
        }
    }

    /** The match goes on; without a position, in the same one as at the stop. */
    record Resume(
            MatchTime t,
            @Nullable String position,
            @Nullable Corner holder,
            @Nullable Corner guard,
            TagInfo info) implements Tag {
        @Override
        public Resume at(MatchTime when) {
            return new Resume(when, position, holder, guard, info);
        }

        @Override
        public Resume with(TagInfo i) {
            return new Resume(t, position, holder, guard, i);
        }

        @Override
        public String type() {
            return "resume";
        }
    }

    record End(MatchTime t, TagInfo info) implements Tag {
        @Override
        public End at(MatchTime when) {
            return new End(when, info);
        }

        @Override
        public End with(TagInfo i) {
            return new End(t, i);
        }

        @Override
        public String type() {
            return "end";
        }
    }
}
