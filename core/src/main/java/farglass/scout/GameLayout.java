package farglass.scout;

/**
 * Where everything of a game figure is drawn: columns from the start to the finish, a row per path.
 *
 * @param width of the drawing, in whatever unit it is drawn in
 * @param height of it
 */
public record GameLayout(GameFigure figure, double width, double height) {
    private static final double BOX_SHARE = 0.56;
    private static final double WIDEST_BOX = 128;
    private static final double BOX_HEIGHT = 34;
    private static final double THIN = 1.5;
    private static final double WIDE = 11;
    /** How far a way that leads back hangs below its boxes. */
    private static final double HANG = 26;

    /** A box by its middle. */
    public record Spot(double x, double y, double w, double h) {}

    /** A curve with two control points, and where its words stand. */
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

    /** Where a box stands. */
    public Spot spot(GameFigure.Box b) {
        double column = width / Math.max(1, figure.columns());
        double row = height / Math.max(1, figure.rows());
        return new Spot(
                (b.column() + 0.5) * column,
                (b.row() + 0.5) * row,
                Math.min(WIDEST_BOX, BOX_SHARE * column),
                Math.min(BOX_HEIGHT, 0.7 * row));
    }

    /** How a way runs: to the right from side to side, back in a bow below. */
    public Curve curve(GameFigure.Link l) {
        Spot a = spot(figure.box(l.from()).orElseThrow());
        Spot b = spot(figure.box(l.to()).orElseThrow());
        if (b.x() > a.x()) {
            double x1 = a.x() + a.w() / 2;
            double x2 = b.x() - b.w() / 2;
            double bend = (x2 - x1) / 2;
            return new Curve(x1, a.y(), x1 + bend, a.y(), x2 - bend, b.y(), x2, b.y());
        }
        double y1 = a.y() + a.h() / 2;
        double y2 = b.y() + (b.y() >= a.y() ? -b.h() / 2 : b.h() / 2);
        double low = Math.max(y1, y2) + HANG;
        return new Curve(a.x(), y1, a.x(), low, b.x(), low, b.x(), y2);
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
