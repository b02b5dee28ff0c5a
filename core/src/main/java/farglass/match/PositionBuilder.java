package farglass.match;

import farglass.time.MatchTime;
import org.jspecify.annotations.Nullable;

/** Changes some fields of a position and keeps the others. */
public final class PositionBuilder {
    private MatchTime t;
    private String position;
    private @Nullable Corner holder;
    private @Nullable Corner guard;
    private @Nullable Side side;
    private @Nullable String variant;
    private @Nullable Cause cause;
    private @Nullable String technique;
    private @Nullable Integer threat;
    private @Nullable String base;
    private TagInfo info;

    PositionBuilder(Tag.Position from) {
        t = from.t();
        position = from.position();
        holder = from.holder();
        guard = from.guard();
        side = from.side();
        variant = from.variant();
        cause = from.cause();
        technique = from.technique();
        threat = from.threat();
        base = from.base();
        info = from.info();
    }

    /** When it began. */
    public PositionBuilder t(MatchTime value) {
        t = value;
        return this;
    }

    /** Code of the place. */
    public PositionBuilder position(String value) {
        position = value;
        return this;
    }

    /** Athlete on top, on the back, ahead. */
    public PositionBuilder holder(@Nullable Corner value) {
        holder = value;
        return this;
    }

    /** Athlete playing guard. */
    public PositionBuilder guard(@Nullable Corner value) {
        guard = value;
        return this;
    }

    /** On which side. */
    public PositionBuilder side(@Nullable Side value) {
        side = value;
        return this;
    }

    /** Which variant. */
    public PositionBuilder variant(@Nullable String value) {
        variant = value;
        return this;
    }

    /** How it came about. */
    public PositionBuilder cause(@Nullable Cause value) {
        cause = value;
        return this;
    }

    /** The lock. */
    public PositionBuilder technique(@Nullable String value) {
        technique = value;
        return this;
    }

    /** 2 or 3, of a lock. */
    public PositionBuilder threat(@Nullable Integer value) {
        threat = value;
        return this;
    }

    /** Position under a lock. */
    public PositionBuilder base(@Nullable String value) {
        base = value;
        return this;
    }

    /** Who tagged it, how surely. */
    public PositionBuilder info(TagInfo value) {
        info = value;
        return this;
    }

    /** The position as it now is. */
    public Tag.Position build() {
        return new Tag.Position(t, position, holder, guard, side, variant, cause, technique, threat, base, info);
    }
}
