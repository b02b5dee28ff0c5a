package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.film.proxy.Proxy;
import farglass.film.proxy.ProxyReader;
import farglass.film.proxy.ProxyStore;
import farglass.time.FilmTime;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ProxyTest {
    private static final int FRAMES = 1000;

    @TempDir
    private Path folder;

    private Path film(String name) throws Exception {
        return TestFilm.h264().rate(25).write(folder.resolve(name), FRAMES);
    }

    private Proxy proxy(Path film, long limit) throws FilmException {
        try (FilmFile opened = FilmFile.open(film)) {
            return new ProxyStore(folder.resolve("proxies"), limit).of(film, opened.info());
        }
    }

    @Test
    void anyMomentIsDrawnFromItAndSaysItsOwnTime() throws Exception {
        Proxy proxy = proxy(film("a.mp4"), Long.MAX_VALUE);
        List<Double> shares = new ArrayList<>();
        proxy.make(shares::add, () -> false);
        assertThat(shares).containsExactly(0.5, 1.0);
        assertThat(proxy.made()).isEqualTo(1);
        ByteBuffer pixels = ByteBuffer.allocateDirect(4 * 320 * 180);
        try (ProxyReader reader = new ProxyReader(proxy)) {
            for (long ms : new long[] {39_900, 0, 17_312, 30_000, 29_999, 124, 12_500}) {
                assertThat(reader.picture(ms, pixels)).isTrue();
                long shown = TestFilm.number(pixels, 320, 180) * 40L;
                assertThat(ms - shown).as("at %d ms", ms).isBetween(0L, 165L);
            }
        }
    }

    @Test
    void whatIsMadeSurvivesACancelAndIsNotMadeAgain() throws Exception {
        Proxy proxy = proxy(film("a.mp4"), Long.MAX_VALUE);
        AtomicInteger asked = new AtomicInteger();
        // the first piece takes 240 pictures
        proxy.make(x -> {}, () -> asked.incrementAndGet() > 300);
        assertThat(proxy.made()).isEqualTo(0.5);
        assertThat(parts()).isEmpty();
        Path first = proxy.folder().resolve("0.mp4");
        Files.setLastModifiedTime(first, FileTime.fromMillis(1000));
        proxy.make(x -> {}, () -> false);
        assertThat(proxy.made()).isEqualTo(1);
        assertThat(Files.getLastModifiedTime(first).toMillis()).isEqualTo(1000);
    }

    private List<Path> parts() throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(p -> p.toString().contains(".part")).toList();
        }
    }

    @Test
    void aPlaceThatCannotBeWrittenIsSaidAndTheFilmIsUntouched() throws Exception {
        Path film = film("a.mp4");
        Files.writeString(folder.resolve("proxies"), "in the way");
        Proxy proxy = proxy(film, Long.MAX_VALUE);
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> proxy.make(x -> {}, () -> false))
                .withMessageContaining("can be used without it");
        try (ProxyReader reader = new ProxyReader(proxy)) {
            assertThat(reader.picture(0, ByteBuffer.allocateDirect(4 * 320 * 180)))
                    .isFalse();
        }
    }

    @Test
    void theOldestGoWhenTheFolderGrowsTooLarge() throws Exception {
        Proxy old = proxy(film("a.mp4"), 0);
        old.make(x -> {}, () -> false);
        Proxy kept = proxy(film("b.mp4"), 0);
        kept.make(x -> {}, () -> false);
        new ProxyStore(folder.resolve("proxies"), 0).tidy(kept);
        assertThat(old.folder()).doesNotExist();
        assertThat(kept.made()).isEqualTo(1);
    }

    @Test
    void onlySlowFilmsNeedOne() {
        assertThat(ProxyStore.wanted(info(1920, 1080, 9000, 36))).isTrue();
        assertThat(ProxyStore.wanted(info(640, 360, 9000, 180))).isFalse();
    }

    private static FilmInfo info(int w, int h, int frames, int keys) {
        return new FilmInfo(w, h, frames, frames * 40L, "h264", keys, false, false, 0, false);
    }

    @Test
    void decodingStopsWhereSomethingNewerIsWantedAndGoesOnFromThere() throws Exception {
        try (FilmFile film = FilmFile.open(film("a.mp4"))) {
            ByteBuffer pixels = ByteBuffer.allocateDirect(4 * 320 * 180);
            AtomicInteger asked = new AtomicInteger();
            assertThat(film.near(240)).isFalse();
            assertThat(film.picture(240, pixels, () -> asked.incrementAndGet() > 50))
                    .isFalse();
            assertThat(asked.get()).isBetween(51, 60);
            assertThat(film.near(55)).isTrue();
            for (int n : new int[] {55, 240, 3, 999}) {
                assertThat(film.picture(n, pixels, () -> false)).isTrue();
                assertThat(TestFilm.number(pixels, 320, 180)).isEqualTo(n);
            }
            assertThat(film.frameAt(FilmTime.ofMs(9600))).isEqualTo(240);
        }
    }
}
