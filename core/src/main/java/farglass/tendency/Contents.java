package farglass.tendency;

import static java.util.Objects.requireNonNull;

import farglass.match.Role;
import farglass.match.Situation;
import farglass.match.Span;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What counts of some matches, gathered once and laid out as pages ask for it: all lists in the order of matches, then
 * of tags.
 */
final class Contents {
    private final List<Evidence.Act> acts = new ArrayList<>();
    private final List<Evidence.Act> own = new ArrayList<>();
    /** Null until asked for, as the next two. */
    private @Nullable Map<String, List<Evidence.Act>> ownByFamily;

    private @Nullable Map<String, List<Evidence.Act>> ownByTechnique;
    private @Nullable IdentityHashMap<Evidence.Seen, List<Evidence.Act>> actsByMatch;
    private final List<Evidence.Visit> places = new ArrayList<>();
    /** Per place and role: the visits, and the time in every match that has some. */
    private final Map<Situation, Stand> stands = new LinkedHashMap<>();
    /** Of every visit. */
    private final List<Stand> standOf = new ArrayList<>();

    private long exposureMs;

    private record Stand(Situation where, Map<Evidence.Seen, long[]> ms) {}

    Contents(List<Evidence.Seen> matches, Moment moment) {
        for (Evidence.Seen seen : matches) {
            collectActs(seen, moment);
            collectPlaces(seen, moment);
        }
    }

    private void collectActs(Evidence.Seen seen, Moment moment) {
        boolean everything = moment.everything();
        for (MatchFacts.Act a : seen.facts().acts()) {
            Evidence.Act act = new Evidence.Act(seen, a.index(), a.action(), a.span(), a.family());
            boolean there = moment.role() == null || (a.span() != null && moment.role() == act.role());
            if (there && (everything || seen.counts(a.action().t()))) {
                acts.add(act);
                if (act.own()) {
                    own.add(act);
                }
            }
        }
    }

    private void collectPlaces(Evidence.Seen seen, Moment moment) {
        boolean everything = moment.everything();
        for (Span s : seen.line().spans()) {
            Evidence.Visit place = new Evidence.Visit(seen, s, everything ? s.lengthMs() : seen.within(s));
            Role role = place.role();
            if (place.ms() > 0 && (moment.role() == null || moment.role() == role)) {
                places.add(place);
                exposureMs += place.ms();
                Stand stand = stands.computeIfAbsent(
                        new Situation(s.place(), role), k -> new Stand(k, new IdentityHashMap<>()));
                standOf.add(stand);
                stand.ms().computeIfAbsent(seen, k -> new long[1])[0] += place.ms();
            }
        }
    }

    List<Evidence.Act> acts() {
        return acts;
    }

    List<Evidence.Act> own() {
        return own;
    }

    synchronized List<Evidence.Act> ownOf(String family) {
        if (ownByFamily == null) {
            ownByFamily = own.stream().collect(Collectors.groupingBy(Evidence.Act::family));
        }
        return ownByFamily.getOrDefault(family, List.of());
    }

    synchronized List<Evidence.Act> ownWith(String technique) {
        if (ownByTechnique == null) {
            ownByTechnique =
                    own.stream().collect(Collectors.groupingBy(a -> a.action().technique()));
        }
        return ownByTechnique.getOrDefault(technique, List.of());
    }

    synchronized List<Evidence.Act> in(Evidence.Seen match) {
        if (actsByMatch == null) {
            actsByMatch = new IdentityHashMap<>();
            acts.forEach(a -> actsByMatch
                    .computeIfAbsent(a.seen(), k -> new ArrayList<>())
                    .add(a));
        }
        return actsByMatch.getOrDefault(match, List.of());
    }

    List<Evidence.Visit> visits() {
        return places;
    }

    /** Visits to the places and roles that are wanted; each is asked about once, not every visit. */
    List<Evidence.Visit> visits(BiPredicate<String, Role> wanted) {
        IdentityHashMap<Stand, Boolean> known = new IdentityHashMap<>();
        for (Stand s : stands.values()) {
            known.put(s, wanted.test(s.where().position(), s.where().role()));
        }
        List<Evidence.Visit> found = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            if (requireNonNull(known.get(standOf.get(i)))) {
                found.add(places.get(i));
            }
        }
        return found;
    }

    long exposureMs() {
        return exposureMs;
    }

    /** Time in the places and roles that are counted, for every match that has some. */
    Map<Evidence.Seen, long[]> time(BiPredicate<String, Role> counted) {
        IdentityHashMap<Evidence.Seen, long[]> sum = new IdentityHashMap<>();
        for (Stand stand : stands.values()) {
            if (counted.test(stand.where().position(), stand.where().role())) {
                stand.ms().forEach((seen, ms) -> sum.computeIfAbsent(seen, k -> new long[1])[0] += ms[0]);
            }
        }
        return sum;
    }
}
