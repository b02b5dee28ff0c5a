package farglass.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * A node of a plan: what one side does, and what may follow.
 *
 * @param id unique within the plan
 * @param ours whether it is our action; else the opponent's answer
 * @param text what is done
 * @param note how, when, what to watch; may be empty
 * @param claims what it rests on
 * @param next what may follow, most expected first
 */
public record Fork(String id, boolean ours, String text, String note, List<PinnedClaim> claims, List<Fork> next) {
    public Fork {
        claims = List.copyOf(claims);
        next = List.copyOf(next);
    }

    /** A fork with nothing after it. */
    public static Fork of(String id, boolean ours, String text) {
        return new Fork(id, ours, text, "", List.of(), List.of());
    }

    /** The same with other words. */
    public Fork text(String newText, String newNote) {
        return new Fork(id, ours, newText, newNote, claims, next);
    }

    /** With one more claim; a claim it already rests on is replaced by the newer reading. */
    public Fork resting(PinnedClaim claim) {
        List<PinnedClaim> list = new ArrayList<>(claims);
        list.removeIf(c -> c.sameAs(claim));
        list.add(claim);
        return new Fork(id, ours, text, note, list, next);
    }

    /** The same resting no longer on a claim. */
    public Fork without(PinnedClaim claim) {
        return new Fork(
                id,
                ours,
                text,
                note,
                claims.stream().filter(c -> !c.sameAs(claim)).toList(),
                next);
    }

    /** Resting on no claim about an athlete, here and below. */
    Fork without(String athlete) {
        return new Fork(
                id,
                ours,
                text,
                note,
                claims.stream().filter(c -> !c.athlete().equals(athlete)).toList(),
                next.stream().map(f -> f.without(athlete)).toList());
    }

    Fork followedBy(Fork child) {
        List<Fork> list = new ArrayList<>(next);
        list.add(child);
        return new Fork(id, ours, text, note, claims, list);
    }

    Fork replace(String target, UnaryOperator<Fork> change) {
        if (id.equals(target)) {
            return change.apply(this);
        }
        return new Fork(
                id,
                ours,
                text,
                note,
                claims,
                next.stream().map(f -> f.replace(target, change)).toList());
    }

    Fork drop(String target) {
        return new Fork(
                id,
                ours,
                text,
                note,
                claims,
                next.stream()
                        .filter(f -> !f.id.equals(target))
                        .map(f -> f.drop(target))
                        .toList());
    }

    Optional<Fork> find(String target) {
        if (id.equals(target)) {
            return Optional.of(this);
        }
        return next.stream().flatMap(f -> f.find(target).stream()).findFirst();
    }

    Fork numbered(Supplier<String> ids) {
        String mine = ids.get();
        return new Fork(
                mine,
                ours,
                text,
                note,
                claims,
                next.stream().map(f -> f.numbered(ids)).toList());
    }

    int highestId() {
        int mine = id.matches("f\\d+") ? Integer.parseInt(id.substring(1)) : 0;
        return next.stream().mapToInt(Fork::highestId).reduce(mine, Math::max);
    }

    /** Nodes from here on, this one included. */
    public int size() {
        return 1 + next.stream().mapToInt(Fork::size).sum();
    }

    /** How many forks follow one another at the most, itself counted. */
    public int depth() {
        return 1 + next.stream().mapToInt(Fork::depth).max().orElse(0);
    }
}
