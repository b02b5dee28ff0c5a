package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.Mp4Writer;
import farglass.film.score.SampledWords;
import farglass.film.studio.Lettering;
import farglass.film.text.TextReader;
import farglass.type.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.function.LongFunction;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pictures with several texts, of which at most one is the match's clock. */
class ClockPlaceTest {
    private static final int WIDTH = 640;
    private static final int HEIGHT = 360;
    private static final int RATE = 10;
    private static final Lettering LETTERS = new Lettering(Typeface.SANS_SEMIBOLD);
    private static TextReader reader;

    @TempDir
    private Path folder;

    @BeforeAll
    static void open() throws FilmException {
        reader = TextReader.open();
    }

    @AfterAll
    static void close() {
        reader.close();
    }

    private static String clock(long seconds) {
        return String.format(Locale.ROOT, "%d:%02d", seconds / 60, seconds % 60);
    }

    /** Thirty seconds; the left text stands at the top, the right one at the bottom of the picture. */
    private Optional<Box> found(LongFunction<String> top, LongFunction<String> bottom) throws FilmException {
        return look(top, bottom).found().stream().findFirst();
    }

    private ClockPlace look(LongFunction<String> top, LongFunction<String> bottom) throws FilmException {
        Path film = folder.resolve("f.mp4");
        new Mp4Writer(WIDTH, HEIGHT, RATE, 600_000, RATE)
                .write(film, 30 * RATE, (image, i) -> paint(image, i, top, bottom), x -> {}, () -> false);
        try (FilmFile opened = FilmFile.open(film)) {
            ClockPlace place = new ClockPlace(opened, reader);
            SampledWords.of(opened, reader, place::look, x -> {}, () -> false);
            return place;
        }
    }

    private static void paint(BufferedImage image, int i, LongFunction<String> top, LongFunction<String> bottom) {
        long ms = 1000L * i / RATE;
        Graphics2D g = image.createGraphics();
        g.setColor(new Color(60, 80, 70 + i % 20));
        g.fillRect(0, 0, WIDTH, HEIGHT);
        g.setColor(new Color(15, 20, 40));
        g.fillRect(20, 16, 360, 34);
        g.setColor(Color.WHITE);
        LETTERS.draw(g, "KELLIVAR", 30, 42, 24);
        LETTERS.draw(g, top.apply(ms), 250, 42, 24);
        LETTERS.draw(g, bottom.apply(ms), 500, 340, 22);
        g.dispose();
    }

    @Test
    void aPlayersBarIsNoClockOfTheMatch() throws FilmException {
        Optional<Box> box = found(ms -> clock(287 - ms / 1000), ms -> clock(ms / 1000));
        assertThat(box).hasValueSatisfying(b -> {
            assertThat(b.y()).isLessThan(40);
            assertThat(b.x()).isBetween(215, 260);
            assertThat(b.x() + b.width()).isBetween(285, 345);
        });
        assertThat(found(ms -> "2 0", ms -> clock(ms / 1000))).isEmpty();
    }

    @Test
    void aClockThatCountsUpAndStandsForAWhileIsFound() throws FilmException {
        LongFunction<String> up = ms -> clock(95 + (ms < 12_000 ? ms : Math.max(12_000, ms - 6000)) / 1000);
        assertThat(found(up, ms -> "MAT 3"))
                .hasValueSatisfying(b -> assertThat(b.y()).isLessThan(40));
    }

    @Test
    void aGraphicThatMovesHasAClockInBothPlaces() throws FilmException {
        LongFunction<String> clock = ms -> clock(287 - ms / 1000);
        ClockPlace moved = look(ms -> ms < 15_000 ? clock.apply(ms) : "", ms -> ms < 15_000 ? "" : clock.apply(ms));
        assertThat(moved.found()).hasSize(2);
        assertThat(moved.rival()).isEmpty();
    }

    @Test
    void ofTwoClocksThatRunTogetherAPersonMustSayWhichIsTheMatchs() throws FilmException {
        ClockPlace two = look(ms -> clock(287 - ms / 1000), ms -> clock(587 - ms / 1000));
        assertThat(two.found()).hasSize(1);
        assertThat(two.rival())
                .hasValueSatisfying(b ->
                        assertThat(b.y() < 100).isNotEqualTo(two.found().get(0).y() < 100));
    }

    @Test
    void whatNeverRunsIsNoClock() throws FilmException {
        assertThat(found(ms -> "5:00", ms -> "10:30")).isEmpty();
    }

    @Test
    void itCanBeCancelled() {
        assertThatExceptionOfType(FilmException.class)
                .isThrownBy(() -> {
                    Path film = folder.resolve("f.mp4");
                    new Mp4Writer(64, 64, RATE, 50_000, RATE).write(film, 20, (p, i) -> {}, x -> {}, () -> false);
                    try (FilmFile opened = FilmFile.open(film)) {
                        SampledWords.of(opened, reader, p -> false, x -> {}, () -> true);
                    }
                })
                .withMessageContaining("Nothing was changed");
    }
}
