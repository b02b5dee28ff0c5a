package farglass.scout;

import farglass.lexicon.Position;
import farglass.match.Role;
import farglass.match.Situation;
import farglass.match.Span;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Lays a game out: from the feet, from the guard and from the top of a guard in which most was tried, each time what is
 * tried most and what comes second, followed to where it leads until the match is finished or a place comes again.
 */
public final class GameFigures {
    private static final int PATHS = 5;
    private static final int STEPS = 4;
    /** What was tried less often than this is no way of the game. */
    private static final int TRIES = 2;
    /** A second way is drawn when it is tried at least so often as a share of the first. */
    private static final double ALSO = 0.4;

    /** Families of techniques that make up a game. */
    private static final Set<String> WAYS =
            Set.of("takedown", "guard-pull", "sweep", "reversal", "pass", "pin-advance", "back-take", "submission");

    private static final Situation FEET = new Situation("STD", Role.NEUTRAL);
    private static final String FINISH = "finish";

    private final Evidence evidence;
    /** By place, then technique. */
    private final Map<Situation, Map<String, List<Evidence.Act>>> tried = new HashMap<>();

    private final Map<String, GameFigure.Box> boxes = new LinkedHashMap<>();
    private final List<GameFigure.Link> links = new ArrayList<>();
    private int rows;
    private int paths;

    private GameFigures(Evidence evidence) {
        this.evidence = evidence;
        for (Evidence.Act a : evidence.own(x -> x.decided() && x.span() != null && WAYS.contains(x.family()))) {
            Situation at = Situation.of(
                    java.util.Objects.requireNonNull(a.span()), a.seen().corner());
            tried.computeIfAbsent(at, k -> new HashMap<>())
                    .computeIfAbsent(a.action().technique(), k -> new ArrayList<>())
                    .add(a);
        }
    }

    /** The figure of what counts; without boxes when too little was tried. */
    public static GameFigure of(Evidence evidence) {
        return new GameFigures(evidence).laid();
    }

    private GameFigure laid() {
        Set<Situation> roots = new LinkedHashSet<>(List.of(FEET));
        roots.addAll(busiest(Role.GUARD));
        roots.addAll(busiest(Role.HOLDER));
        for (Situation root : roots) {
            if (paths < PATHS && !ways(root).isEmpty()) {
                from(root, root.equals(FEET) ? 0 : 1);
            }
        }
        int columns =
                boxes.values().stream().mapToInt(b -> b.column() + 1).max().orElse(0);
        // a path that led to a known place at once has no box of its own
        List<Integer> used = boxes.values().stream()
                .map(GameFigure.Box::row)
                .distinct()
                .sorted()
                .toList();
        List<GameFigure.Box> close = new ArrayList<>();
        boxes.values()
                .forEach(b -> close.add(new GameFigure.Box(
                        b.key(), b.kind(), b.position(), b.role(), b.column(), used.indexOf(b.row()))));
        List<GameFigure.Box> ordered = GameRows.ordered(close, links, used.size());
        ordered.sort(Comparator.comparingInt(GameFigure.Box::column).thenComparingInt(GameFigure.Box::row));
        return new GameFigure(ordered, links, columns, used.size());
    }

    /** The guards, or the guards under the athlete, in which most was tried; the first that has a way. */
    private List<Situation> busiest(Role role) {
        return tried.keySet().stream()
                .filter(s -> s.role() == role && isGuard(s.position()))
                .sorted(Comparator.comparingInt((Situation s) -> -attempts(s)).thenComparing(s -> s))
                .limit(1)
                .toList();
    }

    private int attempts(Situation s) {
        return tried.getOrDefault(s, Map.of()).values().stream()
                .mapToInt(List::size)
                .sum();
    }

    private boolean isGuard(String code) {
        return evidence.lexicon().position(code).map(Position::guard).orElse(false);
    }

    private void from(Situation root, int column) {
        String key = box(root, column, rows);
        List<String> ways = ways(root);
        for (int i = 0; i < ways.size() && paths < PATHS; i++) {
            int row = rows++;
            paths++;
            follow(root, key, ways.get(i), i > 0, column, row);
        }
    }

    /** One way, and the first choice from wherever it leads. */
    private void follow(Situation at, String from, String technique, boolean second, int column, int row) {
        Situation here = at;
        String key = from;
        String way = technique;
        boolean other = second;
        for (int step = 0; step < STEPS; step++) {
            List<Evidence.Act> acts = tried.getOrDefault(here, Map.of()).getOrDefault(way, List.of());
            boolean finishes = evidence.lexicon().familyOf(way).equals("submission");
            Situation next = finishes ? null : target(acts);
            if (!finishes && next == null) {
                return;
            }
            boolean known = next != null && boxes.containsKey(next.toString());
            String to = next == null ? finish(column + step + 1, row) : box(next, column + step + 1, row);
            link(key, to, way, acts, other);
            if (next == null || known || ways(next).isEmpty()) {
                return;
            }
            here = next;
            key = to;
            way = ways(next).get(0);
            other = false;
        }
    }

    /** What is tried most from a place and, where it is tried nearly as often, what comes second. */
    private List<String> ways(Situation at) {
        List<Map.Entry<String, List<Evidence.Act>>> all = tried.getOrDefault(at, Map.of()).entrySet().stream()
                .filter(e -> e.getValue().size() >= TRIES)
                .filter(e -> evidence.lexicon().familyOf(e.getKey()).equals("submission") || leads(at, e.getValue()))
                .sorted(Comparator.comparingInt((Map.Entry<String, List<Evidence.Act>> e) ->
                                -e.getValue().size())
                        .thenComparing(Map.Entry::getKey))
                .limit(2)
                .toList();
        return all.stream()
                .filter(e -> e.getValue().size() >= ALSO * all.get(0).getValue().size())
                .map(Map.Entry::getKey)
                .toList();
    }

    private boolean leads(Situation at, List<Evidence.Act> acts) {
        Situation to = target(acts);
        return to != null && !to.equals(at);
    }

    /** Where attempts that worked led most often; null when none did. */
    private @Nullable Situation target(List<Evidence.Act> acts) {
        Map<Situation, Integer> counts = new HashMap<>();
        for (Evidence.Act a : acts) {
            Situation to = a.action().completed() ? reached(a) : null;
            if (to != null) {
                counts.merge(to, 1, Integer::sum);
            }
        }
        return counts.entrySet().stream()
                .max(Map.Entry.<Situation, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse(null);
    }

    private static @Nullable Situation reached(Evidence.Act a) {
        for (Span s : a.seen().line().spans()) {
            if (s.byAction() == a.index()) {
                return Situation.of(s, a.seen().corner());
            }
        }
        return null;
    }

    private void link(String from, String to, String technique, List<Evidence.Act> acts, boolean second) {
        boolean there = links.stream()
                .anyMatch(l -> l.from().equals(from)
                        && l.to().equals(to)
                        && l.technique().equals(technique));
        if (!there) {
            List<Trial> trials = acts.stream().map(Evidence.Act::trial).toList();
            links.add(new GameFigure.Link(from, to, technique, trials, second));
        }
    }

    private String box(Situation at, int column, int row) {
        String key = at.toString();
        boxes.putIfAbsent(key, new GameFigure.Box(key, GameFigure.Kind.PLACE, at.position(), at.role(), column, row));
        rows = Math.max(rows, row);
        return key;
    }

    private String finish(int column, int row) {
        String key = FINISH + row;
        boxes.putIfAbsent(key, new GameFigure.Box(key, GameFigure.Kind.FINISH, "", Role.HOLDER, column, row));
        return key;
    }
}
