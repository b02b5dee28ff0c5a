package farglass.scout;

/**
 * Where everything of a game figure is drawn: down from the start to the finish, the paths side by side.
 *
 * @param width of the drawing, in whatever unit it is drawn in
 * @param height of it
 */
public record GameLayout(GameFigure figure, double width, double height) {
    private static final double BOX_SHARE = 0.92;
    private static final double WIDEST_BOX = 128;
    private static final double BOX_HEIGHT = 30;
    private static final double THIN = 1.5;
    private static final double WIDE = 11;
    /** How far a way that leads back stands off its boxes. */
    private static final double HANG = 26;

    /** A box by its middle. */
    public record Spot(double x, double y, double w, double h) {}

    /** A curve with two control points. */
    public record Curve(double x1, double y1, double c1x, double c1y, double c2x, double c2y, double x2, double y2) {
        /** A point of it, {@code t} in 0..1. */
        public double[] at(double t) {
            double u = 1 - t;
            double a = u * u * u;
            double b = 3 * u * u * t;
            double c = 3 * u * t * t;
            double d = t * t * t;
            return new double[] {a * x1 + b * c1x + c * c2x + d * x2, a * y1 + b * c1y + c * c2y + d * y2};
        }
    }

    /** Where a box stands: a step down for every column of the figure, a path beside the other. */
    public Spot spot(GameFigure.Box b) {
        double path = width / Math.max(1, figure.rows());
        double step = height / Math.max(1, figure.columns());
        return new Spot(
                (b.row() + 0.5) * path,
                (b.column() + 0.5) * step,
                Math.min(WIDEST_BOX, BOX_SHARE * path),
                Math.min(BOX_HEIGHT, 0.5 * step));
    }

    /** How a way runs: down from box to box, back in a bow beside them. */
    public Curve curve(GameFigure.Link l) {
        Spot a = spot(figure.box(l.from()).orElseThrow());
        Spot b = spot(figure.box(l.to()).orElseThrow());
        if (b.y() > a.y()) {
            double y1 = a.y() + a.h() / 2;
            double y2 = b.y() - b.h() / 2;
            double bend = (y2 - y1) / 2;
            return new Curve(a.x(), y1, a.x(), y1 + bend, b.x(), y2 - bend, b.x(), y2);
        }
        double side = b.x() >= a.x() ? 1 : -1;
        double x1 = a.x() + side * a.w() / 2;
        double x2 = b.x() + (b.x() == a.x() ? side : -side) * b.w() / 2;
        double out = b.x() == a.x() ? x1 + side * HANG : (x1 + x2) / 2;
        return new Curve(x1, a.y(), out, a.y(), out, b.y(), x2, b.y());
    }

    /** Width of a way: how often it is tried. */
    public double line(GameFigure.Link l) {
        return THIN + WIDE * l.tries() / figure.most();
    }

    /** The part of that width that is filled: how often it works. */
    public double filled(GameFigure.Link l) {
        return l.tries() == 0 ? 0 : line(l) * l.worked() / l.tries();
    }
}
