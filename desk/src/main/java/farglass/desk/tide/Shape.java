package farglass.desk.tide;

import farglass.desk.shell.Look;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** Marks of attempts: the shape says the family, the fill how far it got (empty for level 1, full for level 4). */
public enum Shape {
    TAKEDOWN("takedown") {
        @Override
        double[][] points() {
            return new double[][] {{-1, 0.8}, {1, 0.8}, {0, -1}};
        }
    },
    GUARD_PULL("guard-pull") {
        @Override
        double[][] points() {
            return new double[][] {{-1, -0.8}, {1, -0.8}, {0, 1}};
        }
    },
    SWEEP("sweep") {
        @Override
        double[][] points() {
            return round(6);
        }
    },
    PASS("pass") {
        @Override
        double[][] points() {
            return new double[][] {{-0.9, -0.9}, {0.9, -0.9}, {0.9, 0.9}, {-0.9, 0.9}};
        }
    },
    BACK_TAKE("back-take") {
        @Override
        double[][] points() {
            return new double[][] {
                {-0.4, -1},
                {0.4, -1},
                {0.4, -0.4},
                {1, -0.4},
                {1, 0.4},
                {0.4, 0.4},
                {0.4, 1},
                {-0.4, 1},
                {-0.4, 0.4},
                {-1, 0.4},
                {-1, -0.4},
                {-0.4, -0.4}
            };
        }
    },
    SUBMISSION("submission") {
        @Override
        double[][] points() {
            return new double[][] {{0, -1.25}, {1.05, 0}, {0, 1.25}, {-1.05, 0}};
        }
    };

    private final String family;

    Shape(String family) {
        this.family = family;
    }

    /** Corners in units of the mark's size. */
    abstract double[][] points();

    /** The mark of a family; null for families that are not drawn. */
    public static Shape of(String family) {
        for (Shape s : values()) {
            if (s.family.equals(family)) {
                return s;
            }
        }
        return null;
    }

    private static double[][] round(int corners) {
        double[][] p = new double[corners][];
        for (int i = 0; i < corners; i++) {
            double a = 2 * Math.PI * i / corners;
            p[i] = new double[] {Math.cos(a), Math.sin(a)};
        }
        return p;
    }

    public String family() {
        return family;
    }

    /** @param reached 0 (unknown) to 4 */
    public void draw(GraphicsContext g, double x, double y, double size, int reached, Color colour) {
        double[][] p = points();
        double[] xs = new double[p.length];
        double[] ys = new double[p.length];
        for (int i = 0; i < p.length; i++) {
            xs[i] = x + p[i][0] * size;
            ys[i] = y + p[i][1] * size;
        }
        g.setFill(Look.sheet());
        g.fillPolygon(xs, ys, p.length);
        if (reached > 1) {
            g.setFill(colour.deriveColor(0, 1, 1, reached >= 4 ? 1 : reached == 3 ? 0.55 : 0.25));
            g.fillPolygon(xs, ys, p.length);
        }
        g.setStroke(colour);
        g.setLineWidth(1.4);
        g.strokePolygon(xs, ys, p.length);
    }
}
