package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import farglass.film.reel.Clip;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.Reel;
import farglass.film.reel.Still;
import farglass.match.Corner;
import farglass.match.Drawing;
import farglass.time.FilmTime;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ReelTest {
    /** A ring round the middle of the picture for a second, from two seconds on. */
    private static final Drawing RING = new Drawing(
            s(2), 1000, List.of(new Drawing.Mark(Drawing.Kind.RING, Corner.A, 0.25, 0.25, 0.75, 0.75, null)));

    @TempDir
    private Path folder;

    private static Reel reel(Clip... clips) {
        return new Reel(List.of(clips), new DrawingPainter(who -> Color.RED));
    }

    private static FilmTime s(double seconds) {
        return FilmTime.ofMs(Math.round(seconds * 1000));
    }

    private Clip clip(Path film, double from, double to, boolean slow) {
        FilmTime begin = slow ? s(from + 0.5) : null;
        return new Clip(
                film,
                s(from),
                s(to),
                begin,
                slow ? s(from + 1) : null,
                "Knee cut to the right",
                "Tolendt, 2:14",
                List.of(RING));
    }

    @Test
    void clipsOfSeveralFilmsBecomeOneFilmOfTheRightLength() throws Exception {
        Path a = TestFilm.h264().rate(25).write(folder.resolve("a.mp4"), 100);
        Path b = TestFilm.vp9().rate(50).size(320, 240).write(folder.resolve("b.webm"), 120);
        Reel reel = reel(clip(a, 1, 2.5, true), clip(b, 0.5, 1.5, false));
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
            // film second 1.5 has no ring, second 2.2 has: in the clip from second 1 on, half a second of it slow
            assertThat(red(picture)).as("before the drawing").isZero();
            assertThat(red(Still.of(film, film.frameAt(s(1.8 + 1.7)))))
                    .as("while it is shown")
                    .isGreaterThan(500);
        }
    }

    @Test
    void aReelIsAsLargeAsItIsAskedToBe() throws Exception {
        Path a = TestFilm.h264().rate(25).write(folder.resolve("a.mp4"), 100);
        Path target = folder.resolve("large.mp4");
        Reel reel = new Reel(
                List.of(clip(a, 1, 2, false), clip(a, 2, 3, false)), new DrawingPainter(who -> Color.RED), 1280, 720);
        assertThat(reel.write(target, x -> {}, () -> false)).isTrue();
        try (FilmFile film = FilmFile.open(target)) {
            assertThat(film.info().width()).isEqualTo(1280);
            assertThat(film.info().height()).isEqualTo(720);
            // the same film in the second clip: pictures of the first must not stand in for it
            BufferedImage first = Still.of(film, film.frameAt(s(2.3)));
            BufferedImage second = Still.of(film, film.frameAt(s(2.3 + 2.8)));
            assertThat(differing(first, second)).isGreaterThan(1000);
            assertThat(red(Still.of(film, film.frameAt(s(1.8 + 1 + 1.8 + 0.2)))))
                    .isGreaterThan(500);
        }
    }

    private static int differing(BufferedImage a, BufferedImage b) {
        int n = 0;
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                n += Math.abs((a.getRGB(x, y) & 0xff) - (b.getRGB(x, y) & 0xff)) > 60 ? 1 : 0;
            }
        }
        return n;
    }

    @Test
    void theDecisiveSecondIsShownAtHalfSpeed() throws Exception {
        Clip c = clip(folder.resolve("x"), 10, 13, true);
        assertThat(c.shownMs()).isEqualTo(3500);
        // what is on screen: half a second as it was, a second for half a second, the rest as it was
        Path a = TestFilm.h264().rate(25).write(folder.resolve("a.mp4"), 100);
        Reel reel = reel(clip(a, 1, 2.5, true));
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
        Reel broken = reel(clip(a, 1, 1.2, false), clip(folder.resolve("gone.mp4"), 1, 2, false));
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> broken.write(target, x -> {}, () -> false))
                .withMessageContaining("gone.mp4");
        assertThat(reel(clip(a, 1, 2, false)).write(target, x -> {}, () -> true))
                .isFalse();
        try (Stream<Path> left = Files.list(folder.resolve("out"))) {
            assertThat(left).isEmpty();
        }
    }

    private static int red(BufferedImage image) {
        int n = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int p = image.getRGB(x, y);
                n += (p >> 16 & 255) > 170 && (p >> 8 & 255) < 90 && (p & 255) < 90 ? 1 : 0;
            }
        }
        return n;
    }

    @Test
    void aSpotlightDimsAllButOnePlaceAndAnArrowPoints() {
        BufferedImage image = new BufferedImage(400, 200, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, 400, 200);
        new DrawingPainter(who -> who == Corner.A ? Color.RED : Color.BLUE)
                .paint(
                        g,
                        List.of(
                                new Drawing.Mark(Drawing.Kind.SPOTLIGHT, null, 0.5, 0.25, 0.9, 0.75, null),
                                new Drawing.Mark(Drawing.Kind.ARROW, Corner.A, 0.05, 0.9, 0.4, 0.9, null),
                                new Drawing.Mark(Drawing.Kind.TEXT, Corner.B, 0.05, 0.2, 0.05, 0.2, "hip")),
                        0,
                        0,
                        400,
                        200);
        g.dispose();
        assertThat(image.getRGB(280, 100) & 0xff).as("in the light").isEqualTo(255);
        assertThat(image.getRGB(390, 10) & 0xff).as("outside").isLessThan(140);
        assertThat(image.getRGB(156, 180) & 0xffffff).as("the tip").isEqualTo(0xff0000);
    }
}
