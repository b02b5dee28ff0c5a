package farglass.film;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/**
 * Marked pixels that touch one another.
 *
 * @param pixels numbers of the pixels, row by row, in no order
 * @param box round them
 */
public record ConnectedPixels(List<Integer> pixels, Box box) {
    public ConnectedPixels {
        pixels = List.copyOf(pixels);
    }

    /**
     * Every group of marked pixels, in the order of their first pixel.
     *
     * @param marked row by row, rows of the given width; not changed
     * @param corners whether pixels that touch by a corner are connected too
     */
    public static List<ConnectedPixels> of(boolean[] marked, int width, boolean corners) {
        boolean[] open = marked.clone();
        List<ConnectedPixels> groups = new ArrayList<>();
        for (int start = 0; start < open.length; start++) {
            if (open[start]) {
                groups.add(from(start, open, width, corners));
            }
        }
        return groups;
    }

    private static ConnectedPixels from(int start, boolean[] open, int width, boolean corners) {
        int height = open.length / width;
        List<Integer> pixels = new ArrayList<>();
        Deque<Integer> next = new ArrayDeque<>();
        int left = width;
        int right = 0;
        int top = height;
        int bottom = 0;
        open[start] = false;
        next.add(start);
        while (!next.isEmpty()) {
            int at = next.remove();
            pixels.add(at);
            int x = at % width;
            int y = at / width;
            left = Math.min(left, x);
            right = Math.max(right, x);
            top = Math.min(top, y);
            bottom = Math.max(bottom, y);
            for (int v = Math.max(0, y - 1); v <= Math.min(height - 1, y + 1); v++) {
                for (int u = Math.max(0, x - 1); u <= Math.min(width - 1, x + 1); u++) {
                    int to = v * width + u;
                    if (open[to] && (corners || u == x || v == y)) {
                        open[to] = false;
                        next.add(to);
                    }
                }
            }
        }
        return new ConnectedPixels(pixels, new Box(left, top, right - left + 1, bottom - top + 1));
    }
}
