package farglass.film.studio;

import farglass.film.FilmException;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.bytedeco.ffmpeg.global.avcodec;
import org.bytedeco.ffmpeg.global.avutil;
import org.bytedeco.javacv.FFmpegFrameRecorder;
import org.bytedeco.javacv.Frame;

/** Draws a match record as film. */
public final class Footage {
    private static final int BITRATE = 50_000;
    private static final int KEY_EVERY = 50;

    private final int width;
    private final int height;
    private final double rate;

    /** Footage of the demo: 640x360 at 25 frames a second, about half a megabyte a minute. */
    public static Footage standard() {
        return new Footage(640, 360, 25);
    }

    /**
     * @param width pixels, even
     * @param height pixels, even
     * @param rate frames per second, 24 to 60
     */
    public Footage(int width, int height, double rate) {
        this.width = width;
        this.height = height;
        this.rate = rate;
    }

    /**
     * Renders and encodes a film, beside the target first and then moved into place.
     *
     * @param map what the film shows when; not empty
     * @param progress told the share done, 0..1
     * @param cancelled asked at every frame; when true nothing is left behind
     * @return whether the film was finished
     * @throws FilmException when it cannot be encoded or written
     */
    public boolean make(
            MatchRecord record,
            ClockMap map,
            Lexicon lexicon,
            Path target,
            DoubleConsumer progress,
            BooleanSupplier cancelled)
            throws FilmException {
        Path part = target.resolveSibling(target.getFileName() + ".part.mp4");
        try {
            Files.createDirectories(target.toAbsolutePath().getParent());
            boolean whole = encode(record, map, lexicon, part, progress, cancelled);
            if (whole) {
                Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
            }
            return whole;
        } catch (IOException e) {
            throw new FilmException("The film " + target.getFileName() + " could not be written (" + e.getMessage()
                    + "). Nothing was kept of it. Make room on the disk and try again.");
        } finally {
            try {
                Files.deleteIfExists(part);
            } catch (IOException ignored) {
                // a left-over part is overwritten by the next try
            }
        }
    }

    private boolean encode(
            MatchRecord record,
            ClockMap map,
            Lexicon lexicon,
            Path part,
            DoubleConsumer progress,
            BooleanSupplier cancelled)
            throws IOException {
        avutil.av_log_set_level(avutil.AV_LOG_QUIET);
        Scene scene = new Scene(record, map.segments(), lexicon);
        long durationMs = map.segments().get(map.segments().size() - 1).to().ms();
        int frames = (int) Math.floor(durationMs * rate / 1000);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] pixels = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        try (FFmpegFrameRecorder recorder = new FFmpegFrameRecorder(part.toFile(), width, height, 0);
                Frame frame = new Frame(width, height, Frame.DEPTH_UBYTE, 3)) {
            recorder.setFormat("mp4");
            recorder.setVideoCodec(avcodec.AV_CODEC_ID_H264);
            recorder.setPixelFormat(avutil.AV_PIX_FMT_YUV420P);
            recorder.setFrameRate(rate);
            recorder.setVideoBitrate(BITRATE);
            recorder.setGopSize(KEY_EVERY);
            recorder.start();
            for (int i = 0; i < frames; i++) {
                if (cancelled.getAsBoolean()) {
                    return false;
                }
                scene.draw(image, FilmTime.ofMs(Math.round(i * 1000 / rate)));
                ByteBuffer target = (ByteBuffer) frame.image[0];
                target.rewind();
                copyRows(pixels, target, frame.imageStride);
                recorder.record(frame, avutil.AV_PIX_FMT_BGR24);
                if (i % 25 == 0) {
                    progress.accept((double) i / frames);
                }
            }
            recorder.stop();
        }
        progress.accept(1);
        return true;
    }

    private void copyRows(byte[] pixels, ByteBuffer target, int stride) {
        for (int y = 0; y < height; y++) {
            target.position(y * stride);
            target.put(pixels, y * width * 3, width * 3);
        }
        target.rewind();
    }

    /** One picture of the film, without encoding: what {@link #make} would show at {@code f}. */
    public BufferedImage still(MatchRecord record, ClockMap map, Lexicon lexicon, FilmTime f) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        new Scene(record, map.segments(), lexicon).draw(image, f);
        return image;
    }
}
