package farglass.rules;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.PositionLine;
import farglass.match.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A span as the rules see it, half-open [from, to), match ms.
 *
 * @param place position code, of a lock the one under it
 * @param top who is on top or ahead; null where nobody is
 * @param guard who plays guard, or null
 * @param set scoring set (pass-pin, knee-on-belly, mount, back) or null
 * @param tag index of the tag it began with
 * @param byAction index of the completed action that led here, or -1
 * @param placed whether the referee put them here
 */
record State(
        long from,
        long to,
        String place,
        @Nullable Corner top,
        @Nullable Corner guard,
        @Nullable String set,
        boolean neutral,
        int tag,
        int byAction,
        boolean placed) {
    private static final List<String> RANKS = List.of("", "pass-pin", "knee-on-belly", "mount");

    static List<State> of(MatchRecord record, Ruleset rules, Lexicon lexicon) {
        // what no film shows has been tagged all the same: gaps of film do not end a hold
        PositionLine line = PositionLine.of(record.withFilms(List.of()), lexicon);
        List<State> states = new ArrayList<>();
        Span before = null;
        for (Span s : line.spans()) {
            Optional<Position> position = lexicon.position(s.place());
            boolean isGuard = position.map(Position::guard).orElse(false);
            boolean standing = position.map(p -> p.family().equals("standing")).orElse(false);
            Corner top = isGuard ? (s.guard() == null ? null : s.guard().other()) : s.holder();
            boolean neutral = standing || top == null;
            String set = position.map(Position::scoring).orElse(null);
            if (rules.backPlaces().contains(s.place())) {
                set = "back";
            } else if ("back".equals(set)) {
                set = null;
            }
            states.add(new State(
                    s.from().ms(),
                    s.to().ms(),
                    s.place(),
                    top,
                    isGuard ? s.guard() : null,
                    set,
                    neutral,
                    s.tag(),
                    s.byAction(),
                    before != null && before.exit() == Span.Exit.STOPPED));
            before = s;
        }
        return states;
    }

    /** How high the place stands: 1 a pin, 2 the knee, 3 mount and back, 0 for all others. */
    int rank() {
        return rank(set);
    }

    static int rank(@Nullable String set) {
        return set == null ? 0 : set.equals("back") ? 3 : RANKS.indexOf(set);
    }

    /** Off picture: it tells nothing of who holds what. */
    boolean unseen() {
        return place.equals("UNK");
    }

    /** The athlete on top is so on the ground. */
    boolean ground() {
        return !neutral;
    }

    boolean guardOf(Corner c) {
        return guard == c && c != null;
    }

    /** Behind the other without it being a guard: turtle and the back, held or not. */
    boolean behind() {
        return List.of("BCK", "BTR", "BK1", "CRB", "TRK").contains(place);
    }

    /** The same with what was done while it was not seen. */
    State causedBy(int action) {
        return new State(from, to, place, top, guard, set, neutral, tag, action, placed);
    }

    State endingAt(long end) {
        return new State(from, Math.min(to, end), place, top, guard, set, neutral, tag, byAction, placed);
    }
}
