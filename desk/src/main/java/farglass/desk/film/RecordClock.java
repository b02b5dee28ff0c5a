package farglass.desk.film;

import farglass.match.MatchRecord;
import farglass.time.Clock;
import farglass.time.MatchTime;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * How the record shows match times: as the clock of the film does, counting down where nothing was read off it, or as
 * the user has it for all matches.
 */
final class RecordClock {
    private static final String DOWN = "down";
    private static final String UP = "up";

    private final Supplier<@Nullable String> kept;
    private final Consumer<String> keep;
    private @Nullable Boolean filmDown;

    /** @param kept what {@code keep} was given last, null at first */
    RecordClock(Supplier<@Nullable String> kept, Consumer<String> keep) {
        this.kept = kept;
        this.keep = keep;
    }

    /** @param down whether the clock in the picture of the open film counts down; null when it was not read */
    void film(@Nullable Boolean down) {
        filmDown = down;
    }

    boolean down() {
        String told = kept.get();
        return told == null ? filmDown == null || filmDown : told.equals(DOWN);
    }

    /** The other way, from now on for all matches. */
    void turn() {
        keep.accept(down() ? UP : DOWN);
    }

    /** The clock's reading at a match moment, to a tenth; what lies after the end of a clock run out has a plus. */
    String text(MatchRecord r, MatchTime t) {
        if (!down()) {
            return Clock.tenths(t.ms());
        }
        long left = r.details().lengthMs() - t.ms();
        return left >= 0 ? Clock.tenths(left) : "+" + Clock.tenths(-left);
    }
}
