package farglass.debrief;

import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.matchup.solve.Option;
import farglass.stats.PoissonCount;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * How decisions of one kind fared over a season: whether what was planned came up, was done, and worked as often as was
 * expected in the time that was spent there.
 *
 * @param family of techniques that is pressed; empty for keeping what is
 * @param decisions that were made, one a match at least
 * @param came those whose occasion came
 * @param done of those, those that were tried
 * @param tries of ours
 * @param worked of them
 * @param expected how many were expected to work; 0 for keeping what is
 * @param minutes spent where they apply
 * @param tags the tries, and for keeping what is the stays
 */
public record DecisionKind(
        String family,
        int decisions,
        int came,
        int done,
        int tries,
        int worked,
        double expected,
        double minutes,
        List<TagRef> tags) {
    public DecisionKind {
        tags = List.copyOf(tags);
    }

    /** What became of them against what was promised. */
    public enum Verdict {
        /** It cannot be told: too little happened, or nothing was promised. */
        OPEN,
        KEPT,
        /** Less worked than was expected, beyond chance. */
        LESS,
        /** More did. */
        MORE
    }

    /** What was looked back at, and the decisions held against it. */
    public record Fought(MatchRecord record, List<DecisionCheck> checks) {
        public Fought {
            checks = List.copyOf(checks);
        }
    }

    /** What worked for each that was expected to; NaN where nothing was expected. */
    public double ratio() {
        return expected > 0 ? worked / expected : Double.NaN;
    }

    /** Lower bound of {@link #ratio} (95 %, one-sided; Garwood 1936); NaN where nothing was expected. */
    public double lower() {
        return expected > 0 ? PoissonCount.lower(worked) / expected : Double.NaN;
    }

    /** Upper bound of {@link #ratio} (95 %, one-sided; Garwood 1936); NaN where nothing was expected. */
    public double upper() {
        return expected > 0 ? PoissonCount.upper(worked) / expected : Double.NaN;
    }

    /** Whether the promise was kept, as far as can be told. */
    public Verdict verdict() {
        if (!(expected > 0) || came == 0) {
            return Verdict.OPEN;
        }
        return lower() > 1 ? Verdict.MORE : upper() < 1 ? Verdict.LESS : expected >= 1 ? Verdict.KEPT : Verdict.OPEN;
    }

    /** The kinds that were decided on, those with most decisions first. */
    public static List<DecisionKind> of(Collection<Fought> fought, Lexicon lexicon) {
        Map<String, List<DecisionKind>> all = new TreeMap<>();
        for (Fought f : fought) {
            for (DecisionCheck c : f.checks()) {
                DecisionKind one = one(f.record(), c, lexicon);
                all.computeIfAbsent(one.family(), k -> new ArrayList<>()).add(one);
            }
        }
        List<DecisionKind> kinds =
                new ArrayList<>(all.values().stream().map(DecisionKind::sum).toList());
        kinds.sort((a, b) -> Integer.compare(b.decisions(), a.decisions()));
        return List.copyOf(kinds);
    }

    private static DecisionKind one(MatchRecord record, DecisionCheck c, Lexicon lexicon) {
        boolean hold = c.decision().option().kind() == Option.Kind.HOLD;
        List<TagRef> tags = (hold ? c.occasions() : c.done())
                .stream().map(i -> new TagRef(record.id(), record.tagName(i))).toList();
        return new DecisionKind(
                hold ? "" : lexicon.familyOf(c.decision().option().technique()),
                1,
                c.came() ? 1 : 0,
                c.done().isEmpty() ? 0 : 1,
                c.done().size(),
                c.worked(),
                Double.isNaN(c.expectedWorked()) ? 0 : c.expectedWorked(),
                c.minutes(),
                tags);
    }

    /** @param parts of one family, at least one */
    private static DecisionKind sum(List<DecisionKind> parts) {
        // two decisions of a plan may be about the same try
        Set<TagRef> tags = new LinkedHashSet<>();
        parts.forEach(p -> tags.addAll(p.tags()));
        return new DecisionKind(
                parts.get(0).family(),
                parts.stream().mapToInt(DecisionKind::decisions).sum(),
                parts.stream().mapToInt(DecisionKind::came).sum(),
                parts.stream().mapToInt(DecisionKind::done).sum(),
                parts.stream().mapToInt(DecisionKind::tries).sum(),
                parts.stream().mapToInt(DecisionKind::worked).sum(),
                parts.stream().mapToDouble(DecisionKind::expected).sum(),
                parts.stream().mapToDouble(DecisionKind::minutes).sum(),
                List.copyOf(tags));
    }
}
