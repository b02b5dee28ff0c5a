package farglass.matchup.model;

import farglass.stats.TagRef;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * One way out of a place.
 *
 * @param from as our athlete sees it
 * @param ours whether our athlete acts
 * @param technique what is tried; null for a change of place that nobody's completed attempt made
 * @param rate attempts a minute while there
 * @param chance that an attempt works, 0..1
 * @param held chance that what worked is kept for the count, 0..1
 * @param near chance that an attempt that failed came near enough for an advantage, 0..1
 * @param to places reached when it works, as our athlete sees them, with shares that sum to 1; empty for a submission
 * and for what has never been seen to lead anywhere
 * @param source where the rate comes from
 * @param basis the actor's own record in this place
 */
public record Exit(
        ModelState from,
        boolean ours,
        @Nullable String technique,
        String family,
        double rate,
        double chance,
        double held,
        double near,
        Map<ModelState, Double> to,
        Source source,
        Basis basis) {
    public Exit {
        to = Map.copyOf(to);
    }

    /** Where a rate comes from, best first. */
    public enum Source {
        /** The user's own figure. */
        CORRECTED,
        /** Seen of this athlete in this place. */
        OWN,
        /** Seen of this athlete elsewhere. */
        FAMILY,
        /** Seen of others only. */
        LIBRARY,
    }

    /**
     * Weighted counts.
     *
     * @param minutes in the place
     * @param tries of this technique there
     * @param decided of them with an outcome
     * @param worked of those
     * @param tags the tries
     */
    public record Basis(double minutes, double tries, double decided, double worked, List<TagRef> tags) {
        public static final Basis NONE = new Basis(0, 0, 0, 0, List.of());

        public Basis {
            tags = List.copyOf(tags);
        }
    }

    /** The same way out whatever its numbers are. */
    public record Key(
            ModelState from, boolean ours, @Nullable String technique) {}

    /** What it is called in corrections: state, whose, technique. */
    public Key key() {
        return new Key(from, ours, technique);
    }

    /** Whether it ends the match. */
    public boolean finish() {
        return "submission".equals(family);
    }

    /** The same with another rate and chance, from another source. */
    public Exit numbers(double newRate, double newChance, Source from) {
        return new Exit(this.from, ours, technique, family, newRate, newChance, held, near, to, from, basis);
    }
}
