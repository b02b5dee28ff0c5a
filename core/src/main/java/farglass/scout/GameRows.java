package farglass.scout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** Puts the paths of a game figure side by side so that as few ways as can be cross, and these run short. */
final class GameRows {
    private static final double SHORT = 0.1;

    private final List<GameFigure.Box> boxes;
    private final List<GameFigure.Link> links;
    private final Map<String, GameFigure.Box> byKey = new HashMap<>();
    private int[] best = new int[0];
    private double least = Double.MAX_VALUE;

    private GameRows(List<GameFigure.Box> boxes, List<GameFigure.Link> links) {
        this.boxes = boxes;
        this.links = links;
        boxes.forEach(b -> byKey.put(b.key(), b));
    }

    /**
     * @param rows number of rows, few enough that all their orders can be tried: a figure has at most five paths
     * @return the boxes in other rows; of equal orders the first
     */
    static List<GameFigure.Box> ordered(List<GameFigure.Box> boxes, List<GameFigure.Link> links, int rows) {
        GameRows r = new GameRows(boxes, links);
        r.tryAll(new int[rows], new boolean[rows], 0);
        List<GameFigure.Box> moved = new ArrayList<>();
        for (GameFigure.Box b : r.boxes) {
            moved.add(new GameFigure.Box(b.key(), b.kind(), b.position(), b.role(), b.column(), r.best[b.row()]));
        }
        return moved;
    }

    private void tryAll(int[] place, boolean[] taken, int row) {
        if (row == place.length) {
            double cost = cost(place);
            if (cost < least) {
                least = cost;
                best = place.clone();
            }
            return;
        }
        for (int p = 0; p < place.length; p++) {
            if (!taken[p]) {
                taken[p] = true;
                place[row] = p;
                tryAll(place, taken, row + 1);
                taken[p] = false;
            }
        }
    }

    private double cost(int[] place) {
        double cost = 0;
        for (int i = 0; i < links.size(); i++) {
            double[] a = line(links.get(i), place);
            cost += SHORT * Math.abs(a[0] - a[2]);
            cost += through(a, links.get(i), place);
            for (int j = i + 1; j < links.size(); j++) {
                cost += crosses(a, line(links.get(j), place)) ? 1 : 0;
            }
        }
        return cost;
    }

    private GameFigure.Box box(String key) {
        return Objects.requireNonNull(byKey.get(key));
    }

    private double[] line(GameFigure.Link l, int[] place) {
        GameFigure.Box a = box(l.from());
        GameFigure.Box b = box(l.to());
        return new double[] {place[a.row()], a.column(), place[b.row()], b.column()};
    }

    /** Boxes that a way would run through. */
    private int through(double[] line, GameFigure.Link l, int[] place) {
        int hit = 0;
        for (GameFigure.Box b : boxes) {
            if (b.key().equals(l.from()) || b.key().equals(l.to())) {
                continue;
            }
            double side = side(line[0], line[1], line[2], line[3], place[b.row()], b.column());
            boolean within = place[b.row()] >= Math.min(line[0], line[2])
                    && place[b.row()] <= Math.max(line[0], line[2])
                    && b.column() >= Math.min(line[1], line[3])
                    && b.column() <= Math.max(line[1], line[3]);
            hit += side == 0 && within ? 1 : 0;
        }
        return hit;
    }

    private static boolean crosses(double[] a, double[] b) {
        return side(a[0], a[1], a[2], a[3], b[0], b[1]) * side(a[0], a[1], a[2], a[3], b[2], b[3]) < 0
                && side(b[0], b[1], b[2], b[3], a[0], a[1]) * side(b[0], b[1], b[2], b[3], a[2], a[3]) < 0;
    }

    private static double side(double x1, double y1, double x2, double y2, double px, double py) {
        return Math.signum((x2 - x1) * (py - y1) - (y2 - y1) * (px - x1));
    }
}
