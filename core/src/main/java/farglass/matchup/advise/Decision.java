package farglass.matchup.advise;

import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import farglass.matchup.solve.Region;
import farglass.stats.TagRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What an athlete can hold in mind: in these places, at these scores and in these parts of the match, do this rather
 * than what comes naturally.
 *
 * @param places at least one, where it is worth the most first; without their already paid copies, which are meant too
 * @param leads at least one; all three mean at any score
 * @param parts at least one; all three mean at any time
 */
public record Decision(List<ModelState> places, Option option, Set<Region.Lead> leads, Set<Region.Part> parts) {
    public Decision {
        places = List.copyOf(places);
        leads = Set.copyOf(leads);
        parts = Set.copyOf(parts);
    }

    /** Done in a place at any score and at any time. */
    public static Decision always(ModelState place, Option option) {
        return new Decision(List.of(place), option, Set.of(Region.Lead.values()), Set.of(Region.Part.values()));
    }

    /** Our athlete's ways out that it leans on, one for each place where he has one; none for keeping what is. */
    public List<Exit> exits(Model model) {
        return places.stream()
                .flatMap(p -> model.exits(p, true).stream())
                .filter(e -> e.technique() != null && e.technique().equals(option.technique()))
                .toList();
    }

    /** The tries of ours that it rests on. */
    public List<TagRef> tags(Model model) {
        return exits(model).stream()
                .flatMap(e -> e.basis().tags().stream())
                .distinct()
                .toList();
    }

    /** Whether it holds at any score. */
    public boolean atAnyScore() {
        return leads.size() == Region.Lead.values().length;
    }

    /** Whether it holds at any time. */
    public boolean atAnyTime() {
        return parts.size() == Region.Part.values().length;
    }

    /** Every score and part of the match in which it holds. */
    public List<Region> regions() {
        return regions(leads, parts);
    }

    static List<Region> regions(Set<Region.Lead> leads, Set<Region.Part> parts) {
        List<Region> all = new ArrayList<>();
        for (Region.Lead lead : Region.Lead.values()) {
            for (Region.Part part : Region.Part.values()) {
                if (leads.contains(lead) && parts.contains(part)) {
                    all.add(new Region(lead, part));
                }
            }
        }
        return all;
    }
}
