package farglass.conduct;

import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What of a clause can be counted. */
public sealed interface Measure {
    /** Everything that has to have been looked for before the clause can be judged. */
    List<EventPattern> needs();

    /** The occasions of a record on which the clause could be kept. */
    List<Occasion> occasions(Watched w);

    /**
     * A moment at which the clause was kept, or was not.
     *
     * @param tag index of the tag that makes the occasion
     * @param met null when the tags do not tell
     */
    record Occasion(int tag, MatchTime t, @Nullable Boolean met) {}

    /**
     * Something must follow soon: "collar grip within 10 s of every restart". What is already so counts as done; a
     * window that the referee or the end cuts short is no occasion unless it was kept before.
     */
    record Soon(EventPattern what, long withinMs, EventPattern after) implements Measure {
        @Override
        public List<EventPattern> needs() {
            return List.of(what, after);
        }

        @Override
        public List<Occasion> occasions(Watched w) {
            List<Occasion> found = new ArrayList<>();
            List<TimeInterval> done = what.in(w);
            for (TimeInterval s : after.in(w)) {
                MatchTime until = s.from().plus(withinMs);
                boolean met = done.stream()
                                .anyMatch(d -> d.tag() != s.tag()
                                        && d.from().compareTo(s.from()) >= 0
                                        && d.from().compareTo(until) <= 0)
                        || Boolean.TRUE.equals(what.kind() == EventPattern.Kind.ACTION ? null : what.on(w, s.from()));
                if (met || w.unbroken(s.from()).compareTo(until) >= 0) {
                    found.add(new Occasion(s.tag(), s.from(), met));
                }
            }
            return found;
        }
    }

    /** Something must not last: "flat at most 2 s at a time". What was cut short before the limit does not count. */
    record Brief(EventPattern what, long atMostMs) implements Measure {
        @Override
        public List<EventPattern> needs() {
            return List.of(what);
        }

        @Override
        public List<Occasion> occasions(Watched w) {
            List<Occasion> found = new ArrayList<>();
            for (TimeInterval s : what.in(w)) {
                Boolean met = s.to() == null ? null : s.to().since(s.from()) <= atMostMs;
                if (!s.cut() || Boolean.FALSE.equals(met)) {
                    found.add(new Occasion(s.tag(), s.from(), met));
                }
            }
            return found;
        }
    }

    /** Something may only begin while another is so, or is not: "no pass with their sleeve grip". */
    record Only(EventPattern what, EventPattern state, boolean wanted) implements Measure {
        @Override
        public List<EventPattern> needs() {
            return List.of(what, state);
        }

        @Override
        public List<Occasion> occasions(Watched w) {
            List<Occasion> found = new ArrayList<>();
            for (TimeInterval s : what.in(w)) {
                Boolean on = state.on(w, s.from());
                found.add(new Occasion(s.tag(), s.from(), on == null ? null : on == wanted));
            }
            return found;
        }
    }

    /** A checkpoint of a technique: "no knee cut without underhook". */
    record Checked(EventPattern what, String checkpoint) implements Measure {
        @Override
        public List<EventPattern> needs() {
            return List.of(what);
        }

        @Override
        public List<Occasion> occasions(Watched w) {
            return what.in(w).stream()
                    .map(s -> new Occasion(
                            s.tag(),
                            s.from(),
                            ((Tag.Action) w.tags().get(s.tag())).checks().get(checkpoint)))
                    .toList();
        }
    }

    /** So many in a match: "at least 3 takedowns". The match as a whole is the occasion. */
    record HowMany(EventPattern what, int number, boolean atLeast) implements Measure {
        @Override
        public List<EventPattern> needs() {
            return List.of(what);
        }

        @Override
        public List<Occasion> occasions(Watched w) {
            List<TimeInterval> all = what.in(w);
            boolean met = atLeast ? all.size() >= number : all.size() <= number;
            // the one that decides: the last one needed, or the first one too many
            int deciding = atLeast ? number - 1 : number;
            boolean shown = deciding >= 0 && deciding < all.size();
            return List.of(
                    shown
                            ? new Occasion(
                                    all.get(deciding).tag(), all.get(deciding).from(), met)
                            : new Occasion(w.tags().size() - 1, w.record().end(), met));
        }
    }
}
