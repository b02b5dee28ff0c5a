package farglass.film;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGRA;
import static org.bytedeco.ffmpeg.global.swscale.*;

import java.nio.ByteBuffer;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.ffmpeg.swscale.SwsFilter;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.PointerPointer;

/** Turns decoded frames of any pixel format into BGRA. */
final class PictureConverter implements AutoCloseable {
    private SwsContext context;
    private int width;
    private int height;
    private int format = -1;
    private int outWidth;
    private int outHeight;

    /**
     * @param toWidth width of the picture to draw, pixels
     * @param toHeight its height
     */
    void convert(AVFrame frame, ByteBuffer target, int toWidth, int toHeight) throws FilmException {
        boolean known = frame.width() == width && frame.height() == height && frame.format() == format;
        if (!known || toWidth != outWidth || toHeight != outHeight) {
            close();
            width = frame.width();
            height = frame.height();
            format = frame.format();
            outWidth = toWidth;
            outHeight = toHeight;
            context = sws_getContext(
                    width,
                    height,
                    format,
                    toWidth,
                    toHeight,
                    AV_PIX_FMT_BGRA,
                    SWS_BILINEAR,
                    (SwsFilter) null,
                    (SwsFilter) null,
                    (DoublePointer) null);
        }
        if (context == null) {
            throw new FilmException("The picture format of this film cannot be shown.");
        }
        if (target.capacity() < 4 * toWidth * toHeight) {
            throw new IllegalArgumentException(
                    "target (" + target.capacity() + " bytes) must hold " + 4 * toWidth * toHeight);
        }
        try (PointerPointer<BytePointer> planes = new PointerPointer<>(1);
                IntPointer strides = new IntPointer(new int[] {4 * toWidth})) {
            planes.put(0, new BytePointer(target));
            sws_scale(context, frame.data(), frame.linesize(), 0, height, planes, strides);
        }
    }

    @Override
    public void close() {
        if (context != null) {
            sws_freeContext(context);
            context = null;
        }
    }
}
