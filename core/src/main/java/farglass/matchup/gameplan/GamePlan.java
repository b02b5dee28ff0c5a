package farglass.matchup.gameplan;

import farglass.matchup.advise.Bracket;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Proposal;
import farglass.matchup.advise.Refusal;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.model.StateSpace;
import farglass.matchup.solve.ForwardPass;
import farglass.stats.TagRef;
import farglass.tendency.Evidence;
import farglass.tendency.LibraryIndex;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What the page says beside the decisions.
 *
 * @param ours how our athlete begins
 * @param theirs how the opponent does
 * @param opening what of ours, from standing, more of would bring most; empty when nothing would
 * @param wanted where to be, what brings most over a match first
 * @param threats their weapons, the worst first
 * @param phases how a match goes under the plan
 * @param stays where film shows the opponent in places that are not accepted, as our athlete sees them
 */
public record GamePlan(
        Beginning ours,
        Beginning theirs,
        Optional<Exit> opening,
        List<Wanted> wanted,
        List<Threat> threats,
        PhaseFigure phases,
        Map<ModelState, List<TagRef>> stays) {
    public GamePlan {
        wanted = List.copyOf(wanted);
        threats = List.copyOf(threats);
        stays = Map.copyOf(stays);
    }

    /** Takes some tenths of a second. */
    public static GamePlan of(Proposal p, LibraryIndex index) {
        Meeting.Question q = p.solved().meeting().question();
        Evidence theirs = Evidence.of(index, q.them(), q.filter());
        return new GamePlan(
                Beginning.of(Evidence.of(index, q.us(), q.filter())),
                Beginning.of(theirs),
                p.solved().flow().leverage().stream()
                        .filter(l -> l.exit().ours() && l.exit().from().equals(ModelState.START))
                        .filter(l -> l.exit().technique() != null && l.exit().ownAction() && Bracket.gain(l) > 0)
                        .max(Comparator.comparingDouble(Bracket::gain))
                        .map(ForwardPass.Leverage::exit),
                Wanted.of(p),
                Threat.of(p.solved(), p.weapons(), theirs),
                PhaseFigure.of(p.solved()),
                p.refuse().stream()
                        .collect(Collectors.toMap(
                                Refusal::place,
                                r -> stays(theirs, p.solved().meeting().model().groups(), r.place()))));
    }

    private static List<TagRef> stays(Evidence theirs, StateSpace groups, ModelState place) {
        return theirs.visits().stream()
                .filter(v ->
                        place.mirrored().equals(groups.place(v.span(), v.seen().corner())))
                .map(Evidence.Visit::ref)
                .toList();
    }
}
