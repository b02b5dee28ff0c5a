package farglass.conduct;

import farglass.lexicon.Lexicon;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.stats.BetaPrior;
import farglass.stats.Estimate;
import farglass.stats.Proportion;
import farglass.stats.TagRef;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a clause was kept in some matches.
 *
 * @param trials occasions that the tags decide
 * @param untold occasions of which they do not
 * @param matches matches that were looked through for it
 * @param unlooked matches in which nobody tagged what it needs
 */
public record Compliance(List<Trial> trials, int untold, int matches, int unlooked) {
    /** Occasions within a match resemble one another: the usual correlation of the library's figures. */
    private static final double ALIKE = 0.15;

    public Compliance {
        trials = List.copyOf(trials);
    }

    /** Only matches in which the athlete fights are looked at. */
    public static Compliance of(Measure measure, Collection<MatchRecord> records, String athlete, Lexicon lexicon) {
        List<Trial> trials = new ArrayList<>();
        int untold = 0;
        int matches = 0;
        int unlooked = 0;
        for (MatchRecord r : records) {
            Corner us = r.cornerOf(athlete).orElse(null);
            if (us == null) {
                continue;
            }
            Watched w = Watched.of(r, us, lexicon);
            if (!measure.needs().stream().allMatch(s -> s.lookedFor(w))) {
                unlooked++;
                continue;
            }
            matches++;
            for (Measure.Occasion o : measure.occasions(w)) {
                if (o.met() == null) {
                    untold++;
                } else {
                    boolean unsure = r.tags().get(o.tag()).info().unsure();
                    trials.add(new Trial(new TagRef(r.id(), r.tagName(o.tag())), o.tag(), o.t(), o.met(), 1, unsure));
                }
            }
        }
        return new Compliance(trials, untold, matches, unlooked);
    }

    /** Occasions on which the clause was kept. */
    public int met() {
        return (int) trials.stream().filter(Trial::worked).count();
    }

    /** Occasions in all. */
    public int of() {
        return trials.size();
    }

    /** Met on every occasion; null when there was none. */
    public @Nullable Boolean wholly() {
        return trials.isEmpty() ? null : met() == of();
    }

    /** Share of occasions on which it was kept, with its 90 % interval; only with at least one occasion. */
    public Estimate share() {
        return Proportion.of(trials, BetaPrior.jeffreys(), ALIKE, 1);
    }
}
