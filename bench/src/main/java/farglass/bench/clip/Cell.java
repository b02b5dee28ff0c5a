package farglass.bench.clip;

/**
 * A part of a score graphic, in heights of its letters from the graphic's own corner.
 *
 * @param width of its ground
 * @param size of its letters
 * @param ground whether it has the graphic's ground behind it
 */
record Cell(Kind kind, String text, double x, double y, double width, double size, boolean ground) {
    enum Kind {
        NAME,
        NUMBER,
        CLOCK,
        LABEL
    }

    static Cell of(Kind kind, String text, double x, double y, double width) {
        return new Cell(kind, text, x, y, width, 1, true);
    }

    Cell sized(double larger) {
        return new Cell(kind, text, x, y, width, larger, ground);
    }

    double height() {
        return 1.4 * size;
    }
}
