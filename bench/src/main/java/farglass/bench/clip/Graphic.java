package farglass.bench.clip;

import farglass.film.studio.Lettering;
import farglass.type.Typeface;
import java.awt.AlphaComposite;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/**
 * How a score graphic looks: typeface, size, colours, ground, place, all drawn at random.
 *
 * @param name what is told of it in the table
 * @param size height of its letters, pixels
 * @param ground opacity of the ground, 0 to 1
 * @param dark whether letters are dark on a light ground
 * @param sevenSegment whether the clock is drawn in seven segments, as on a board in a hall
 */
record Graphic(
        String name,
        Typeface face,
        int size,
        float ground,
        boolean dark,
        boolean sevenSegment,
        int x,
        int y,
        boolean stacked) {
    private static final String[] SEGMENTS = {
        "abcdef", "bc", "abged", "abgcd", "fgbc", "afgcd", "afgedc", "abc", "abcdefg", "abcdfg"
    };
    private static final double GAP = 0.4;
    /** Width of a name's cell, in heights of a letter. */
    private static final double NAME = 6.5;

    private static final Map<Typeface, Lettering> LETTERS = new EnumMap<>(Typeface.class);

    static Graphic draw(int width, int height, Random random) {
        Typeface[] faces = Typeface.values();
        int least = Math.max(14, height / 40);
        int size = least + random.nextInt(Math.max(1, Math.min(60, height / 14) - least));
        float ground = random.nextInt(4) == 0 ? 0 : random.nextBoolean() ? 1 : 0.3f + 0.5f * random.nextFloat();
        boolean segments = random.nextInt(5) == 0;
        boolean stacked = random.nextBoolean();
        boolean left = random.nextBoolean();
        boolean top = random.nextBoolean();
        int wide = size * (stacked ? 12 : 18);
        int x = left ? width / 30 : Math.max(4, width - wide - width / 30);
        int y = top ? height / 20 : height - (stacked ? 4 : 2) * size - height / 20;
        String ground2 = ground == 0 ? "bare" : ground == 1 ? "opaque" : "translucent";
        return new Graphic(
                ground2 + (segments ? ", seven segments" : ""),
                faces[random.nextInt(faces.length)],
                size,
                ground,
                ground > 0.8 && random.nextInt(3) == 0,
                segments,
                x,
                y,
                stacked);
    }

    /** Numbers that each athlete has: points, and in the larger design advantages and penalties. */
    int columns() {
        return stacked ? 3 : 1;
    }

    /** @param numbers by athlete and column */
    void paint(BufferedImage image, String clock, int[][] numbers, String[] names) {
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        Lettering letters = LETTERS.computeIfAbsent(face, Lettering::new);
        if (stacked) {
            for (int i = 0; i < 2; i++) {
                cell(g, letters, names[i], x, y + i * size * 1.5, NAME);
                for (int c = 0; c < columns(); c++) {
                    double left = x + size * (NAME + 0.3 + 1.6 * c);
                    cell(g, letters, Integer.toString(numbers[i][c]), left, y + i * size * 1.5, 1.4);
                }
            }
            clock(g, letters, clock, x, y + size * 3.0);
        } else {
            cell(g, letters, names[0], x, y, 5.5);
            cell(g, letters, Integer.toString(numbers[0][0]), x + size * 5.9, y, 1.2);
            clock(g, letters, clock, x + size * 7.4, y);
            cell(g, letters, Integer.toString(numbers[1][0]), x + size * 10.5, y, 1.2);
            cell(g, letters, names[1], x + size * 12.0, y, 5.5);
        }
        g.dispose();
    }

    private void back(Graphics2D g, double left, double top, double widths) {
        if (ground > 0) {
            g.setComposite(AlphaComposite.getInstance(AlphaComposite.SRC_OVER, ground));
            g.setColor(dark ? new Color(235, 235, 225) : new Color(18, 22, 40));
            g.fillRect((int) left, (int) top, (int) (size * widths), (int) (size * 1.4));
            g.setComposite(AlphaComposite.SrcOver);
        }
        g.setColor(dark ? new Color(20, 20, 30) : Color.WHITE);
    }

    private void cell(Graphics2D g, Lettering letters, String text, double left, double top, double widths) {
        back(g, left, top, widths);
        letters.draw(g, text, left + size * 0.2, top + size * 1.05, size);
    }

    private void clock(Graphics2D g, Lettering letters, String text, double left, double top) {
        back(g, left, top, 2.9);
        if (!sevenSegment) {
            letters.draw(g, text, left + size * 0.3, top + size * 1.05, size);
            return;
        }
        double pen = left + size * 0.2;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            pen += c == ':' ? colon(g, pen, top) : digit(g, c - '0', pen, top);
        }
    }

    private double colon(Graphics2D g, double left, double top) {
        int dot = Math.max(2, size / 8);
        g.fillRect((int) (left + size * 0.1), (int) (top + size * 0.45), dot, dot);
        g.fillRect((int) (left + size * 0.1), (int) (top + size * 0.85), dot, dot);
        return size * GAP;
    }

    private double digit(Graphics2D g, int digit, double left, double top) {
        double w = size * 0.5;
        double h = size;
        int thick = Math.max(2, size / 9);
        double up = top + size * 0.2;
        for (int i = 0; i < SEGMENTS[digit].length(); i++) {
            char s = SEGMENTS[digit].charAt(i);
            boolean flat = "adg".indexOf(s) >= 0;
            double dx = s == 'b' || s == 'c' ? w - thick : 0;
            double dy = s == 'd' ? h - thick : s == 'g' ? (h - thick) / 2 : s == 'c' || s == 'e' ? h / 2 : 0;
            g.fillRect((int) (left + dx), (int) (up + dy), flat ? (int) w : thick, flat ? thick : (int) (h / 2));
        }
        return w + size * 0.16;
    }

    static String clock(long seconds) {
        return String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
    }
}
