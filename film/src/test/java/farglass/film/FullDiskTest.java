package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import farglass.film.proxy.Proxy;
import farglass.film.proxy.ProxyStore;
import farglass.film.reel.Clip;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.Reel;
import farglass.time.FilmTime;
import java.awt.Color;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** On a disk of 16 kB; where the machine lets nobody mount one, there is nothing to test. */
class FullDiskTest {
    @TempDir
    private Path folder;

    private Path small;
    private Path film;

    private static boolean run(String... command) throws IOException, InterruptedException {
        return new ProcessBuilder(command).redirectErrorStream(true).start().waitFor() == 0;
    }

    @BeforeEach
    void mount() throws Exception {
        small = Files.createDirectory(folder.resolve("small"));
        assumeTrue(Files.isExecutable(Path.of("/bin/mount")));
        assumeTrue(run("/bin/mount", "-t", "tmpfs", "-o", "size=16k", "tmpfs", small.toString()));
        film = TestFilm.h264().rate(25).write(folder.resolve("film.mp4"), 400);
    }

    @AfterEach
    void unmount() throws Exception {
        run("/bin/umount", small.toString());
    }

    private List<Path> files(Path below) throws IOException {
        try (Stream<Path> all = Files.walk(below)) {
            return all.filter(Files::isRegularFile).toList();
        }
    }

    @Test
    void aReelThatDoesNotFitLeavesNothingAndSaysWhy() throws Exception {
        Clip clip = new Clip(film, FilmTime.ZERO, FilmTime.ofMs(15_000), null, null, "Card", "line", List.of());
        Reel reel = new Reel(List.of(clip), new DrawingPainter(who -> Color.RED));
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> reel.write(small.resolve("reel.mp4"), x -> {}, () -> false))
                .withMessageContaining("the disk is full")
                .withMessageContaining("Nothing was kept");
        assertThat(files(small)).isEmpty();
    }

    @Test
    void aQuickCopyThatDoesNotFitLeavesNoHalfPiece() throws Exception {
        FilmInfo info;
        try (FilmFile opened = FilmFile.open(film)) {
            info = opened.info();
        }
        Proxy proxy = new ProxyStore(small.resolve("proxies"), Long.MAX_VALUE).of(film, info);
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> proxy.make(x -> {}, () -> false))
                .withMessageContaining("the disk is full")
                .withMessageContaining("can be used without it");
        assertThat(files(small)).isEmpty();
    }
}
