package farglass.narration;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Performer;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.Outcome;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Who plays guard and who is on top, as far as a narration has told: whoever plays guard sweeps, and the other passes,
 * whatever name was heard last.
 */
final class Roles {
    /** So long a place is taken to last when nothing else is told. */
    private static final long LASTS_MS = 75_000;

    private static final String SUBMISSION = "submission";

    private final Lexicon lexicon;
    private String place = "";
    private @Nullable Corner guard;
    private @Nullable Corner top;
    private long since;

    Roles(Lexicon lexicon) {
        this.lexicon = lexicon;
    }

    private void now(String position, @Nullable Corner guardPlayer, @Nullable Corner ahead, long ms) {
        place = position;
        guard = guardPlayer;
        top = ahead;
        since = ms;
    }

    /** They stand, or nobody knows. */
    void clear() {
        now("", null, null, since);
    }

    /** A place that was named, and whose it is. */
    void place(Position p, @Nullable Corner who, long ms) {
        if (who == null || (!p.guard() && !p.holder())) {
            now(p.code(), null, null, ms);
        } else if (p.guard()) {
            now(p.code(), who, who.other(), ms);
        } else {
            now(p.code(), null, who, ms);
        }
    }

    /** Something that was tried; only what worked changes the place. */
    void act(Find.Act a) {
        Corner by = a.by();
        if (by == null || (a.outcome() != Outcome.COMPLETED && !a.family().equals("guard-pull"))) {
            return;
        }
        switch (a.family()) {
            case "guard-pull", "guard-entry", "recovery" -> now("", by, by.other(), a.saidMs());
            case "sweep", "reversal", "takedown" -> now("", by.other(), by, a.saidMs());
            case "pass", "pin-advance", "back-take" -> now("", null, by, a.saidMs());
            case "stand-up", "escape" -> clear();
            default -> {
                // such as grips: they are where they were
            }
        }
    }

    /** Whether somebody is known to play guard just now. */
    boolean guards(@Nullable Corner who, long ms) {
        return who != null && who == guard && ms - since <= LASTS_MS;
    }

    /** Whose a place is that is named without anybody, where it goes on from the one before; null where it is open. */
    @Nullable
    Corner in(Position p, long ms) {
        if (ms - since > LASTS_MS) {
            return null;
        }
        return p.guard() ? guard : p.holder() ? top : null;
    }

    /** Whose an action must be that is named without anybody; null where either may do it. */
    @Nullable
    Corner of(String code, String family, long ms) {
        if (ms - since > LASTS_MS) {
            return null;
        }
        Corner below = top == null ? guard : top.other();
        return switch (performer(code, family)) {
            case GUARD -> guard;
            case TOP, HOLDER -> top;
            case UNDER -> below;
            case ANY ->
                family.equals("back-take") && guard == null
                        ? top
                        : !family.equals(SUBMISSION) ? null : guard != null ? guard : top;
        };
    }

    private Performer performer(String code, String family) {
        Optional<Performer> told = lexicon.technique(code).map(t -> t.by().getOrDefault(place, t.role()));
        if (told.isPresent() && told.get() != Performer.ANY) {
            return told.get();
        }
        return switch (family) {
            case "sweep" -> Performer.GUARD;
            case "pass" -> Performer.TOP;
            case "pin-advance" -> Performer.HOLDER;
            case "recovery" -> Performer.UNDER;
            default -> Performer.ANY;
        };
    }
}
