package farglass.scout;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Objects;

/**
 * Where the words of the ways of a game figure stand: beside, above or below a way, where they lie on no box, on no
 * other words, and on as few ways as can be. Placed one after the other, the widest way first.
 */
public final class GameLabels {
    /** Shares of a way at which its words may stand, the best first. */
    private static final double[] ALONG = {0.5, 0.42, 0.58, 0.34, 0.66, 0.26, 0.74, 0.18, 0.82};

    private static final int STEPS = 64;
    /** Words that stood well may make room for those that came after them. */
    private static final int ROUNDS = 3;

    /** Between words and a way. */
    private static final double AIR = 2;
    /** Between words and their own way. */
    private static final double GAP = 5;

    private static final double ON_BOX = 90;
    private static final double ON_WORDS = 40;
    private static final double OUTSIDE = 20;
    /** Away from the middle of the way, of all places that are free. */
    private static final double OFF_MIDDLE = 0.5;

    private final GameLayout layout;
    /** By the way itself: as a key it would be compared with all its trials. */
    private final IdentityHashMap<GameFigure.Link, Rect> placed = new IdentityHashMap<>();

    private final List<Rect> boxes = new ArrayList<>();
    private final List<Way> ways = new ArrayList<>();

    /** Words as a rectangle. */
    public record Rect(double x, double y, double w, double h) {
        boolean overlaps(Rect o) {
            return x < o.x + o.w && o.x < x + w && y < o.y + o.h && o.y < y + h;
        }

        Rect grown(double by) {
            return new Rect(x - by, y - by, w + 2 * by, h + 2 * by);
        }

        boolean holds(double px, double py) {
            return px > x && px < x + w && py > y && py < y + h;
        }
    }

    /**
     * A way.
     *
     * @param points along its middle, in order
     * @param round the rectangle round them
     * @param half of its width, with some air
     */
    private record Way(List<double[]> points, Rect round, double half) {
        static Way of(GameLayout.Curve c, double wide) {
            List<double[]> points = new ArrayList<>();
            DoubleSummaryStatistics x = new DoubleSummaryStatistics();
            DoubleSummaryStatistics y = new DoubleSummaryStatistics();
            for (int i = 0; i <= STEPS; i++) {
                double[] p = c.at(i / (double) STEPS);
                points.add(p);
                x.accept(p[0]);
                y.accept(p[1]);
            }
            // a straight way has no width, and nothing would overlap it
            return new Way(
                    points,
                    new Rect(x.getMin() - 1, y.getMin() - 1, x.getMax() - x.getMin() + 2, y.getMax() - y.getMin() + 2),
                    wide / 2 + AIR);
        }

        int pointsIn(Rect words) {
            Rect r = words.grown(half);
            int n = 0;
            if (r.overlaps(round)) {
                for (double[] p : points) {
                    n += r.holds(p[0], p[1]) ? 1 : 0;
                }
            }
            return n;
        }
    }

    /** How large the words of a way are, in the unit of the layout. */
    public interface Size {
        /** {width, height}. */
        double[] of(GameFigure.Link l);
    }

    /** Places the words of all ways. */
    public GameLabels(GameLayout layout, Size size) {
        this.layout = layout;
        for (GameFigure.Box b : layout.figure().boxes()) {
            GameLayout.Spot s = layout.spot(b);
            boxes.add(new Rect(s.x() - s.w() / 2, s.y() - s.h() / 2, s.w(), s.h()));
        }
        for (GameFigure.Link l : layout.figure().links()) {
            ways.add(Way.of(layout.curve(l), layout.line(l)));
        }
        List<GameFigure.Link> order = new ArrayList<>(layout.figure().links());
        order.sort((a, b) -> Integer.compare(b.tries(), a.tries()));
        IdentityHashMap<GameFigure.Link, double[]> sizes = new IdentityHashMap<>();
        order.forEach(l -> sizes.put(l, size.of(l)));
        boolean moved = true;
        for (int round = 0; round < ROUNDS && moved; round++) {
            moved = false;
            for (GameFigure.Link l : order) {
                double[] wh = Objects.requireNonNull(sizes.get(l));
                Rect before = placed.remove(l);
                Rect now = best(l, wh[0], wh[1]);
                placed.put(l, now);
                moved |= !now.equals(before);
            }
        }
    }

    /** Where the words of a way stand; lines begin at its left edge. */
    public Rect of(GameFigure.Link l) {
        return Objects.requireNonNull(placed.get(l));
    }

    private Rect best(GameFigure.Link l, double w, double h) {
        GameLayout.Curve c = layout.curve(l);
        double gap = layout.line(l) / 2 + GAP;
        double aside = layout.spot(layout.figure().boxes().get(0)).h() / 2 + 3;
        Rect best = null;
        double least = Double.MAX_VALUE;
        for (double t : ALONG) {
            double off = OFF_MIDDLE * Math.abs(t - 0.5);
            if (off >= least) {
                // nor is any place further from the middle better
                break;
            }
            double[] p = c.at(t);
            for (Rect r : List.of(
                    new Rect(p[0] + gap, p[1] - h / 2, w, h),
                    new Rect(p[0] - gap - w, p[1] - h / 2, w, h),
                    new Rect(p[0] - w / 2, p[1] - gap - h, w, h),
                    new Rect(p[0] - w / 2, p[1] + gap, w, h),
                    // a way that runs aslant leaves its corners free
                    new Rect(p[0] + gap, p[1] - gap - h, w, h),
                    new Rect(p[0] - gap - w, p[1] - gap - h, w, h),
                    new Rect(p[0] + gap, p[1] + gap, w, h),
                    new Rect(p[0] - gap - w, p[1] + gap, w, h),
                    // between two boxes side by side there is no room but above and below them
                    new Rect(p[0] - w / 2, p[1] - aside - h, w, h),
                    new Rect(p[0] - w / 2, p[1] + aside, w, h))) {
                double cost = off + cost(r);
                if (cost < least) {
                    least = cost;
                    best = r;
                }
            }
        }
        return Objects.requireNonNull(best);
    }

    private double cost(Rect r) {
        double cost = r.x() < 0 || r.y() < 0 || r.x() + r.w() > layout.width() || r.y() + r.h() > layout.height()
                ? OUTSIDE
                : 0;
        for (Rect b : boxes) {
            cost += r.overlaps(b) ? ON_BOX : 0;
        }
        for (Rect o : placed.values()) {
            cost += r.overlaps(o) ? ON_WORDS : 0;
        }
        for (Way way : ways) {
            cost += way.pointsIn(r);
        }
        return cost;
    }
}
