package farglass.plan;

import farglass.matchup.MeetingWriter;
import farglass.matchup.Option;
import farglass.matchup.Proposal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A computed tree as forks, so that it can be taken over into a plan and changed by hand.
 *
 * @param root the opening
 * @param chances of coming to each fork from the one before, by id
 */
public record ProposedForks(Fork root, Map<String, Double> chances) {
    public ProposedForks {
        chances = Map.copyOf(chances);
    }

    public static ProposedForks of(Proposal p, MeetingWriter writer) {
        Map<String, Double> chances = new LinkedHashMap<>();
        Fork root = fork(p.root(), writer, chances, new int[1], true);
        return new ProposedForks(root, chances);
    }

    private static Fork fork(
            Proposal.Node n, MeetingWriter writer, Map<String, Double> chances, int[] count, boolean root) {
        String id = "f" + ++count[0];
        if (!root) {
            chances.put(id, n.chance());
        }
        List<Fork> next = new ArrayList<>();
        n.next().forEach(child -> next.add(fork(child, writer, chances, count, false)));
        boolean ours = root || Boolean.TRUE.equals(n.ours());
        return new Fork(id, ours, text(n, writer, root), note(n, writer, root), List.of(), next);
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
