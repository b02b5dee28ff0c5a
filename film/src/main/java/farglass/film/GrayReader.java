package farglass.film;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_FLAG_RGB;
import static org.bytedeco.ffmpeg.global.avutil.av_pix_fmt_desc_get;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;
import org.bytedeco.javacpp.BytePointer;

/**
 * Takes brightness out of a decoded frame's first plane: luma, or the high bits of it in formats of more than 8 bits.
 */
final class GrayReader {
    private final BytePointer plane;
    private final long stride;
    /** Bytes from one pixel to the next, and within a pixel to the wanted one. */
    private final int step;

    private final int within;
    private final int shift;

    private GrayReader(AVFrame frame) {
        AVPixFmtDescriptor format = av_pix_fmt_desc_get(frame.format());
        plane = new BytePointer(frame.data(0));
        stride = frame.linesize(0);
        step = Math.max(1, format.comp(0).step());
        // of packed colours the middle one (green) stands for brightness well enough to compare pictures
        boolean rgb = (format.flags() & AV_PIX_FMT_FLAG_RGB) != 0;
        within = rgb ? Math.min(1, step - 1) : format.comp(0).offset();
        shift = rgb ? 0 : Math.max(0, format.comp(0).depth() - 8);
    }

    static GrayPicture crop(AVFrame frame, Box box) {
        GrayReader reader = new GrayReader(frame);
        byte[] pixels = new byte[box.width() * box.height()];
        byte[] row = new byte[box.width() * reader.step];
        for (int y = 0; y < box.height(); y++) {
            reader.row((box.y() + y) * reader.stride + (long) box.x() * reader.step, row);
            for (int x = 0; x < box.width(); x++) {
                pixels[y * box.width() + x] = reader.sample(row, x);
            }
        }
        return new GrayPicture(box.width(), box.height(), pixels);
    }

    static GrayPicture picked(AVFrame frame, int width, int height, int toWidth, int toHeight) {
        GrayReader reader = new GrayReader(frame);
        byte[] pixels = new byte[toWidth * toHeight];
        byte[] row = new byte[width * reader.step];
        for (int y = 0; y < toHeight; y++) {
            reader.row((2 * y + 1) * height / (2 * toHeight) * reader.stride, row);
            for (int x = 0; x < toWidth; x++) {
                pixels[y * toWidth + x] = reader.sample(row, (2 * x + 1) * width / (2 * toWidth));
            }
        }
        return new GrayPicture(toWidth, toHeight, pixels);
    }

    private void row(long offset, byte[] row) {
        plane.position(offset).get(row);
    }

    private byte sample(byte[] row, int x) {
        int at = x * step + within;
        return shift == 0 ? row[at] : (byte) (((row[at] & 0xff) | (row[at + 1] & 0xff) << 8) >> shift);
    }
}
