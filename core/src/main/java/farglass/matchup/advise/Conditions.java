package farglass.matchup.advise;

import farglass.matchup.solve.Region.Lead;
import farglass.matchup.solve.Region.Part;
import java.util.Set;

/**
 * At what scores and when something is meant.
 *
 * @param leads none when nothing is said of the score
 * @param parts none when nothing is said of the time
 */
record Conditions(Set<Lead> leads, Set<Part> parts) {
    static final Conditions NONE = new Conditions(Set.of(), Set.of());

    Conditions {
        leads = Set.copyOf(leads);
        parts = Set.copyOf(parts);
    }

    boolean none() {
        return leads.isEmpty() && parts.isEmpty();
    }

    /** These, and where these say nothing, others. */
    Conditions or(Conditions others) {
        return new Conditions(leads(others.leads), parts(others.parts));
    }

    Set<Lead> leads(Set<Lead> otherwise) {
        return leads.isEmpty() ? otherwise : leads;
    }

    Set<Part> parts(Set<Part> otherwise) {
        return parts.isEmpty() ? otherwise : parts;
    }
}
