package farglass.bench;

import farglass.film.FilmFile;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.time.ClockMap;
import farglass.time.Segment;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.bytedeco.javacv.FFmpegFrameGrabber;
import org.bytedeco.javacv.Frame;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;

/** Single steps through a 1280x720 film, against a plain grabber that only runs forward. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class FilmBench {
    private static final int WIDTH = 1280;
    private static final int HEIGHT = 720;
    private static final int SECONDS = 12;
    private FilmFile film;
    private FFmpegFrameGrabber grabber;
    private ByteBuffer pixels;
    private int at;

    @Setup(Level.Trial)
    public void make() throws Exception {
        Path path = Files.createTempDirectory("farglass-bench").resolve("f.mp4");
        MatchRecord r = DemoLibrary.matches(Lexicon.builtIn(), 1).get(0);
        ClockMap map = ClockMap.of(List.of(Segment.live(0, SECONDS * 1000L, 0)));
        new Footage(WIDTH, HEIGHT, 25).make(r, map, Lexicon.builtIn(), path, x -> {}, () -> false);
        film = FilmFile.open(path);
        grabber = new FFmpegFrameGrabber(path.toFile());
        grabber.start();
        pixels = ByteBuffer.allocateDirect(4 * WIDTH * HEIGHT);
    }

    @TearDown(Level.Trial)
    public void close() throws Exception {
        film.close();
        grabber.close();
    }

    @Benchmark
    public ByteBuffer stepForward() throws Exception {
        at = (at + 1) % film.info().frames();
        film.picture(at, pixels);
        return pixels;
    }

    @Benchmark
    public ByteBuffer stepBack() throws Exception {
        at = (at + film.info().frames() - 1) % film.info().frames();
        film.picture(at, pixels);
        return pixels;
    }

    @Benchmark
    public Frame plainGrab() throws Exception {
        Frame frame = grabber.grabImage();
        if (frame == null) {
            grabber.setFrameNumber(0);
            frame = grabber.grabImage();
        }
        return frame;
    }
}
