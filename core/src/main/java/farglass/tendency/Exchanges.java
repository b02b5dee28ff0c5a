package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Matches cut at neutral resets: the start, every restart, and every return to the feet or to both seated. Inside an
 * exchange stand who tried what, and entries into a pin, the back or a lock.
 */
public final class Exchanges {
    private static final Set<String> RESETS = Set.of("STD", "CLN", "DGP");
    private static final Set<String> ENTERED = Set.of("pin", "back-turtle", "lock");
    private static final Set<String> NOT_TRIED = Set.of("grip");

    private Exchanges() {}

    /**
     * One step of an exchange.
     *
     * @param own whether the athlete did it, or is ahead in the place entered
     * @param code technique, or {@code >} and a position entered
     * @param tag index in the record
     * @param place family of the position in which it happened
     * @param symbol actor and code
     */
    public record Step(boolean own, String code, int tag, String place, String symbol) {
        Step(boolean own, String code, int tag, String place) {
            // one text each, however often it occurs, because they are looked up all the time
            this(own, code, tag, place, ((own ? "self " : "other ") + code).intern());
        }
    }

    /** The steps between two resets, at least one. */
    public record Exchange(Evidence.Seen seen, List<Step> steps) {}

    /** All exchanges that count, in the order of matches and time. */
    public static List<Exchange> of(Evidence evidence) {
        boolean everything = evidence.filter().moment().everything();
        List<Exchange> found = new ArrayList<>();
        for (Evidence.Seen seen : evidence.matches()) {
            List<List<Step>> rows = everything
                    ? seen.facts().exchanges(seen.corner())
                    : rows(seen.facts(), seen.corner(), evidence.lexicon(), seen::counts);
            rows.forEach(steps -> found.add(new Exchange(seen, steps)));
        }
        return found;
    }

    /** The exchanges of one match, of what counts in it. */
    static List<List<Step>> rows(MatchFacts facts, Corner me, Lexicon lexicon, Predicate<MatchTime> counts) {
        List<List<Step>> found = new ArrayList<>();
        List<Step> steps = new ArrayList<>();
        String place = "standing";
        List<Tag> tags = facts.record().tags();
        for (int i = 0; i < tags.size(); i++) {
            Tag tag = tags.get(i);
            if (tag instanceof Tag.Position p) {
                place = lexicon.position(p.position()).map(Position::family).orElse("other");
            }
            if (resets(tag)) {
                close(found, steps);
                steps = new ArrayList<>();
            } else if (counts.test(tag.t())) {
                step(lexicon, me, tag, i, place, steps);
            }
        }
        close(found, steps);
        return found;
    }

    private static boolean resets(Tag tag) {
        return tag instanceof Tag.Start
                || tag instanceof Tag.Resume
                || (tag instanceof Tag.Position p && RESETS.contains(p.position()));
    }

    private static void step(Lexicon lexicon, Corner me, Tag tag, int index, String place, List<Step> steps) {
        if (tag instanceof Tag.Action a && !NOT_TRIED.contains(lexicon.familyOf(a.technique()))) {
            steps.add(new Step(a.by() == me, a.technique(), index, place));
        } else if (tag instanceof Tag.Position p && p.holder() != null && ENTERED.contains(place)) {
            steps.add(new Step(p.holder() == me, ">" + p.position(), index, place));
        }
    }

    private static void close(List<List<Step>> found, List<Step> steps) {
        if (!steps.isEmpty()) {
            found.add(List.copyOf(steps));
        }
    }
}
