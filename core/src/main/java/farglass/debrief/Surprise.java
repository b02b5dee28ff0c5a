package farglass.debrief;

import farglass.match.Corner;
import farglass.match.Tag;
import farglass.matchup.model.Exit;
import farglass.matchup.model.Model;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.tendency.MatchFacts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Something that hardly anybody expected.
 *
 * @param tag index of the action
 * @param place as our athlete sees it
 * @param share of this athlete's attempts there that the model gave to it, 0..1
 */
public record Surprise(int tag, boolean ours, String technique, ModelState place, double share) {
    /** The least expected attempts of a match, the least first. */
    public static List<Surprise> of(MatchFacts facts, Corner us, Model model, StateSpace groups, int most) {
        List<Surprise> list = new ArrayList<>();
        for (MatchFacts.Act act : facts.acts()) {
            Tag.Action a = act.action();
            ModelState place = act.span() == null ? null : groups.place(act.span(), us);
            if (place == null || List.of("grip", "feint", "other").contains(act.family())) {
                continue;
            }
            boolean ours = a.by() == us;
            double all = 0;
            double same = 0;
            for (Exit e : model.exits(place, ours)) {
                all += e.technique() == null ? 0 : e.rate();
                same += a.technique().equals(e.technique()) ? e.rate() : 0;
            }
            // of a place the model does not know nothing was expected and nothing can surprise
            if (all > 0) {
                list.add(new Surprise(act.index(), ours, a.technique(), place, same / all));
            }
        }
        list.sort(Comparator.comparingDouble(Surprise::share));
        return List.copyOf(list.subList(0, Math.min(most, list.size())));
    }
}
