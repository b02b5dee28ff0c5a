package farglass.film;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGRA;
import static org.bytedeco.ffmpeg.global.swscale.*;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.ffmpeg.swscale.SwsFilter;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.PointerPointer;

/** Makes upright pictures in BGRA of decoded frames of any pixel format. */
final class PictureConverter implements AutoCloseable {
    private final Turn turn;
    /** The picture before it is turned; null while none has been. */
    private ByteBuffer lying;

    private SwsContext context;
    private int width;
    private int height;
    private int format = -1;
    private int outWidth;
    private int outHeight;

    PictureConverter(Turn turn) {
        this.turn = turn;
    }

    /**
     * @param toWidth width of the picture to draw, upright, pixels
     * @param toHeight its height
     */
    void convert(AVFrame frame, ByteBuffer target, int toWidth, int toHeight) throws FilmException {
        if (target.capacity() < 4 * toWidth * toHeight) {
            throw new IllegalArgumentException(
                    "target (" + target.capacity() + " bytes) must hold " + 4 * toWidth * toHeight);
        }
        if (turn.none()) {
            scale(frame, target, toWidth, toHeight);
            return;
        }
        int w = turn.sideways() ? toHeight : toWidth;
        int h = turn.sideways() ? toWidth : toHeight;
        if (lying == null || lying.capacity() != 4 * w * h) {
            lying = ByteBuffer.allocateDirect(4 * w * h).order(ByteOrder.nativeOrder());
        }
        scale(frame, lying, w, h);
        turn.picture(
                lying.asIntBuffer(),
                w,
                h,
                target.duplicate().clear().order(ByteOrder.nativeOrder()).asIntBuffer());
    }

    private void scale(AVFrame frame, ByteBuffer target, int toWidth, int toHeight) throws FilmException {
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
            throw new FilmException(FilmWords.of("format"));
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
