package farglass.film;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ShortBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import org.bytedeco.ffmpeg.global.avcodec;
import org.bytedeco.ffmpeg.global.avutil;
import org.bytedeco.javacv.FFmpegFrameRecorder;
import org.bytedeco.javacv.Frame;

/** Films whose every frame says its number: sixteen blocks, white for 1, black for 0, so that no codec can blur it. */
final class TestFilm {
    private static final int BITS = 16;
    private static final Map<String, String> FORMATS = Map.of(
            "mp4",
            "mp4",
            "mkv",
            "matroska",
            "webm",
            "webm",
            "mov",
            "mov",
            "ts",
            "mpegts",
            "m2ts",
            "mpegts",
            "mpg",
            "vob",
            "avi",
            "avi");
    private int width = 320;
    private int height = 180;
    private double rate = 30;
    private int gop = 250;
    private int codec = avcodec.AV_CODEC_ID_H264;
    private boolean sound;
    private int between;
    private long[] timesUs;

    static TestFilm h264() {
        return new TestFilm();
    }

    static TestFilm vp9() {
        TestFilm f = new TestFilm();
        f.codec = avcodec.AV_CODEC_ID_VP9;
        return f;
    }

    /** Any codec of FFmpeg's, by its number. */
    static TestFilm of(int codec) {
        TestFilm f = new TestFilm();
        f.codec = codec;
        return f;
    }

    /** Pictures made from the one before and the one after, so many in a row. */
    TestFilm between(int pictures) {
        between = pictures;
        return this;
    }

    TestFilm rate(double perSecond) {
        rate = perSecond;
        return this;
    }

    TestFilm gop(int frames) {
        gop = frames;
        return this;
    }

    TestFilm size(int w, int h) {
        width = w;
        height = h;
        return this;
    }

    TestFilm withSound() {
        sound = true;
        return this;
    }

    /** Variable frame rate: when each frame appears, microseconds. */
    TestFilm times(long... us) {
        timesUs = us;
        return this;
    }

    Path write(Path target, int frames) throws Exception {
        avutil.av_log_set_level(avutil.AV_LOG_QUIET);
        String name = target.getFileName().toString().toLowerCase(Locale.ROOT);
        try (FFmpegFrameRecorder recorder = new FFmpegFrameRecorder(target.toFile(), width, height, sound ? 1 : 0);
                Frame frame = new Frame(width, height, Frame.DEPTH_UBYTE, 3)) {
            recorder.setFormat(FORMATS.get(name.substring(name.lastIndexOf('.') + 1)));
            recorder.setVideoCodec(codec);
            recorder.setPixelFormat(avutil.AV_PIX_FMT_YUV420P);
            recorder.setFrameRate(timesUs == null ? rate : 1000);
            recorder.setVideoBitrate(600_000);
            recorder.setGopSize(gop);
            if (between > 0) {
                recorder.setMaxBFrames(between);
            }
            if (codec == avcodec.AV_CODEC_ID_VP9) {
                recorder.setVideoOption("deadline", "realtime");
                recorder.setVideoOption("cpu-used", "8");
            }
            if (sound) {
                recorder.setAudioCodec(name.endsWith("mp4") ? avcodec.AV_CODEC_ID_AAC : avcodec.AV_CODEC_ID_OPUS);
                recorder.setSampleRate(48_000);
            }
            recorder.start();
            for (int i = 0; i < frames; i++) {
                paint((ByteBuffer) frame.image[0], frame.imageStride, i);
                if (timesUs != null) {
                    recorder.setTimestamp(timesUs[i]);
                }
                recorder.record(frame, avutil.AV_PIX_FMT_BGR24);
                if (sound) {
                    recorder.recordSamples(48_000, 1, ShortBuffer.allocate((int) (48_000 / rate)));
                }
            }
            recorder.stop();
        }
        return target;
    }

    private void paint(ByteBuffer pixels, int stride, int number) {
        int block = width / BITS;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int bit = Math.min(BITS - 1, x / block);
                byte v = (byte) ((number >> bit & 1) == 1 ? 235 : 20);
                for (int c = 0; c < 3; c++) {
                    pixels.put(y * stride + 3 * x + c, v);
                }
            }
        }
    }

    /**
     * Writes into an MP4 how its pictures are to be turned: the matrix of its track header, ISO 14496-12, section
     * 8.3.2.
     *
     * @param quarters clockwise
     */
    static Path turned(Path mp4, int quarters) throws IOException {
        byte[] bytes = Files.readAllBytes(mp4);
        int[][] matrix = {{1, 0, 0, 1}, {0, 1, -1, 0}, {-1, 0, 0, -1}, {0, -1, 1, 0}};
        int at = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("tkhd") + 44;
        ByteBuffer b = ByteBuffer.wrap(bytes);
        int[] m = matrix[quarters % 4];
        b.putInt(at, m[0] << 16)
                .putInt(at + 4, m[1] << 16)
                .putInt(at + 12, m[2] << 16)
                .putInt(at + 16, m[3] << 16);
        return Files.write(mp4, bytes);
    }

    /** The number a picture of such a film says. */
    static int number(ByteBuffer bgra, int width, int height) {
        int block = width / BITS;
        int number = 0;
        for (int bit = 0; bit < BITS; bit++) {
            int at = 4 * ((height / 2) * width + bit * block + block / 2);
            number |= ((bgra.get(at) & 0xff) > 127 ? 1 : 0) << bit;
        }
        return number;
    }

    static int shown(FilmFile film, int frame) throws FilmException {
        FilmInfo i = film.info();
        ByteBuffer pixels = ByteBuffer.allocateDirect(4 * i.width() * i.height());
        film.picture(frame, pixels);
        return number(pixels, i.shownWidth(), i.shownHeight());
    }
}
