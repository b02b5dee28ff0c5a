package farglass.agreement;

import static java.util.Objects.requireNonNull;

import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagIds;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Where two records of one match differ, in the order of time, and what taking the second's version would change. */
public final class Merge {
    private Merge() {}

    /** How they differ. */
    public enum Kind {
        /** Only the first has it. */
        EXTRA,
        /** Only the second has it. */
        MISSED,
        /** Both have it and say different things of it. */
        DIFFERS
    }

    /**
     * @param first the tag in the first record, or null
     * @param second the tag in the second record, or null
     * @param fields fields that differ
     */
    public record Difference(
            Kind kind,
            MatchTime t,
            @Nullable Tag first,
            @Nullable Tag second,
            List<String> fields) {
        /** The edit that takes the second's version into the first record, as it is now. */
        public Edit take(MatchRecord now) {
            int at = first == null ? -1 : now.tags().indexOf(first);
            return switch (kind) {
                case MISSED -> Edit.addAll(now, TagIds.name(now, List.of(second)));
                case EXTRA -> Edit.remove(now, at);
                case DIFFERS ->
                    Edit.replace(
                            now,
                            at,
                            requireNonNull(second).at(requireNonNull(first).t()).with(first.info()));
            };
        }
    }

    /** Where two records differ, in the order of time. */
    public static List<Difference> differences(
            MatchRecord first, MatchRecord second, long toleranceMs, Lexicon lexicon) {
        List<Difference> found = new ArrayList<>();
        collect(first, second, Matching.ofAttempts(first, second, toleranceMs, lexicon), found);
        collect(first, second, Matching.ofPlaces(first, second, toleranceMs), found);
        found.sort(Comparator.comparing(Difference::t));
        return found;
    }

    private static void collect(MatchRecord first, MatchRecord second, Matching m, List<Difference> found) {
        for (Matching.Pair p : m.pairs()) {
            if (!p.differing().isEmpty()) {
                Tag a = first.tags().get(p.first());
                found.add(new Difference(Kind.DIFFERS, a.t(), a, second.tags().get(p.second()), p.differing()));
            }
        }
        m.onlyFirst().forEach(i -> {
            Tag a = first.tags().get(i);
            found.add(new Difference(Kind.EXTRA, a.t(), a, null, List.of()));
        });
        m.onlySecond().forEach(j -> {
            Tag b = second.tags().get(j);
            found.add(new Difference(Kind.MISSED, b.t(), null, b, List.of()));
        });
    }
}
