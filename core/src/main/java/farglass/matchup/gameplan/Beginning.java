package farglass.matchup.gameplan;

import farglass.match.Corner;
import farglass.match.Tag;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.MatchFacts;
import farglass.tendency.Opening;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * How an athlete begins: who engages first and how, with which grip and in which stance. Of matches that were seen from
 * their start; grips and stance of their first twenty seconds.
 *
 * @param matches seen from their start with an engagement
 * @param first who engaged, and how, with the tags that show it
 * @param grip taken first by the athlete; empty when none was seen often enough
 * @param stance likewise
 */
public record Beginning(
        int matches, Map<Opening, List<TagRef>> first, Optional<Counted> grip, Optional<Counted> stance) {
    /** What is looked at for grips and stance. */
    static final long SOON_MS = 20_000;

    private static final Set<String> STANCES =
            Set.of("lead-leg", "low-stance", "tall-stance", "range-out", "range-near", "circling", "giving-ground");
    /** Matches in which something must be seen to be told. */
    private static final int LEAST = 2;

    private static final double SHARE = 0.3;

    public Beginning {
        first = Map.copyOf(first);
    }

    /** How often the athlete engages so, or the other does. */
    public int times(Opening o) {
        return first.getOrDefault(o, List.of()).size();
    }

    /** Every tag that it rests on. */
    public List<TagRef> tags() {
        List<TagRef> all = new ArrayList<>();
        first.values().forEach(all::addAll);
        grip.ifPresent(g -> all.addAll(g.tags()));
        stance.ifPresent(s -> all.addAll(s.tags()));
        return all;
    }

    static Beginning of(Evidence evidence) {
        Map<Opening, List<TagRef>> first = new EnumMap<>(Opening.class);
        Map<String, List<TagRef>> grips = new TreeMap<>();
        Map<String, List<TagRef>> stances = new TreeMap<>();
        int matches = 0;
        int gripped = 0;
        int stood = 0;
        for (Evidence.Seen seen : evidence.matches()) {
            MatchFacts.Act act = Opening.first(seen.facts());
            if (act != null && seen.counts(act.action().t())) {
                matches++;
                first.computeIfAbsent(Opening.of(act, seen.corner()), k -> new ArrayList<>())
                        .add(seen.trial(act.index(), true).tag());
            }
            gripped += note(seen, grips, Beginning::grip) ? 1 : 0;
            stood += note(seen, stances, Beginning::stance) ? 1 : 0;
        }
        return new Beginning(
                matches, first, Counted.most(grips, gripped, LEAST, SHARE), Counted.most(stances, stood, LEAST, SHARE));
    }

    /** What a tag of an athlete says, if anything. */
    private interface Saying {
        Optional<String> of(Tag tag, Corner who);
    }

    private static Optional<String> grip(Tag tag, Corner who) {
        return tag instanceof Tag.Grip g && g.by() == who ? Optional.of(g.grip()) : Optional.empty();
    }

    private static Optional<String> stance(Tag tag, Corner who) {
        return tag instanceof Tag.Body b && b.of() == who && STANCES.contains(b.fact())
                ? Optional.of(b.side() == null ? b.fact() : b.fact() + " " + b.side())
                : Optional.empty();
    }

    /** Notes the first that a match says soon after its start; whether it says any. */
    private static boolean note(Evidence.Seen seen, Map<String, List<TagRef>> into, Saying saying) {
        List<Tag> tags = seen.record().tags();
        for (int i = 0; i < tags.size(); i++) {
            Optional<String> said = saying.of(tags.get(i), seen.corner());
            if (tags.get(i).t().ms() > SOON_MS) {
                break;
            }
            if (said.isPresent() && seen.counts(tags.get(i).t())) {
                into.computeIfAbsent(said.get(), k -> new ArrayList<>())
                        .add(seen.trial(i, true).tag());
                return true;
            }
        }
        return false;
    }
}
