package farglass.bench.clip;

import java.awt.Graphics2D;

/** Digits and colons of seven segments, as on a board in a hall. */
final class SevenSegments {
    private static final String[] SEGMENTS = {
        "abcdef", "bc", "abged", "abgcd", "fgbc", "afgcd", "afgedc", "abc", "abcdefg", "abcdfg"
    };
    private static final double GAP = 0.4;

    private final Graphics2D g;
    private final double size;

    private final double thickness;

    /** @param thickness of a segment, in heights */
    SevenSegments(Graphics2D g, double size, double thickness) {
        this.g = g;
        this.size = size;
        this.thickness = thickness;
    }

    void draw(String text, double left, double top) {
        double pen = left;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            pen += c == ':' ? colon(pen, top) : digit(c - '0', pen, top);
        }
    }

    private double colon(double left, double top) {
        int dot = (int) Math.max(2, size / 8);
        g.fillRect((int) (left + size * 0.1), (int) (top + size * 0.25), dot, dot);
        g.fillRect((int) (left + size * 0.1), (int) (top + size * 0.65), dot, dot);
        return size * GAP;
    }

    private double digit(int digit, double left, double top) {
        double w = size * 0.5;
        double h = size;
        int thick = (int) Math.max(2, size * thickness);
        for (int i = 0; i < SEGMENTS[digit].length(); i++) {
            char s = SEGMENTS[digit].charAt(i);
            boolean flat = "adg".indexOf(s) >= 0;
            double dx = s == 'b' || s == 'c' ? w - thick : 0;
            double dy = s == 'd' ? h - thick : s == 'g' ? (h - thick) / 2 : s == 'c' || s == 'e' ? h / 2 : 0;
            g.fillRect((int) (left + dx), (int) (top + dy), flat ? (int) w : thick, flat ? thick : (int) (h / 2));
        }
        return w + size * 0.16;
    }
}
