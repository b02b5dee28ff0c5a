package farglass.tendency;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.stats.Grade;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What an athlete does, as ranked claims.
 *
 * @param athlete id
 * @param name displayed name
 * @param evidence what it rests on
 * @param claims all claims, strongest evidence first, thin ones last
 */
public record Profile(String athlete, String name, Evidence evidence, List<Claim> claims) {
    /**
     * Grade, then by how far the athlete departs from the library's average, then the question's order and use. Thin
     * claims never stand above others.
     */
    static final Comparator<Claim> ORDER = Comparator.comparing(
                    (Claim c) -> c.estimate().grade())
            .thenComparing(Comparator.comparingDouble(Claim::departure).reversed())
            .thenComparing(Claim::topic)
            .thenComparing(Comparator.comparingDouble((Claim c) -> c.topic() == Claim.Topic.TECHNIQUE
                            ? c.estimate().n()
                            : c.estimate().mean())
                    .reversed())
            .thenComparing(Claim::id);

    public Profile {
        claims = List.copyOf(claims);
    }

    /**
     * @param records the whole library: other athletes' matches give the baseline
     * @param seed seed of the bootstrap checks
     */
    public static Profile of(List<MatchRecord> records, String athlete, Filter filter, Lexicon lexicon, long seed) {
        Evidence evidence = Evidence.of(records, athlete, filter, lexicon);
        Baseline baseline = Baseline.of(records, filter, lexicon);
        String name = records.stream()
                .flatMap(r -> r.cornerOf(athlete).map(r::athlete).stream())
                .map(a -> a.name())
                .findFirst()
                .orElse(athlete);
        List<Evidence> others = filter.baseline() ? others(records, athlete, filter, lexicon) : List.of();
        List<Claim> claims = new ArrayList<>(new ClaimFinder(evidence, baseline, others, name, seed).find());
        claims.sort(ORDER);
        return new Profile(athlete, name, evidence, claims);
    }

    private static List<Evidence> others(List<MatchRecord> records, String athlete, Filter filter, Lexicon lexicon) {
        return records.stream()
                .flatMap(r -> Stream.of(r.details().a().id(), r.details().b().id()))
                .distinct()
                .filter(id -> !id.equals(athlete))
                .sorted()
                .map(id -> Evidence.of(records, id, filter, lexicon))
                .toList();
    }

    public List<Claim> graded(Grade grade) {
        return claims.stream().filter(c -> c.estimate().grade() == grade).toList();
    }
}
