package farglass.film;

import java.nio.IntBuffer;

/**
 * Turns stored pictures upright, by quarters clockwise.
 *
 * @param degrees 0, 90, 180 or 270
 */
record Turn(int degrees) {
    private static final int TILE = 32;

    boolean none() {
        return degrees == 0;
    }

    /** Whether width and height change places. */
    boolean sideways() {
        return degrees % 180 != 0;
    }

    /**
     * @param from stored picture, one number a pixel
     * @param width its width
     * @param height its height
     * @param to the upright picture
     */
    void picture(IntBuffer from, int width, int height, IntBuffer to) {
        int across = sideways() ? height : width;
        int down = sideways() ? width : height;
        // in small squares: column after column of a large picture would miss the memory's caches every time
        for (int top = 0; top < down; top += TILE) {
            for (int left = 0; left < across; left += TILE) {
                for (int y = top; y < Math.min(down, top + TILE); y++) {
                    for (int x = left; x < Math.min(across, left + TILE); x++) {
                        to.put(y * across + x, from.get(stored(x, y, width, height)));
                    }
                }
            }
        }
    }

    GrayPicture picture(GrayPicture from) {
        if (none()) {
            return from;
        }
        int width = from.width();
        int height = from.height();
        int across = sideways() ? height : width;
        byte[] to = new byte[width * height];
        for (int i = 0; i < to.length; i++) {
            to[i] = from.pixels()[stored(i % across, i / across, width, height)];
        }
        return new GrayPicture(across, to.length / Math.max(1, across), to);
    }

    /** Where in the stored picture a pixel of the upright one lies. */
    private int stored(int x, int y, int width, int height) {
        return switch (degrees) {
            case 90 -> (height - 1 - x) * width + y;
            case 180 -> (height - 1 - y) * width + width - 1 - x;
            case 270 -> x * width + width - 1 - y;
            default -> y * width + x;
        };
    }

    /**
     * The part of the stored picture under a part of the upright one.
     *
     * @param width of the stored picture
     * @param height of the stored picture
     */
    Box stored(Box b, int width, int height) {
        return switch (degrees) {
            case 90 -> new Box(b.y(), height - b.x() - b.width(), b.height(), b.width());
            case 180 -> new Box(width - b.x() - b.width(), height - b.y() - b.height(), b.width(), b.height());
            case 270 -> new Box(width - b.y() - b.height(), b.x(), b.height(), b.width());
            default -> b;
        };
    }
}
