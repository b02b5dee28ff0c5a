package farglass.tendency;

import farglass.match.Corner;
import farglass.match.Method;
import farglass.match.Result;
import farglass.match.Span;
import farglass.stats.Spell;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Stays in a group of places: consecutive spans of the group are one stay, so that a change of guard does not end it.
 * Film that begins in the middle of a stay leaves it out; a stoppage that restarts elsewhere, a gap and the end of time
 * censor it.
 */
public final class DwellTimes {
    /** The other submits the athlete there. */
    public static final String SUBMITTED = "submitted";
    /** The athlete submits the other there. */
    public static final String FINISHED = "finished";

    private DwellTimes() {}

    /**
     * One stay.
     *
     * @param first its first span
     * @param last its last span
     * @param cause how it ended, or null when that was not seen
     */
    public record Stay(
            Evidence.Seen seen,
            Span first,
            Span last,
            @Nullable String cause) {
        /** How long it lasted, ms. */
        public long ms() {
            return last.to().since(first.from());
        }

        /** Its length, end and weight, for curves. */
        public Spell spell() {
            Trial t = trial(true);
            return new Spell(t.tag(), ms(), cause, t.weight());
        }

        /** Its first span as an occurrence of a claim. */
        public Trial trial(boolean worked) {
            return seen.trial(first.tag(), worked);
        }
    }

    /**
     * @param in whether a place belongs to the group; a stay counts where it begins
     * @param cause how a stay ended, from the place left and the place that follows
     */
    public static List<Stay> of(
            Evidence evidence, Predicate<Evidence.Visit> in, BiFunction<Evidence.Visit, Evidence.Visit, String> cause) {
        List<Stay> stays = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            List<Span> spans = seen.line().spans();
            int begin = -1;
            for (int i = 0; i < spans.size(); i++) {
                Span s = spans.get(i);
                if (!in.test(place(seen, s))) {
                    continue;
                }
                begin = begin < 0 ? i : begin;
                boolean last = i + 1 == spans.size();
                boolean goesOn = !last && !s.censored() && in.test(place(seen, spans.get(i + 1)));
                if (!goesOn) {
                    Span first = spans.get(begin);
                    if (!first.leftTruncated() && seen.counts(first.from())) {
                        String why = s.censored() || last
                                ? atTheEnd(seen, s)
                                : cause.apply(place(seen, s), place(seen, spans.get(i + 1)));
                        stays.add(new Stay(seen, first, s, why));
                    }
                    begin = -1;
                }
            }
        }
        return stays;
    }

    private static Evidence.Visit place(Evidence.Seen seen, Span s) {
        return new Evidence.Visit(seen, s, s.lengthMs());
    }

    private static @Nullable String atTheEnd(Evidence.Seen seen, Span s) {
        Result result = seen.record().details().result();
        if (s.exit() != Span.Exit.ENDED || result == null || result.method() != Method.SUBMISSION) {
            return null;
        }
        Corner winner = result.winner();
        return winner == null ? null : winner == seen.corner() ? FINISHED : SUBMITTED;
    }
}
