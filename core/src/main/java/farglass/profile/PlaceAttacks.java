package farglass.profile;

import farglass.match.Situation;
import farglass.stats.Trial;
import farglass.tendency.PlaceStays;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/** What an athlete tries in a place: the share of the stays there in which a technique is tried at least once. */
final class PlaceAttacks {
    private static final int STAYS = 3;
    /** What was tried in a single stay tells of no preference. */
    private static final int TRIED = 2;

    private PlaceAttacks() {}

    /**
     * @param place which places and roles
     * @param family which families of techniques
     */
    static List<Claim> of(ClaimFactory q, Predicate<Situation> place, Predicate<String> family) {
        Map<Situation, List<PlaceStays.SeenStay>> byPlace = new TreeMap<>();
        for (PlaceStays.SeenStay s : PlaceStays.of(q.evidence())) {
            if (place.test(s.stay().at())) {
                byPlace.computeIfAbsent(s.stay().at(), k -> new ArrayList<>()).add(s);
            }
        }
        List<Claim> claims = new ArrayList<>();
        byPlace.forEach((at, stays) -> {
            if (stays.size() >= STAYS) {
                tried(q, at, stays, family, claims);
            }
        });
        return Techniques.mostFirst(claims);
    }

    private static void tried(
            ClaimFactory q,
            Situation at,
            List<PlaceStays.SeenStay> stays,
            Predicate<String> family,
            List<Claim> claims) {
        Set<String> techniques = new HashSet<>();
        stays.forEach(s -> techniques.addAll(s.stay().tried()));
        techniques.stream()
                .filter(t -> family.test(q.lexicon().familyOf(t)))
                .sorted()
                .forEach(technique -> {
                    List<Trial> trials = stays.stream()
                            .map(s -> s.seen()
                                    .trial(s.stay().tag(), s.stay().tried().contains(technique)))
                            .toList();
                    if (trials.stream().filter(Trial::worked).count() >= TRIED) {
                        claims.add(q.proportion(
                                        id(at, technique),
                                        Claim.Topic.PREFERENCE,
                                        "place.tries",
                                        q.words(
                                                q.lexicon().positionName(at.position()),
                                                q.lexicon().techniqueName(technique)),
                                        trials,
                                        q.tried(at, technique),
                                        q.rho(q.lexicon().familyOf(technique)),
                                        0)
                                .shown(Claim.Prominence.DETAIL));
                    }
                });
    }

    /** Names the claim that a technique is tried in a place. */
    static String id(Situation at, String technique) {
        return "tries." + at.position() + "." + at.role() + "." + technique;
    }
}
