package farglass.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What the user changed about a briefing.
 *
 * @param hidden ids of slides left out
 * @param order ids of slides in the user's order; those not named follow in the order of the plan
 * @param notes what the speaker says, by id of the slide
 * @param nameless whether athletes, events and dates go unnamed
 */
public record Brief(Set<String> hidden, List<String> order, Map<String, String> notes, boolean nameless) {
    public static final Brief USUAL = new Brief(Set.of(), List.of(), Map.of(), false);

    public Brief {
        hidden = Set.copyOf(hidden);
        order = List.copyOf(order);
        notes = Map.copyOf(notes);
    }

    /** The same with a slide left out, or taken in again. */
    public Brief hide(String slide, boolean out) {
        Set<String> next = new LinkedHashSet<>(hidden);
        if (out) {
            next.add(slide);
        } else {
            next.remove(slide);
        }
        return new Brief(next, order, notes, nameless);
    }

    /** One place up or down among the slides as they stand now. */
    public Brief move(List<String> now, String slide, int by) {
        List<String> next = new ArrayList<>(now);
        int at = next.indexOf(slide);
        int to = at + by;
        if (at < 0 || to < 0 || to >= next.size()) {
            return this;
        }
        next.remove(at);
        next.add(to, slide);
        return new Brief(hidden, next, notes, nameless);
    }

    /** The same with what the speaker says to a slide. */
    public Brief note(String slide, String words) {
        Map<String, String> next = new LinkedHashMap<>(notes);
        if (words.isBlank()) {
            next.remove(slide);
        } else {
            next.put(slide, words.strip());
        }
        return new Brief(hidden, order, next, nameless);
    }

    /** The same with names left out, or said. */
    public Brief nameless(boolean without) {
        return new Brief(hidden, order, notes, without);
    }
}
