package farglass.matchup.gameplan;

import farglass.matchup.gameplan.PhaseFigure.Box;
import farglass.matchup.gameplan.PhaseFigure.Link;
import farglass.matchup.gameplan.PhaseFigure.Phase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.ToDoubleFunction;

/**
 * Where everything of a drawing by phases stands: a column a phase, boxes as high as their words need, ways as wide as
 * they are likely. In whatever unit it is drawn in.
 *
 * @param spots of boxes
 * @param bands of links, in their order
 * @param height of the whole
 */
public record PhaseLayout(Map<PhaseFigure.Key, Spot> spots, List<Band> bands, double width, double height) {
    /** Of the width, what lies between two columns. */
    private static final double GAP = 0.055;
    /** Of a box's edge, what ways take at most. */
    private static final double EDGE = 0.9;
    /** Width of a way that all matches go, in widths of the whole. */
    private static final double WIDEST = 0.09;

    public PhaseLayout {
        spots = Map.copyOf(spots);
        bands = List.copyOf(bands);
    }

    /** A box by its upper left corner. */
    public record Spot(double x, double y, double w, double h) {}

    /** A way by the middles of its ends. */
    public record Band(Link link, double x1, double y1, double x2, double y2, double thick) {
        /** Halfway between its ends: the curve bends there. */
        public double bend() {
            return (x1 + x2) / 2;
        }
    }

    /** How wide a box is in a drawing of such a width. */
    public static double boxWidth(double width) {
        return width * (1 - 3 * GAP) / Phase.values().length;
    }

    /**
     * Lays a figure out.
     *
     * @param high how high a box must be for its words
     * @param between boxes of a column
     */
    public static PhaseLayout of(PhaseFigure figure, double width, ToDoubleFunction<Box> high, double between) {
        Map<Phase, Double> heights = new HashMap<>();
        for (Phase p : Phase.values()) {
            List<Box> here = figure.boxes(p);
            heights.put(p, here.stream().mapToDouble(high).sum() + between * Math.max(0, here.size() - 1));
        }
        double height = heights.values().stream().mapToDouble(h -> h).max().orElse(0);
        double wide = boxWidth(width);
        Map<PhaseFigure.Key, Spot> spots = new LinkedHashMap<>();
        double x = 0;
        for (Phase p : Phase.values()) {
            double y = (height - heights.getOrDefault(p, 0.0)) / 2;
            for (Box b : figure.boxes(p)) {
                double h = high.applyAsDouble(b);
                spots.put(b.key(), new Spot(x, y, wide, h));
                y += h + between;
            }
            x += wide + GAP * width;
        }
        return new PhaseLayout(spots, bands(figure, spots, width), width, height);
    }

    private static List<Band> bands(PhaseFigure figure, Map<PhaseFigure.Key, Spot> spots, double width) {
        double scale = WIDEST * width;
        for (Box b : figure.boxes()) {
            scale = Math.min(scale, EDGE * spot(spots, b.key()).h() / b.share());
        }
        double[] starts = ends(figure, spots, scale, Link::from, Link::to);
        double[] ends = ends(figure, spots, scale, Link::to, Link::from);
        List<Band> bands = new ArrayList<>();
        for (int i = 0; i < figure.links().size(); i++) {
            Link l = figure.links().get(i);
            Spot from = spot(spots, l.from());
            bands.add(new Band(
                    l, from.x() + from.w(), starts[i], spot(spots, l.to()).x(), ends[i], scale * l.share()));
        }
        return bands;
    }

    private static Spot spot(Map<PhaseFigure.Key, Spot> spots, PhaseFigure.Key key) {
        return Objects.requireNonNull(spots.get(key));
    }

    /** An end of a link. */
    private interface End {
        PhaseFigure.Key of(Link l);
    }

    /** Where links touch the edges of their boxes, side by side in the order of where they come from or go to. */
    private static double[] ends(
            PhaseFigure figure, Map<PhaseFigure.Key, Spot> spots, double scale, End here, End there) {
        double[] y = new double[figure.links().size()];
        for (Box b : figure.boxes()) {
            List<Integer> mine = new ArrayList<>();
            double sum = 0;
            for (int i = 0; i < y.length; i++) {
                if (here.of(figure.links().get(i)).equals(b.key())) {
                    mine.add(i);
                    sum += scale * figure.links().get(i).share();
                }
            }
            mine.sort(Comparator.comparingDouble(
                    i -> spot(spots, there.of(figure.links().get(i))).y()));
            double at = spot(spots, b.key()).y() + spot(spots, b.key()).h() / 2 - sum / 2;
            for (int i : mine) {
                double thick = scale * figure.links().get(i).share();
                y[i] = at + thick / 2;
                at += thick;
            }
        }
        return y;
    }
}
