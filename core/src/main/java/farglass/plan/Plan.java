package farglass.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A plan for one meeting.
 *
 * @param us id of our athlete
 * @param them id of the opponent
 * @param pinned claims laid by for use
 * @param openings first things we may do; each is the root of a tree of forks
 * @param remarks free text
 */
public record Plan(
        String id,
        String title,
        String us,
        String them,
        List<PinnedClaim> pinned,
        List<Fork> openings,
        String remarks) {
    public Plan {
        pinned = List.copyOf(pinned);
        openings = List.copyOf(openings);
    }

    public static Plan empty(String id, String title, String us, String them) {
        return new Plan(id, title, us, them, List.of(), List.of(), "");
    }

    public Plan pin(PinnedClaim claim) {
        List<PinnedClaim> list = new ArrayList<>(pinned);
        list.removeIf(c -> c.sameAs(claim));
        list.add(claim);
        return new Plan(id, title, us, them, list, openings, remarks);
    }

    public Plan unpin(PinnedClaim claim) {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned.stream().filter(c -> !c.sameAs(claim)).toList(),
                openings,
                remarks);
    }

    public boolean isPinned(String athlete, String claim) {
        return pinned.stream()
                .anyMatch(p -> p.athlete().equals(athlete) && p.claim().equals(claim));
    }

    public Plan title(String text) {
        return new Plan(id, text, us, them, pinned, openings, remarks);
    }

    public Plan remarks(String text) {
        return new Plan(id, title, us, them, pinned, openings, text);
    }

    /** Adds a first action of ours. */
    public Plan open(String text) {
        List<Fork> list = new ArrayList<>(openings);
        list.add(Fork.of(freeId(), true, text));
        return new Plan(id, title, us, them, pinned, list, remarks);
    }

    /** Adds what follows a node: their answer after ours, ours after theirs. */
    public Plan follow(String parent, String text) {
        Fork above = find(parent).orElseThrow(() -> new IllegalArgumentException("no fork " + parent));
        return change(parent, f -> f.followedBy(Fork.of(freeId(), !above.ours(), text)));
    }

    public Plan change(String fork, UnaryOperator<Fork> change) {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned,
                openings.stream().map(f -> f.replace(fork, change)).toList(),
                remarks);
    }

    /** Without a node and all that follows it. */
    public Plan drop(String fork) {
        return new Plan(
                id,
                title,
                us,
                them,
                pinned,
                openings.stream()
                        .filter(f -> !f.id().equals(fork))
                        .map(f -> f.drop(fork))
                        .toList(),
                remarks);
    }

    public Optional<Fork> find(String fork) {
        return openings.stream().flatMap(f -> f.find(fork).stream()).findFirst();
    }

    /** Id the next new fork gets. */
    public String freeId() {
        return "f" + (openings.stream().mapToInt(Fork::highestId).max().orElse(0) + 1);
    }
}
