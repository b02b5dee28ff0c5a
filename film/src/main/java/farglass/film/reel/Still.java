package farglass.film.reel;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/** Single frames of a film as images. */
public final class Still {
    private Still() {}

    /** A frame in the film's own size. */
    public static BufferedImage of(FilmFile film, int frame) throws FilmException {
        return of(film, frame, film.info().shownWidth(), film.info().shownHeight());
    }

    /** A frame brought to another size. */
    public static BufferedImage of(FilmFile film, int frame, int width, int height) throws FilmException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        into(film, frame, image, ByteBuffer.allocateDirect(4 * width * height));
        return image;
    }

    /**
     * A frame brought to the size of an image that is drawn over.
     *
     * @param image of type INT_RGB
     * @param pixels direct, with room for four bytes a pixel; lent from frame to frame
     */
    static void into(FilmFile film, int frame, BufferedImage image, ByteBuffer pixels) throws FilmException {
        pixels.clear();
        film.picture(frame, pixels, image.getWidth(), image.getHeight());
        // straight into the image's own numbers: asked pixel by pixel it would take longer than decoding
        int[] colours = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        pixels.order(ByteOrder.LITTLE_ENDIAN).asIntBuffer().get(colours);
    }
}
