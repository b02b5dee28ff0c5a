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
     * @param allowed whether it may be leant on whatever matches show
     */
    public record Basis(
            double minutes, double tries, double decided, double worked, List<TagRef> tags, boolean allowed) {
        public static final Basis NONE = new Basis(0, 0, 0, 0, List.of());

        /** What matches show. */
        public Basis(double minutes, double tries, double decided, double worked, List<TagRef> tags) {
            this(minutes, tries, decided, worked, tags, false);
        }

        public Basis {
            tags = List.copyOf(tags);
        }
    }

    /** So many own tries in so many matches make an action one that can be leant on (ruling M27). */
    public static final int SHOWN_TRIES = 3;

    private static final int SHOWN_MATCHES = 2;

    /** The same way out whatever its numbers are. */
    public record Key(
            ModelState from, boolean ours, @Nullable String technique) {}

    /** What it is called in corrections: state, whose, technique. */
    public Key key() {
        return new Key(from, ours, technique);
    }

    /** Whether the athlete has shown often enough that he can do it there, or may lean on it all the same. */
    public boolean ownAction() {
        long matches = basis.tags().stream().map(TagRef::match).distinct().count();
        return basis.allowed() || (basis.tags().size() >= SHOWN_TRIES && matches >= SHOWN_MATCHES);
    }

    /** The same, to be leant on whatever matches show. */
    public Exit allow() {
        return based(new Basis(basis.minutes(), basis.tries(), basis.decided(), basis.worked(), basis.tags(), true));
    }

    /** The same with another record behind it. */
    public Exit based(Basis record) {
        return new Exit(from, ours, technique, family, rate, chance, held, near, to, source, record);
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
