package farglass.bench.clip;

import java.awt.AlphaComposite;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * How a score graphic looks: arrangement, typeface, size, colours, ground and place, all drawn at random.
 *
 * @param size height of its letters, pixels
 * @param ground opacity of the ground, 0 to 1
 * @param segments thickness of the seven segments that clock and numbers are drawn in, as on a board in a hall, in
 * heights; 0 for letters
 * @param columns numbers of each athlete: points, then advantages, then penalties
 * @param labels whether the columns are headed
 */
record Graphic(
        Arrangement arrangement,
        Faces.Face face,
        int size,
        float ground,
        Color letters,
        Color back,
        double segments,
        int columns,
        boolean labels,
        int x,
        int y) {
    private static final Color[][] COLOURS = {
        {Color.WHITE, new Color(18, 22, 40)},
        {Color.WHITE, new Color(140, 24, 34)},
        {Color.WHITE, new Color(20, 110, 120)},
        {new Color(20, 20, 30), new Color(235, 235, 225)},
        {new Color(12, 20, 100), new Color(240, 240, 236)},
        {new Color(20, 20, 20), new Color(226, 130, 30)},
        {new Color(250, 222, 60), new Color(16, 16, 20)},
        {new Color(255, 60, 40), new Color(10, 10, 10)}
    };
    /** How much smaller the far side of a board is. */
    private static final double FAR = 0.8;

    static Graphic draw(int width, int height, Faces faces, Random random) {
        Arrangement a = List.of(Arrangement.values()).get(random.nextInt(Arrangement.values().length));
        int columns = 1 + random.nextInt(3);
        int least = Math.max(14, height / 40);
        double most = Math.min(60, height / 14.0);
        most = Math.min(most, 0.94 * width / (a.width == 0 ? 2 * (7 + 1.6 * columns) + 4 : a.width));
        int size = least + random.nextInt(Math.max(1, (int) most - least));
        boolean board = a == Arrangement.BOARD;
        float ground =
                board ? 1 : random.nextInt(5) == 0 ? 0 : random.nextBoolean() ? 1 : 0.4f + random.nextFloat() / 2;
        Color[] colours = COLOURS[ground == 0 ? 0 : random.nextInt(COLOURS.length)];
        double wide = a.width == 0 ? width / 1.08 : a.width * size;
        int x = a.width == 0 || random.nextBoolean() ? width / 30 : (int) Math.max(4, width - wide - width / 30.0);
        boolean top = a.width == 0 || random.nextBoolean();
        int y = (int) (top ? height / 20.0 : height - a.height * size - height / 14.0);
        return new Graphic(
                a,
                faces.any(random),
                size,
                ground,
                colours[0],
                colours[1],
                board || random.nextInt(8) == 0 ? 0.11 + 0.08 * random.nextDouble() : 0,
                columns,
                !board && random.nextInt(3) == 0,
                x,
                y);
    }

    /** The same in the opposite corner of the picture. */
    Graphic moved(int width, int height) {
        int right = arrangement.width == 0 ? x : (int) Math.max(4, width - arrangement.width * size - x);
        int below = (int) Math.max(4, height - arrangement.height * size - y);
        return new Graphic(arrangement, face, size, ground, letters, back, segments, columns, labels, right, below);
    }

    /** Row of the picture above which nothing of it is drawn. */
    int top() {
        return Math.max(0, y - size);
    }

    /** Row of the picture below which nothing of it is drawn. */
    int bottom(int height) {
        return Math.min(height, (int) (y + (arrangement.height + 2) * size));
    }

    boolean sevenSegment() {
        return segments > 0;
    }

    String groundName() {
        return ground == 0 ? "no ground" : ground == 1 ? "opaque ground" : "translucent ground";
    }

    /**
     * The graphic alone, on a picture of that size.
     *
     * @param numbers by athlete and column
     */
    BufferedImage drawn(int width, int height, String clock, int[][] numbers, String[] names) {
        double wide = (width - 2.0 * x) / size;
        BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = drawn.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.translate(x, y);
        arrangement.cells(clock, numbers, names, columns, labels, wide).forEach(c -> cell(g, c));
        g.dispose();
        return arrangement == Arrangement.BOARD ? atAnAngle(drawn) : drawn;
    }

    private void cell(Graphics2D g, Cell c) {
        double left = c.x() * size;
        double top = c.y() * size;
        if (ground > 0 && c.ground()) {
            g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC, ground));
            g.setColor(back);
            g.fillRect((int) left, (int) top, (int) (size * c.width()), (int) (size * c.height()));
            g.setComposite(AlphaComposite.SrcOver);
        }
        g.setColor(letters);
        boolean digits = c.kind() == Cell.Kind.CLOCK || c.kind() == Cell.Kind.NUMBER;
        if (segments > 0 && digits) {
            new SevenSegments(g, size * c.size(), segments)
                    .draw(c.text(), left + size * 0.2, top + size * c.size() * 0.2);
        } else {
            double margin = c.kind() == Cell.Kind.CLOCK ? 0.3 : 0.2;
            double room = size * (c.width() - 2 * margin);
            double fits = Math.min(1, room / face.letters().width(c.text(), size * c.size()));
            double large = size * c.size() * (c.kind() == Cell.Kind.NAME ? fits : 1);
            if (ground == 0) {
                g.setColor(new Color(0, 0, 0, 170));
                face.letters().draw(g, c.text(), left + size * margin + 2, top + size * c.size() * 1.05 + 2, large);
                g.setColor(letters);
            }
            face.letters().draw(g, c.text(), left + size * margin, top + size * c.size() * 1.05, large);
        }
    }

    /** The left side nearer than the right one: columns are pressed together towards it. */
    private BufferedImage atAnAngle(BufferedImage drawn) {
        BufferedImage seen = new BufferedImage(drawn.getWidth(), drawn.getHeight(), BufferedImage.TYPE_INT_ARGB);
        double wide = arrangement.width * size;
        double middle = y + arrangement.height * size / 2;
        Graphics2D g = seen.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        for (int column = 0; column < (int) wide; column++) {
            double scale = 1 - (1 - FAR) * column / wide;
            int at = x + (int) (column * (1 + FAR) / 2 * (1 + (1 - FAR) * (1 - column / wide) / 2));
            int from = x + column;
            if (from >= drawn.getWidth()) {
                break;
            }
            int up = (int) Math.round(middle - scale * middle);
            int down = (int) Math.round(middle + scale * (drawn.getHeight() - middle));
            g.drawImage(drawn, at, up, at + 1, down, from, 0, from + 1, drawn.getHeight(), null);
        }
        g.dispose();
        return seen;
    }

    static String clock(long seconds) {
        return String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
    }
}
