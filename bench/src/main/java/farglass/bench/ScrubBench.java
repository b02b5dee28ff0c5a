package farglass.bench;

import farglass.film.FilmFile;
import farglass.film.FilmInfo;
import farglass.film.Player;
import farglass.film.proxy.Proxy;
import farglass.film.proxy.ProxyReader;
import farglass.film.proxy.ProxyStore;
import farglass.time.FilmTime;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import org.bytedeco.ffmpeg.global.avcodec;
import org.bytedeco.ffmpeg.global.avutil;
import org.bytedeco.javacv.FFmpegFrameGrabber;
import org.bytedeco.javacv.FFmpegFrameRecorder;
import org.bytedeco.javacv.Frame;

/**
 * The hardest ordinary film: 1920x1080, 30 frames a second, a key frame every 250 frames, 8 Mbit/s. Times of single
 * pictures in milliseconds, against the limits the product promises, and of decoding in a row against FFmpeg alone.
 */
final class ScrubBench {
    private static final int WIDTH = 1920;
    private static final int HEIGHT = 1080;
    private static final int FRAMES = 900;
    private static final int RATE = 30;
    private static final long PLAYED_MS = 6000;

    private final ByteBuffer pixels = ByteBuffer.allocateDirect(4 * WIDTH * HEIGHT);

    private interface Work {
        void run() throws Exception;
    }

    void run(Path folder) throws Exception {
        Path path = folder.resolve("hard.mp4");
        write(path);
        try (FilmFile film = FilmFile.open(path)) {
            film.picture(420, pixels);
            report("stepping back in the window, p95", 60, times(58, i -> film.picture(419 - i, pixels)), 0.95);
            int[] touched = {120, 370, 620, 870, 200, 450, 700, 240, 490, 740};
            report(
                    "a group's first touch, full picture, max",
                    1500,
                    times(touched.length, i -> {
                        film.picture(0, pixels);
                        film.picture(touched[i], pixels);
                    }),
                    1);
            Proxy proxy = new ProxyStore(folder.resolve("proxies"), Long.MAX_VALUE).of(path, film.info());
            double made = time(() -> proxy.make(x -> {}, () -> false));
            System.out.printf(
                    Locale.ROOT, "ScrubBench proxy made in %.1f s for %d s of film%n", made / 1000, FRAMES / RATE);
            Random random = new Random(1);
            try (ProxyReader reader = new ProxyReader(proxy)) {
                report("first quick picture of all", 100, times(1, i -> reader.picture(9_000, pixels)), 1);
                report(
                        "scrubbing with a proxy, p95",
                        80,
                        times(200, i -> reader.picture(random.nextInt(29_000), pixels)),
                        0.95);
            }
            double ours = time(() -> {
                for (int n = 0; n < FRAMES; n++) {
                    film.picture(n, pixels);
                }
            });
            double plain = time(() -> grab(path));
            System.out.printf(
                    Locale.ROOT,
                    "ScrubBench decoding in a row       ours %.1f frames/s, FFmpeg to the same pixels %.1f, ratio %.2f"
                            + " (at least 0.80)%n",
                    FRAMES / ours * 1000,
                    FRAMES / plain * 1000,
                    plain / ours);
            for (double speed : new double[] {1, 2}) {
                playback(path, speed, FRAMES / plain * 1000);
            }
        }
    }

    /** Plays for some seconds and counts the frames that were due and never shown. */
    private static void playback(Path path, double speed, double alone) throws Exception {
        Set<Integer> shown = ConcurrentHashMap.newKeySet();
        CountDownLatch opened = new CountDownLatch(1);
        CountDownLatch begun = new CountDownLatch(1);
        try (Player player = new Player(path, new Counting(shown, opened, begun))) {
            opened.await();
            player.speed(speed);
            player.play();
            begun.await();
            Thread.sleep(PLAYED_MS);
            player.pause();
            int from = shown.stream().mapToInt(Integer::intValue).min().orElseThrow();
            int to = shown.stream().mapToInt(Integer::intValue).max().orElseThrow();
            int due = to - from + 1;
            System.out.printf(
                    Locale.ROOT,
                    "ScrubBench playing at speed %.0f           %d of %d frames dropped, %.1f%% (limit 1%%);"
                            + " the decoder alone makes %.1f times that speed%n",
                    speed,
                    due - shown.size(),
                    due,
                    100.0 * (due - shown.size()) / due,
                    alone / RATE / speed);
        }
    }

    private record Counting(Set<Integer> shown, CountDownLatch open, CountDownLatch begun) implements Player.Screen {
        private static final int SETTLED = 10;

        @Override
        public void opened(FilmInfo info) {
            open.countDown();
        }

        @Override
        public void show(int buffer, ByteBuffer bgra, int frame, FilmTime time) {
            if (frame > SETTLED) {
                shown.add(frame);
                begun.countDown();
            }
        }

        @Override
        public void playing(boolean now) {
            // not asked here
        }

        @Override
        public void failed(String message) {
            throw new IllegalStateException(message);
        }
    }

    private static void grab(Path path) throws Exception {
        try (FFmpegFrameGrabber grabber = new FFmpegFrameGrabber(path.toFile())) {
            grabber.setPixelFormat(avutil.AV_PIX_FMT_BGRA);
            grabber.start();
            while (grabber.grabImage() != null) {
                // decoded to the same pixels, shown to nobody
            }
        }
    }

    private interface Picture {
        void draw(int i) throws Exception;
    }

    private static double[] times(int n, Picture picture) throws Exception {
        double[] ms = new double[n];
        for (int i = 0; i < n; i++) {
            int at = i;
            ms[i] = time(() -> picture.draw(at));
        }
        Arrays.sort(ms);
        return ms;
    }

    private static double time(Work work) throws Exception {
        long begun = System.nanoTime();
        work.run();
        return (System.nanoTime() - begun) / 1e6;
    }

    private static void report(String what, double limit, double[] sorted, double share) {
        double value = sorted[(int) Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)];
        System.out.printf(
                Locale.ROOT,
                "ScrubBench %-42s %8.1f ms  /limit(%.0f ms) %.2f  median %.1f  (%d pictures)%n",
                what,
                value,
                limit,
                value / limit,
                sorted[sorted.length / 2],
                sorted.length);
    }

    /** Moving stripes over noise, which cost the coder about what a mat with two people does. */
    static void write(Path target) throws Exception {
        avutil.av_log_set_level(avutil.AV_LOG_QUIET);
        byte[] noise = new byte[3 * WIDTH * HEIGHT];
        new Random(2).nextBytes(noise);
        byte[] row = new byte[3 * WIDTH];
        try (FFmpegFrameRecorder recorder = new FFmpegFrameRecorder(target.toFile(), WIDTH, HEIGHT, 0);
                Frame frame = new Frame(WIDTH, HEIGHT, Frame.DEPTH_UBYTE, 3)) {
            recorder.setFormat("mp4");
            recorder.setVideoCodec(avcodec.AV_CODEC_ID_H264);
            recorder.setPixelFormat(avutil.AV_PIX_FMT_YUV420P);
            recorder.setFrameRate(RATE);
            recorder.setVideoBitrate(8_000_000);
            recorder.setGopSize(250);
            recorder.start();
            for (int i = 0; i < FRAMES; i++) {
                ByteBuffer pixels = (ByteBuffer) frame.image[0];
                for (int y = 0; y < HEIGHT; y++) {
                    for (int x = 0; x < row.length; x++) {
                        int stripe = (x / 3 + 4 * i) / 90 % 2 == 0 ? 70 : 150;
                        row[x] = (byte) (stripe
                                + (y / 60 % 2) * 30
                                + (noise[(y * row.length + x + 3 * i) % noise.length] >> 5));
                    }
                    pixels.position(y * frame.imageStride);
                    pixels.put(row);
                }
                pixels.rewind();
                recorder.record(frame, avutil.AV_PIX_FMT_BGR24);
            }
            recorder.stop();
        }
    }
}
