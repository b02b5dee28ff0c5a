package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import farglass.film.reel.Clip;
import farglass.film.reel.Reel;
import farglass.film.reel.Still;
import farglass.time.FilmTime;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ReelTest {
    @TempDir
    private Path folder;

    private static FilmTime s(double seconds) {
        return FilmTime.ofMs(Math.round(seconds * 1000));
    }

    private Clip clip(Path film, double from, double to, boolean slow) {
        FilmTime begin = slow ? s(from + 0.5) : null;
        return new Clip(
                film, s(from), s(to), begin, slow ? s(from + 1) : null, "Knee cut to the right", "Tolendt, 2:14");
    }

    @Test
    void clipsOfSeveralFilmsBecomeOneFilmOfTheRightLength() throws Exception {
        Path a = TestFilm.h264().rate(25).write(folder.resolve("a.mp4"), 100);
        Path b = TestFilm.vp9().rate(50).size(320, 240).write(folder.resolve("b.webm"), 120);
        Reel reel = new Reel(List.of(clip(a, 1, 2.5, true), clip(b, 0.5, 1.5, false)));
        assertThat(reel.durationMs()).isEqualTo(1800 + 2000 + 1800 + 1000);
        Path target = folder.resolve("reel.mp4");
        assertThat(reel.write(target, x -> {}, () -> false)).isTrue();
        try (FilmFile film = FilmFile.open(target)) {
            assertThat(film.info().durationMs()).isCloseTo(6600, within(80L));
            assertThat(film.info().codec()).isEqualTo("h264");
            BufferedImage card = Still.of(film, film.frameAt(s(1)));
            BufferedImage picture = Still.of(film, film.frameAt(s(2.5)));
            // the card is paper, the picture's blocks are black and white
            assertThat(card.getRGB(900, 500) & 0xff).isBetween(200, 245);
            assertThat(picture.getRGB(900, 300) & 0xff).isLessThan(60);
        }
    }

    @Test
    void theDecisiveSecondIsShownAtHalfSpeed() throws Exception {
        Clip c = clip(folder.resolve("x"), 10, 13, true);
        assertThat(c.shownMs()).isEqualTo(3500);
        // what is on screen: half a second as it was, a second for half a second, the rest as it was
        Path a = TestFilm.h264().rate(25).write(folder.resolve("a.mp4"), 100);
        Reel reel = new Reel(List.of(clip(a, 1, 2.5, true)));
        Path target = folder.resolve("slow.mp4");
        reel.write(target, x -> {}, () -> false);
        try (FilmFile film = FilmFile.open(target);
                FilmFile source = FilmFile.open(a)) {
            int last = film.info().frames() - 1;
            BufferedImage end = Still.of(film, last);
            BufferedImage expected = Still.of(source, source.frameAt(s(2.48)), 960, 540);
            int x = 960 / 16 * 2 + 30;
            assertThat(Math.abs((end.getRGB(x, 300) & 0xff) - (expected.getRGB(x, 300) & 0xff)))
                    .isLessThan(40);
        }
    }

    @Test
    void aMissingFilmOrACancelLeavesNothing() throws Exception {
        Path a = TestFilm.h264().rate(25).write(folder.resolve("a.mp4"), 100);
        Path target = folder.resolve("out").resolve("reel.mp4");
        Reel broken = new Reel(List.of(clip(a, 1, 1.2, false), clip(folder.resolve("gone.mp4"), 1, 2, false)));
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> broken.write(target, x -> {}, () -> false))
                .withMessageContaining("gone.mp4");
        assertThat(new Reel(List.of(clip(a, 1, 2, false))).write(target, x -> {}, () -> true))
                .isFalse();
        try (Stream<Path> left = Files.list(folder.resolve("out"))) {
            assertThat(left).isEmpty();
        }
    }
}
