package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.lexicon.Position;
import farglass.match.Corner;
import farglass.match.Role;
import farglass.match.Span;
import farglass.match.Tag;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Matches cut at neutral resets: the start, every restart, and every return to the feet or to both seated. Inside an
 * exchange stand who tried what, grip actions too (ruling C16), and entries into a pin, the back or a lock.
 */
public final class Exchanges {
    private static final Set<String> RESETS = Set.of("STD", "CLN", "DGP");
    private static final Set<String> ENTERED = Set.of("pin", "back-turtle", "lock");

    private Exchanges() {}

    /**
     * One step of an exchange.
     *
     * @param own whether the athlete did it, or is ahead in the place entered
     * @param code technique, or {@code >} and a position entered
     * @param tag index in the record
     * @param where place and the athlete's role in it
     * @param moves whether it changed the place or ended the match
     * @param symbol actor and code
     */
    public record Step(boolean own, String code, int tag, String where, boolean moves, String symbol) {
        Step(boolean own, String code, int tag, String where, boolean moves) {
            // one text each, however often it occurs, because they are looked up all the time
            this(own, code, tag, where.intern(), moves, ((own ? "self " : "other ") + code).intern());
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
        List<Tag> tags = facts.record().tags();
        MatchFacts.Act[] acts = new MatchFacts.Act[tags.size()];
        facts.acts().forEach(a -> acts[a.index()] = a);
        Set<Integer> changes = new HashSet<>();
        facts.line().spans().forEach(s -> changes.add(s.byAction()));
        for (int i = 0; i < tags.size(); i++) {
            Tag tag = tags.get(i);
            if (resets(tag)) {
                close(found, steps);
                steps = new ArrayList<>();
            } else if (counts.test(tag.t())) {
                if (tag instanceof Tag.Action a && acts[i] != null) {
                    boolean moves = changes.contains(i)
                            || (a.completed() && acts[i].family().equals("submission"));
                    steps.add(new Step(a.by() == me, a.technique(), i, where(acts[i].span(), me), moves));
                } else if (tag instanceof Tag.Position p && p.holder() != null && entered(lexicon, p)) {
                    steps.add(new Step(p.holder() == me, ">" + p.position(), i, "", true));
                }
            }
        }
        close(found, steps);
        return found;
    }

    private static String where(@Nullable Span span, Corner me) {
        return span == null ? "" : span.place() + " " + Role.of(span, me);
    }

    private static boolean entered(Lexicon lexicon, Tag.Position p) {
        return ENTERED.contains(
                lexicon.position(p.position()).map(Position::family).orElse("other"));
    }

    private static boolean resets(Tag tag) {
        return tag instanceof Tag.Start
                || tag instanceof Tag.Resume
                || (tag instanceof Tag.Position p && RESETS.contains(p.position()));
    }

    private static void close(List<List<Step>> found, List<Step> steps) {
        if (!steps.isEmpty()) {
            found.add(List.copyOf(steps));
        }
    }
}
