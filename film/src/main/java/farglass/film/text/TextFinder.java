package farglass.film.text;

import farglass.film.Box;
import farglass.film.ConnectedPixels;
import farglass.film.FilmException;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds lines of text in a picture: the network says of every pixel how likely it lies in the middle of one; connected
 * ones make a line, grown by part of its height because only the middle is marked (differentiable binarization; Liao et
 * al., AAAI 2020). For one thread only.
 */
public final class TextFinder implements AutoCloseable {
    /** Sides that the network takes are multiples of this. */
    private static final int MULTIPLE = 32;

    private static final float[] MEAN = {0.406f, 0.456f, 0.485f};
    private static final float[] DEVIATION = {0.225f, 0.224f, 0.229f};
    private static final float MARKED = 0.3f;
    /** Mean chance of a line's marked pixels. */
    private static final double SURE = 0.5;
    /** Share of its height that a line is grown by on every side. */
    private static final double GROWN = 0.45;
    /** Pixels that a line is high and long at least, before it is grown. */
    private static final int LEAST = 3;

    private final TextModel model;

    private TextFinder(TextModel model) {
        this.model = model;
    }

    /**
     * Loads the network; takes part of a second.
     *
     * @throws FilmException when its file is missing or damaged
     */
    public static TextFinder open() throws FilmException {
        return new TextFinder(TextModel.open(TextModel.FIND));
    }

    /**
     * Lines of text, upright, in no order.
     *
     * @param bgra picture of 32 bits a pixel, top row first, at least 4 width height bytes
     */
    public List<Box> find(ByteBuffer bgra, int width, int height) throws FilmException {
        int w = (width + MULTIPLE - 1) / MULTIPLE * MULTIPLE;
        int h = (height + MULTIPLE - 1) / MULTIPLE * MULTIPLE;
        TextModel.Output out = model.run(planes(bgra, width, height, w, h), w, h);
        return lines(out.values(), w, h, width, height);
    }

    private static float[] planes(ByteBuffer bgra, int width, int height, int w, int h) {
        float[] planes = new float[3 * w * h];
        for (int c = 0; c < 3; c++) {
            for (int y = 0; y < height; y++) {
                int to = (c * h + y) * w;
                for (int x = 0; x < width; x++) {
                    float v = (bgra.get(4 * (y * width + x) + c) & 0xff) / 255f;
                    planes[to + x] = (v - MEAN[c]) / DEVIATION[c];
                }
            }
        }
        return planes;
    }

    /** Connected marked pixels, each group made a box of the picture. */
    static List<Box> lines(float[] chance, int w, int h, int width, int height) {
        List<Box> boxes = new ArrayList<>();
        boolean[] marked = new boolean[w * h];
        for (int i = 0; i < marked.length; i++) {
            marked[i] = chance[i] >= MARKED;
        }
        for (ConnectedPixels group : ConnectedPixels.of(marked, w, false)) {
            Box b = group.box();
            double sure = group.pixels().stream()
                    .mapToDouble(i -> chance[i])
                    .average()
                    .orElse(0);
            if (b.height() >= LEAST && b.width() >= LEAST && sure >= SURE && b.x() < width && b.y() < height) {
                int grow = (int) Math.ceil(GROWN * b.height());
                int x = Math.max(0, b.x() - grow);
                int y = Math.max(0, b.y() - grow);
                int right = b.x() + b.width() + grow;
                int bottom = b.y() + b.height() + grow;
                boxes.add(new Box(x, y, right - x, bottom - y).within(width, height));
            }
        }
        return boxes;
    }

    @Override
    public void close() {
        model.close();
    }
}
