package farglass.film.proxy;

import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmInfo;
import farglass.film.FilmWords;
import farglass.film.FullDisk;
import farglass.film.Whole;
import farglass.time.FilmTime;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.bytedeco.ffmpeg.global.avcodec;
import org.bytedeco.ffmpeg.global.avutil;
import org.bytedeco.javacv.FFmpegFrameRecorder;
import org.bytedeco.javacv.Frame;

/**
 * A small copy of one film: eight pictures a second, every one a key frame, in pieces of half a minute. Each piece is
 * moved into place when it is whole, so that what has been made survives a stop and is not made again.
 *
 * @param folder where its pieces lie
 */
public record Proxy(Path folder, Path film, FilmInfo info) {
    /** A file beside the pieces that says which film they are of. */
    static final String FILM_NOTE = "film";

    static final long PIECE_MS = 30_000;
    static final long STEP_MS = 125;
    private static final int WIDTH = 320;
    private static final int BITRATE = 320_000;

    private Path piece(long index) {
        return folder.resolve(index + ".mp4");
    }

    private long pieces() {
        return (info.durationMs() + PIECE_MS - 1) / PIECE_MS;
    }

    /** Share of the film that is there, 0..1. */
    public double made() {
        long n = 0;
        for (long i = 0; i < pieces(); i++) {
            n += Files.exists(piece(i)) ? 1 : 0;
        }
        return (double) n / pieces();
    }

    /** The file that shows a film moment, or null when it has not been made. */
    Path fileAt(long filmMs) {
        Path p = piece(filmMs / PIECE_MS);
        return Files.exists(p) ? p : null;
    }

    static int frameAt(long filmMs) {
        return (int) (filmMs % PIECE_MS / STEP_MS);
    }

    /**
     * Makes the pieces that are missing.
     *
     * @param progress told the share made, 0..1
     * @param cancelled asked at every picture; what is whole by then stays
     * @throws FilmException when the film is damaged or the disk is full; no half piece is left
     */
    public void make(DoubleConsumer progress, BooleanSupplier cancelled) throws FilmException {
        avutil.av_log_set_level(avutil.AV_LOG_QUIET);
        try (FilmFile source = FilmFile.openForward(film, cancelled)) {
            Files.createDirectories(folder);
            Files.setLastModifiedTime(folder, FileTime.from(Instant.now()));
            for (long i = 0; i < pieces() && !cancelled.getAsBoolean(); i++) {
                if (!Files.exists(piece(i))) {
                    make(source, i, cancelled);
                }
                progress.accept((i + 1.0) / pieces());
            }
        } catch (IOException e) {
            throw new FilmException(FilmWords.of("copy.unwritten", film.getFileName(), FullDisk.reason(folder, e)));
        }
    }

    private void make(FilmFile source, long index, BooleanSupplier cancelled) throws IOException, FilmException {
        Path part = folder.resolve(index + ".part.mp4");
        try {
            if (encode(source, index, part, cancelled)) {
                Whole.check(part, pictures(index));
                Files.writeString(
                        folder.resolve(FILM_NOTE),
                        film.toAbsolutePath().normalize().toString());
                Files.move(part, piece(index), StandardCopyOption.REPLACE_EXISTING);
            }
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** How many pictures a piece has. */
    private int pictures(long index) {
        long ms = Math.min(PIECE_MS, info.durationMs() - index * PIECE_MS);
        return (int) ((ms + STEP_MS - 1) / STEP_MS);
    }

    private boolean encode(FilmFile source, long index, Path part, BooleanSupplier cancelled)
            throws IOException, FilmException {
        int height = Math.max(2, WIDTH * info.shownHeight() / info.shownWidth() / 2 * 2);
        long from = index * PIECE_MS;
        long to = Math.min(from + PIECE_MS, info.durationMs());
        try (FFmpegFrameRecorder recorder = new FFmpegFrameRecorder(part.toFile(), WIDTH, height, 0);
                Frame frame = new Frame(WIDTH, height, Frame.DEPTH_UBYTE, 4)) {
            recorder.setFormat("mp4");
            recorder.setVideoCodec(avcodec.AV_CODEC_ID_H264);
            recorder.setPixelFormat(avutil.AV_PIX_FMT_YUV420P);
            recorder.setFrameRate(1000.0 / STEP_MS);
            recorder.setVideoBitrate(BITRATE);
            recorder.setGopSize(1);
            recorder.start();
            for (long ms = from; ms < to; ms += STEP_MS) {
                if (cancelled.getAsBoolean()) {
                    return false;
                }
                ByteBuffer pixels = (ByteBuffer) frame.image[0];
                pixels.rewind();
                source.picture(source.nearest(source.frameAt(FilmTime.ofMs(ms))), pixels, WIDTH, height);
                pixels.rewind();
                recorder.record(frame, avutil.AV_PIX_FMT_BGRA);
            }
            recorder.stop();
        }
        return true;
    }
}
