package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.time.FilmTime;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The clock is the test's own, so that playing is checked without waiting. */
class PlayerTest {
    private static final int FRAMES = 300;

    @TempDir
    private static Path folder;

    private static Path path;
    private final AtomicLong nanos = new AtomicLong();
    private final Shown shown = new Shown();
    private Player player;

    /** Every picture that reached the screen, with the number its pixels say. */
    private static final class Shown implements Player.Screen {
        private final BlockingQueue<int[]> frames = new LinkedBlockingQueue<>();
        private final BlockingQueue<String> events = new LinkedBlockingQueue<>();
        private volatile ByteBuffer last;
        private FilmInfo info;

        @Override
        public void opened(FilmInfo i) {
            info = i;
        }

        @Override
        public void show(int buffer, ByteBuffer bgra, int frame, FilmTime time) {
            last = bgra;
            frames.add(new int[] {frame, TestFilm.number(bgra, info.width(), info.height())});
        }

        @Override
        public void playing(boolean now) {
            events.add(now ? "playing" : "stopped");
        }

        @Override
        public void speed(double now) {
            events.add("speed " + now);
        }

        @Override
        public void failed(String message) {
            events.add(message);
        }

        int next() throws InterruptedException {
            int[] got = frames.poll(30, TimeUnit.SECONDS);
            assertThat(got).as("a frame is shown").isNotNull();
            assertThat(got[1]).as("the pixels are those of the frame").isEqualTo(got[0]);
            return got[0];
        }
    }

    @BeforeEach
    void open() throws Exception {
        if (path == null) {
            path = TestFilm.h264().write(folder.resolve("p.mp4"), FRAMES);
        }
        player = new Player(path, shown, nanos::get);
        assertThat(shown.next()).isZero();
    }

    @AfterEach
    void close() {
        player.close();
    }

    private void pass(double seconds) {
        nanos.addAndGet((long) (seconds * 1e9));
        // a request that changes nothing wakes the player, which then looks at the clock
        player.play();
    }

    @Test
    void stepsAddUpAndComeBackToTheSamePicture() throws Exception {
        for (int i = 1; i <= 40; i++) {
            player.step(1);
            assertThat(shown.next()).isEqualTo(i);
        }
        for (int i = 39; i >= 0; i--) {
            player.step(-1);
            assertThat(shown.next()).isEqualTo(i);
        }
        player.step(-5);
        assertThat(shown.next()).as("before the beginning is the beginning").isZero();
    }

    @Test
    void theNewestSeekIsShownLast() throws Exception {
        for (int ms = 0; ms < 9000; ms += 100) {
            player.seek(FilmTime.ofMs(ms));
        }
        int last = -1;
        while (last != 267) {
            last = shown.next();
        }
        assertThat(shown.frames.poll(200, TimeUnit.MILLISECONDS)).isNull();
    }

    @Test
    void jumpsAreFilmTime() throws Exception {
        player.jump(5000);
        assertThat(shown.next()).isEqualTo(150);
        player.jump(-1000);
        assertThat(shown.next()).isEqualTo(120);
        player.jump(-60_000);
        assertThat(shown.next()).isZero();
        player.jump(60_000);
        assertThat(shown.next()).isEqualTo(FRAMES - 1);
    }

    @Test
    void playingFollowsTheClockAtAnySpeedAndStopsAtTheEnd() throws Exception {
        player.play();
        assertThat(shown.events.poll(10, TimeUnit.SECONDS)).isEqualTo("playing");
        nanos.addAndGet(1_000_000_000L);
        assertThat(atLeast(30)).isEqualTo(30);
        player.speed(0.5);
        nanos.addAndGet(1_000_000_000L);
        assertThat(atLeast(45)).isEqualTo(45);
        // changing the speed starts the count anew from the frame on screen
        player.speed(2);
        nanos.addAndGet(1_000_000_000L);
        assertThat(atLeast(105)).isEqualTo(105);
        nanos.addAndGet(60_000_000_000L);
        assertThat(atLeast(FRAMES - 1)).isEqualTo(FRAMES - 1);
        assertThat(shown.events.poll(10, TimeUnit.SECONDS)).isEqualTo("stopped");
        player.play();
        assertThat(shown.next()).as("from the end it begins again").isZero();
    }

    /** What the sound is told. */
    private static final class Told implements Player.Sound {
        private final BlockingQueue<String> said = new LinkedBlockingQueue<>();

        @Override
        public void play(long filmMs, double speed) {
            said.add("play " + filmMs + " x" + speed);
        }

        @Override
        public void stop() {
            said.add("stop");
        }

        /** Waits for it to be told this; what came before is passed over. */
        void await(String what) throws InterruptedException {
            String got = said.poll(30, TimeUnit.SECONDS);
            while (got != null && !got.equals(what)) {
                got = said.poll(30, TimeUnit.SECONDS);
            }
            assertThat(got).isEqualTo(what);
        }
    }

    @Test
    void theSoundDoesWhatThePictureDoes() throws Exception {
        Told told = new Told();
        player.sound(told);
        told.await("stop");
        player.play();
        told.await("play 0 x1.0");
        player.seek(FilmTime.ofMs(4000));
        told.await("play 4000 x1.0");
        player.speed(0.5);
        told.await("play 4000 x0.5");
        player.pause();
        told.await("stop");
        player.speed(1);
        player.loop(new Player.Loop(FilmTime.ofMs(1000), FilmTime.ofMs(2000)));
        player.play();
        told.await("play 1000 x1.0");
        nanos.addAndGet(1_500_000_000L);
        player.play();
        told.await("play 1000 x1.0");
        player.loop(null);
        player.step(1);
        told.await("stop");
    }

    private int atLeast(int frame) throws InterruptedException {
        int n = shown.next();
        while (n < frame) {
            n = shown.next();
        }
        return n;
    }

    @Test
    void aLoopComesBackToItsBeginning() throws Exception {
        player.loop(new Player.Loop(FilmTime.ofMs(1000), FilmTime.ofMs(2000)));
        assertThat(shown.next()).isEqualTo(30);
        player.play();
        List<Integer> seen = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            pass(1.05);
            int n = shown.next();
            while (n != 30) {
                assertThat(n).isBetween(30, 60);
                n = shown.next();
            }
            seen.add(n);
        }
        assertThat(seen).containsExactly(30, 30, 30);
    }

    @Test
    void aReviewPlaysTwiceSlowlyThenOnceAndStopsAtTheOldSpeed() throws Exception {
        player.speed(2);
        player.review(new Player.Loop(FilmTime.ofMs(1000), FilmTime.ofMs(2000)), List.of(0.5, 0.5, 1.0));
        for (double seconds : new double[] {2, 2, 1}) {
            assertThat(shown.next()).as("a pass begins").isEqualTo(30);
            nanos.addAndGet((long) (seconds * 0.97 * 1e9));
            player.play();
            int n = shown.next();
            while (n < 59) {
                n = shown.next();
            }
            assertThat(n).isEqualTo(59);
            nanos.addAndGet((long) (seconds * 0.1 * 1e9));
            player.play();
        }
        List<String> events = new ArrayList<>();
        while (!events.contains("stopped")) {
            events.add(shown.events.poll(20, TimeUnit.SECONDS));
        }
        assertThat(events).containsExactly("speed 0.5", "playing", "speed 0.5", "speed 1.0", "speed 2.0", "stopped");
    }

    @Test
    void theNextFilmOfTheSameSizeUsesThePictureBuffersOfAClosedOne() throws Exception {
        Set<ByteBuffer> before = Collections.newSetFromMap(new IdentityHashMap<>());
        before.add(shown.last);
        for (int i = 0; i < 2; i++) {
            player.step(1);
            shown.next();
            before.add(shown.last);
        }
        assertThat(before).hasSize(3);
        player.close();
        player = new Player(path, shown, nanos::get);
        assertThat(shown.next()).isZero();
        assertThat(before).anyMatch(b -> b == shown.last);
    }

    @Test
    void aFilmThatCannotBeOpenedIsSaidOnce() throws Exception {
        Shown other = new Shown();
        try (Player broken = new Player(folder.resolve("gone.mp4"), other)) {
            broken.play();
            List<String> told = new ArrayList<>();
            String e = other.events.poll(20, TimeUnit.SECONDS);
            while (e != null && !e.contains("is not there")) {
                told.add(e);
                e = other.events.poll(20, TimeUnit.SECONDS);
            }
            assertThat(e).contains("gone.mp4");
            assertThat(told.size()).isLessThanOrEqualTo(1);
        }
    }
}
