package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatIOException;

import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.Mp4Writer;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreKind;
import farglass.film.score.ScoreTrack;
import farglass.match.Corner;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A film of a running clock, read again and again. */
class FilmReadingsTest {
    private static final long LENGTH = 300_000;
    private static final int SECONDS = 20;

    @TempDir
    private Path folder;

    private Path film;
    private FilmReadings readings;

    @BeforeEach
    void makeFilm() throws Exception {
        film = folder.resolve("clock.mp4");
        new Mp4Writer(320, 180, 10, 400_000, 10)
                .write(
                        film,
                        SECONDS * 10,
                        (picture, i) -> {
                            Graphics2D g = picture.createGraphics();
                            g.setColor(new Color(70, 110, 90));
                            g.fillRect(0, 0, 320, 180);
                            g.setColor(Color.BLACK);
                            g.fillRect(220, 8, 92, 34);
                            g.setColor(Color.WHITE);
                            g.setFont(new Font(Font.MONOSPACED, Font.BOLD, 26));
                            g.drawString(String.format(Locale.ROOT, "4:%02d", 59 - i / 10), 234, 34);
                            g.fillOval(20 + i % 60, 90, 40, 40);
                            g.dispose();
                        },
                        x -> {},
                        () -> false);
        readings = new FilmReadings(folder.resolve("readings"));
    }

    private FilmReadings.Read read() throws Exception {
        return (FilmReadings.Read) readings.read(film, null, LENGTH, x -> {}, () -> false);
    }

    private static MapProposal scored(MapProposal found, ScoreKind... kinds) {
        List<ScoreGraphic.Column> columns = List.of(
                new ScoreGraphic.Column(new Box(20, 10, 26, 20), new Box(20, 40, 26, 20), null),
                new ScoreGraphic.Column(new Box(60, 10, 26, 20), new Box(60, 40, 26, 20), null));
        return found.with(new ScoreTrack(new ScoreGraphic(List.of(), columns), Arrays.asList(kinds), List.of()));
    }

    @Test
    void aFilmIsReadOnceAndWhatWasReadAndRefusedTeachesNothing() throws Exception {
        FilmReadings.Read first = read();
        assertThat(first.notKept()).isNull();
        assertThat(first.found().readings()).anyMatch(r -> r.clock() != null);
        assertThat(first.crops().clock()).isNotNull();
        double[] told = new double[1];
        FilmReadings.Read again = (FilmReadings.Read) readings.read(film, null, LENGTH, x -> told[0] = x, () -> false);
        assertThat(told[0]).as("nothing was gone through again").isZero();
        assertThat(again.found().map()).isEqualTo(first.found().map());
        // its sheet was closed: nobody has said who is who, or what the numbers count
        assertThat(again.first()).isNull();
        assertThat(readings.taken(film, LENGTH)).isEmpty();
        assertThat(folder.resolve("readings")).isDirectoryNotContaining("glob:**layouts.json");
    }

    @Test
    void whatWasTakenIsKnownAgainAsItWasCorrected() throws Exception {
        MapProposal taken = scored(read().found(), ScoreKind.ADVANTAGES, ScoreKind.POINTS);
        readings.take(film, LENGTH, taken, Corner.B);
        FilmReadings.Read again = read();
        assertThat(again.first()).isEqualTo(Corner.B);
        assertThat(again.found().score().kinds()).containsExactly(ScoreKind.ADVANTAGES, ScoreKind.POINTS);
        assertThat(readings.taken(film, LENGTH)).isPresent();
        assertThat(readings.taken(film, LENGTH + 1)).as("another length").isEmpty();
    }

    @Test
    void aReadingThatWasCancelledGoesOn() throws Exception {
        double[] reached = new double[1];
        FilmReadings.Outcome stopped = readings.read(film, null, LENGTH, x -> reached[0] = x, () -> reached[0] > 0.6);
        assertThat(stopped).isEqualTo(new FilmReadings.Stopped(null));
        double[] least = {1};
        FilmReadings.Read whole = (FilmReadings.Read)
                readings.read(film, null, LENGTH, x -> least[0] = Math.min(least[0], x), () -> false);
        assertThat(least[0]).isGreaterThan(0.5);
        assertThat(whole.found().box()).isNotNull();
    }

    @Test
    void whatCannotBeKeptIsShownAndSaid() throws Exception {
        Files.writeString(folder.resolve("readings"), "a file where the folder should be");
        FilmReadings.Read shown = read();
        assertThat(shown.notKept()).isNotNull();
        assertThat(shown.found().box()).isNotNull();
        double[] reached = new double[1];
        FilmReadings.Outcome stopped = readings.read(film, null, LENGTH, x -> reached[0] = x, () -> reached[0] > 0.6);
        assertThat(stopped)
                .isInstanceOfSatisfying(
                        FilmReadings.Stopped.class, s -> assertThat(s.notKept()).isNotNull());
        assertThatIOException().isThrownBy(() -> readings.take(film, LENGTH, shown.found(), Corner.A));
    }

    @Test
    void aFilmThatIsDamagedSaysSo() throws Exception {
        Files.write(film, new byte[] {1, 2, 3});
        assertThatExceptionOfType(FilmException.class).isThrownBy(this::read);
    }
}
