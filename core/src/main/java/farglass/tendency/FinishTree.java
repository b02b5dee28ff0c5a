package farglass.tendency;

import farglass.match.Tag;
import farglass.stats.Median;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * How locks come about: from every own lock (a submission that reached level 2) back over at most 4 tags within 30 s,
 * merged as a tree with the lock at its root. Failed locks are the denominator.
 */
public final class FinishTree {
    private static final int DEPTH = 4;
    private static final long BACK_MS = 30_000;
    private static final int LOCKED = 2;

    private FinishTree() {}

    /**
     * A tag and everything that came before it.
     *
     * @param step the lock at the root, else a tag before it; its symbol names it
     * @param n locks that came this way
     * @param x those that finished
     * @param medianMs from this tag to the end of the lock
     * @param before most frequent first
     */
    public record Node(Exchanges.Step step, int n, int x, double medianMs, List<Trial> trials, List<Node> before) {}

    private record Way(Evidence.Act lock, List<Exchanges.Step> back) {}

    /** One tree per submission, most frequent first. */
    public static List<Node> of(Evidence evidence) {
        Map<String, List<Way>> byLock = new TreeMap<>();
        IdentityHashMap<Evidence.Seen, List<Exchanges.Exchange>> exchanges = new java.util.IdentityHashMap<>();
        for (Exchanges.Exchange e : Exchanges.of(evidence)) {
            exchanges.computeIfAbsent(e.seen(), k -> new ArrayList<>()).add(e);
        }
        for (Evidence.Act act : locks(evidence)) {
            byLock.computeIfAbsent(act.action().technique(), k -> new ArrayList<>())
                    .add(way(act, exchanges.getOrDefault(act.seen(), List.of())));
        }
        List<Node> roots = new ArrayList<>();
        byLock.forEach((technique, ways) -> roots.add(
                node(new Exchanges.Step(true, technique, ways.get(0).lock().index(), "", true), ways, 0)));
        roots.sort(Comparator.comparingInt(Node::n).reversed());
        return roots;
    }

    /** Own submissions that locked. */
    public static List<Evidence.Act> locks(Evidence evidence) {
        return evidence.ownOf("submission").stream()
                .filter(a -> a.action().reached() != null && a.action().reached() >= LOCKED)
                .toList();
    }

    private static Way way(Evidence.Act lock, List<Exchanges.Exchange> exchanges) {
        List<Exchanges.Step> back = new ArrayList<>();
        for (Exchanges.Exchange e : exchanges) {
            List<Exchanges.Step> steps = e.steps();
            for (int i = 0; i < steps.size(); i++) {
                if (steps.get(i).tag() == lock.index()) {
                    for (int k = i - 1; k >= 0 && back.size() < DEPTH; k--) {
                        Tag tag = lock.seen().record().tags().get(steps.get(k).tag());
                        if (lock.action().t().since(tag.t()) > BACK_MS) {
                            break;
                        }
                        back.add(steps.get(k));
                    }
                }
            }
        }
        return new Way(lock, back);
    }

    private static Node node(Exchanges.Step step, List<Way> ways, int depth) {
        Map<String, List<Way>> next = new TreeMap<>();
        for (Way w : ways) {
            if (w.back().size() > depth) {
                next.computeIfAbsent(w.back().get(depth).symbol(), k -> new ArrayList<>())
                        .add(w);
            }
        }
        List<Node> before = new ArrayList<>();
        next.forEach((symbol, list) -> before.add(node(list.get(0).back().get(depth), list, depth + 1)));
        before.sort(Comparator.comparingInt(Node::n).reversed());
        return new Node(
                step,
                ways.size(),
                (int) ways.stream().filter(w -> w.lock().action().completed()).count(),
                Median.of(ways.stream().mapToLong(w -> sinceStep(w, depth)).toArray()),
                ways.stream().map(w -> w.lock().trial()).toList(),
                before);
    }

    private static long sinceStep(Way w, int depth) {
        Evidence.Act lock = w.lock();
        Tag from = depth == 0
                ? lock.action()
                : lock.seen().record().tags().get(w.back().get(depth - 1).tag());
        return lock.action().end().since(from.t());
    }
}
