package farglass.film;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ShortBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.bytedeco.ffmpeg.global.avcodec;
import org.bytedeco.ffmpeg.global.avutil;
import org.bytedeco.javacv.FFmpegFrameRecorder;
import org.bytedeco.javacv.Frame;

/**
 * Encodes drawn pictures as MP4 (H.264), beside the target first and then moved into place, so that no half film is
 * ever seen.
 *
 * @param width pixels, even
 * @param height pixels, even
 * @param rate pictures per second
 * @param bitrate bits per second aimed at
 * @param keyEvery pictures from one key frame to the next
 */
public record Mp4Writer(int width, int height, double rate, int bitrate, int keyEvery) {
    private static final int AUDIO_BITRATE = 32_000;

    /** Draws the pictures of a film, one after the other. */
    public interface Pictures {
        /** @param image of the writer's size, three bytes a pixel; holds the picture before */
        void draw(BufferedImage image, int number) throws FilmException;
    }

    /** The sound of a film, asked for in order. */
    public interface Sound {
        /** @param first number of the first sample, {@link Samples#RATE} a second */
        void fill(short[] samples, long first) throws FilmException;
    }

    /** A film without sound; see {@link #write(Path, int, Pictures, Sound, DoubleConsumer, BooleanSupplier)}. */
    public boolean write(Path target, int count, Pictures pictures, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        return write(target, count, pictures, null, progress, cancelled);
    }

    /**
     * @param count how many pictures
     * @param sound null for a silent film
     * @param progress told the share done, 0..1
     * @param cancelled asked at every picture; when true nothing is left behind
     * @return whether the film was finished
     * @throws FilmException when it cannot be encoded or written
     */
    public boolean write(
            Path target, int count, Pictures pictures, Sound sound, DoubleConsumer progress, BooleanSupplier cancelled)
            throws FilmException {
        Path part = target.resolveSibling(target.getFileName() + ".part.mp4");
        try {
            Files.createDirectories(target.toAbsolutePath().getParent());
            boolean whole = encode(part, count, pictures, sound, progress, cancelled);
            if (whole) {
                Whole.check(part, count);
                Files.move(part, target, StandardCopyOption.REPLACE_EXISTING);
            }
            return whole;
        } catch (IOException e) {
            throw new FilmException(FilmWords.of("unwritten", target.getFileName(), FullDisk.reason(target, e)));
        } finally {
            try {
                Files.deleteIfExists(part);
            } catch (IOException ignored) {
                // a left-over part is overwritten by the next try
            }
        }
    }

    private boolean encode(
            Path part, int count, Pictures pictures, Sound sound, DoubleConsumer progress, BooleanSupplier cancelled)
            throws IOException, FilmException {
        avutil.av_log_set_level(avutil.AV_LOG_QUIET);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        byte[] pixels = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        try (FFmpegFrameRecorder recorder =
                        new FFmpegFrameRecorder(part.toFile(), width, height, sound == null ? 0 : 1);
                Frame frame = new Frame(width, height, Frame.DEPTH_UBYTE, 3)) {
            recorder.setFormat("mp4");
            recorder.setVideoCodec(avcodec.AV_CODEC_ID_H264);
            recorder.setPixelFormat(avutil.AV_PIX_FMT_YUV420P);
            recorder.setFrameRate(rate);
            recorder.setVideoBitrate(bitrate);
            recorder.setGopSize(keyEvery);
            if (sound != null) {
                recorder.setAudioCodec(avcodec.AV_CODEC_ID_AAC);
                recorder.setSampleRate(Samples.RATE);
                recorder.setAudioBitrate(AUDIO_BITRATE);
            }
            recorder.start();
            long sounded = 0;
            for (int i = 0; i < count; i++) {
                if (cancelled.getAsBoolean()) {
                    return false;
                }
                pictures.draw(image, i);
                copyRows(pixels, (ByteBuffer) frame.image[0], frame.imageStride);
                recorder.record(frame, avutil.AV_PIX_FMT_BGR24);
                if (sound != null) {
                    short[] samples = new short[(int) (Math.round((i + 1) * Samples.RATE / rate) - sounded)];
                    sound.fill(samples, sounded);
                    recorder.recordSamples(Samples.RATE, 1, ShortBuffer.wrap(samples));
                    sounded += samples.length;
                }
                if (i % 25 == 0) {
                    progress.accept((double) i / count);
                }
            }
            recorder.stop();
        }
        progress.accept(1);
        return true;
    }

    private void copyRows(byte[] pixels, ByteBuffer target, int stride) {
        target.rewind();
        for (int y = 0; y < height; y++) {
            target.position(y * stride);
            target.put(pixels, y * width * 3, width * 3);
        }
        target.rewind();
    }
}
