package farglass.film.reel;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import java.awt.image.BufferedImage;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.IntBuffer;

/** Single frames of a film as images. */
public final class Still {
    private Still() {}

    /** A frame in the film's own size. */
    public static BufferedImage of(FilmFile film, int frame) throws FilmException {
        return of(film, frame, film.info().width(), film.info().height());
    }

    /** A frame brought to another size. */
    public static BufferedImage of(FilmFile film, int frame, int width, int height) throws FilmException {
        ByteBuffer pixels = ByteBuffer.allocateDirect(4 * width * height).order(ByteOrder.LITTLE_ENDIAN);
        film.picture(frame, pixels, width, height);
        IntBuffer colours = pixels.asIntBuffer();
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        int[] row = new int[width];
        for (int y = 0; y < height; y++) {
            colours.get(row);
            image.setRGB(0, y, width, 1, row, 0, width);
        }
        return image;
    }
}
