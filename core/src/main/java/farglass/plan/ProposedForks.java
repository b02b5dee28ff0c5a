package farglass.plan;

import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.Proposal;
import farglass.matchup.fit.KnownGame;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Option;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A computed tree as forks, so that it can be taken over into a plan and changed by hand.
 *
 * @param root the opening
 * @param chances of coming to each fork from the one before, by id
 * @param drifts ids of forks that nobody's action leads to
 */
public record ProposedForks(Fork root, Map<String, Double> chances, Set<String> drifts) {
    public ProposedForks {
        chances = Map.copyOf(chances);
        drifts = Set.copyOf(drifts);
    }

    /** @param known what the opponent's analyst can have seen of us */
    public static ProposedForks of(Proposal p, MeetingWriter writer, KnownGame known) {
        return of(p.root(), p, writer, known);
    }

    /** The same of a part of the tree. */
    public static ProposedForks of(Proposal.Node from, Proposal p, MeetingWriter writer, KnownGame known) {
        Map<String, Double> chances = new LinkedHashMap<>();
        Set<String> drifts = new HashSet<>();
        Fork root = new Walk(p.solved().meeting(), writer, known, chances, drifts).fork(from, null);
        return new ProposedForks(root, chances, drifts);
    }

    private record Walk(
            Meeting meeting, MeetingWriter writer, KnownGame known, Map<String, Double> chances, Set<String> drifts) {
        /** @param from where the node before it was; null for the opening */
        Fork fork(Proposal.Node n, @Nullable ModelState from) {
            String id = "f" + (chances.size() + 1);
            // the opening's own chance is taken out again at the end
            chances.put(id, n.chance());
            List<Fork> next = new ArrayList<>();
            n.next().forEach(child -> next.add(fork(child, n.place())));
            if (from == null) {
                chances.remove(id);
            }
            if (from != null && n.ours() == null) {
                drifts.add(id);
            }
            boolean ours = from == null || Boolean.TRUE.equals(n.ours());
            String note = note(n, writer, from == null);
            String evidence = evidence(n, from);
            return new Fork(
                    id,
                    ours,
                    text(n, writer, from == null),
                    evidence.isEmpty() ? note : note + "\n" + evidence,
                    List.of(),
                    next);
        }

        /**
         * Both athletes' record with the way to a node, and for ours whether it is known and whether it can be relied
         * on.
         */
        private String evidence(Proposal.Node n, @Nullable ModelState from) {
            if (from == null || n.ours() == null || n.technique() == null) {
                return "";
            }
            String record = writer.evidence(n, meeting.faced(from, n.ours(), n.technique()));
            return n.ours() ? record + ", " + writer.expectation(known.seen(from, n.technique())) : record;
        }
    }

    private static String text(Proposal.Node n, MeetingWriter writer, boolean root) {
        String option = writer.option(n.option());
        if (root) {
            return writer.place(n.place()) + ": " + option;
        }
        return n.won() != null ? writer.way(n) : writer.way(n) + " \u2192 " + writer.place(n.place());
    }

    private static String note(Proposal.Node n, MeetingWriter writer, boolean root) {
        List<String> parts = new ArrayList<>();
        if (!root) {
            parts.add(writer.percent(n.chance()));
        }
        if (n.won() == null) {
            if (!root && n.option().kind() != Option.Kind.NATURAL) {
                parts.add(writer.option(n.option()));
            }
            parts.add(writer.value(n.value()));
        }
        return String.join(", ", parts);
    }
}
