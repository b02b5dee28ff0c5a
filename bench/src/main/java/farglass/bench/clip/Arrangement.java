package farglass.bench.clip;

import farglass.bench.clip.Cell.Kind;
import java.util.ArrayList;
import java.util.List;

/** Where names, numbers and clock of a score graphic stand. */
enum Arrangement {
    /** One athlete above the other, the clock below. */
    ROWS("rows", 13, 4.6),
    /** The same with the clock beside. */
    ROWS_CLOCK_BESIDE("rows, clock beside", 17, 3),
    /** One row: name and numbers, clock, numbers and name. */
    BAR("bar", 29, 1.5),
    /** A card for each athlete: name, large points, the rest small below. */
    CARDS("cards", 22, 5.8),
    /** An athlete in each upper corner, the clock between them. */
    CORNERS("corners", 0, 1.5),
    /** A board in the hall, seen at an angle. */
    BOARD("hall board", 13, 4.6);

    private static final double NAME = 6.5;
    private static final String[] LABELS = {"P", "A", "PEN"};

    final String words;
    /** Size in heights of a letter; over the whole picture where it is 0. */
    final double width;

    final double height;

    Arrangement(String words, double width, double height) {
        this.words = words;
        this.width = width;
        this.height = height;
    }

    /**
     * What is drawn.
     *
     * @param wide width of the picture, in heights of a letter
     * @param labels whether the numbers are headed
     */
    List<Cell> cells(String clock, int[][] numbers, String[] names, int columns, boolean labels, double wide) {
        List<Cell> cells = new ArrayList<>();
        for (int who = 0; who < 2; who++) {
            switch (this) {
                case ROWS, ROWS_CLOCK_BESIDE, BOARD -> row(cells, who, numbers[who], names[who], columns, labels);
                case BAR -> bar(cells, who, numbers[who], names[who], columns);
                case CARDS -> card(cells, who, numbers[who], names[who], columns);
                case CORNERS -> corner(cells, who, numbers[who], names[who], columns, wide);
            }
        }
        double rows = labels ? 0.8 : 0;
        cells.add(
                switch (this) {
                    case ROWS, BOARD -> Cell.of(Kind.CLOCK, clock, 0, 3.0 + rows, 2.9);
                    case ROWS_CLOCK_BESIDE -> Cell.of(Kind.CLOCK, clock, NAME + 0.6 + 1.6 * columns, rows, 2.9);
                    case BAR -> Cell.of(Kind.CLOCK, clock, 13, 0, 3);
                    case CARDS -> Cell.of(Kind.CLOCK, clock, 9.2, 0, 2.9);
                    case CORNERS -> Cell.of(Kind.CLOCK, clock, wide / 2 - 1.4, 0, 2.9);
                });
        return cells;
    }

    private static void row(List<Cell> cells, int who, int[] numbers, String name, int columns, boolean labels) {
        double y = 1.5 * who + (labels ? 0.8 : 0);
        cells.add(Cell.of(Kind.NAME, name, 0, y, NAME));
        for (int c = 0; c < columns; c++) {
            double x = NAME + 0.3 + 1.6 * c;
            cells.add(Cell.of(Kind.NUMBER, Integer.toString(numbers[c]), x, y, 1.4));
            if (labels && who == 0) {
                cells.add(new Cell(Kind.LABEL, LABELS[c], x, 0, 1.4, 0.5, false));
            }
        }
    }

    /** From outside in: name, penalties, advantages, points. */
    private static void bar(List<Cell> cells, int who, int[] numbers, String name, int columns) {
        double outer = who == 0 ? 0 : 29 - NAME;
        cells.add(Cell.of(Kind.NAME, name, outer, 0, NAME));
        for (int c = 0; c < columns; c++) {
            double x = who == 0 ? 11.4 - 1.6 * c : 16.2 + 1.6 * c;
            cells.add(Cell.of(Kind.NUMBER, Integer.toString(numbers[c]), x, 0, 1.4));
        }
    }

    private static void card(List<Cell> cells, int who, int[] numbers, String name, int columns) {
        double x = who == 0 ? 0 : 13;
        cells.add(Cell.of(Kind.NAME, name, x, 0, 8.5));
        cells.add(Cell.of(Kind.NUMBER, Integer.toString(numbers[0]), x + 3, 1.5, 3)
                .sized(1.9));
        for (int c = 1; c < columns; c++) {
            cells.add(Cell.of(Kind.NUMBER, Integer.toString(numbers[c]), x + 4 * (c - 1) + 1.5, 4.3, 1.4));
        }
    }

    private static void corner(List<Cell> cells, int who, int[] numbers, String name, int columns, double wide) {
        double left = who == 0 ? 0 : wide - NAME - 0.3 - 1.6 * columns;
        cells.add(Cell.of(Kind.NAME, name, left, 0, NAME));
        for (int c = 0; c < columns; c++) {
            cells.add(Cell.of(Kind.NUMBER, Integer.toString(numbers[c]), left + NAME + 0.3 + 1.6 * c, 0, 1.4));
        }
    }
}
