package farglass.film;

/**
 * A rectangle of the picture as stored, in pixels.
 *
 * @param width at least 1
 * @param height at least 1
 */
public record Box(int x, int y, int width, int height) {
    public Box {
        if (x < 0 || y < 0 || width < 1 || height < 1) {
            throw new IllegalArgumentException(
                    "box (" + x + "," + y + "," + width + "," + height + ") must lie in the picture and not be empty");
        }
    }

    /** The part of this box that lies in a picture of that size. */
    public Box within(int pictureWidth, int pictureHeight) {
        int left = Math.min(x, pictureWidth - 1);
        int top = Math.min(y, pictureHeight - 1);
        return new Box(left, top, Math.min(width, pictureWidth - left), Math.min(height, pictureHeight - top));
    }
}
