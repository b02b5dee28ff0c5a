package farglass.film;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.film.reel.DrawingPainter;
import farglass.film.reel.MomentStill;
import farglass.lexicon.Lexicon;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pictures of moments for pages: from the first film that is there, can be read and shows the moment. */
class MomentStillTest {
    private static final int FRAMES = 90;

    @TempDir
    private Path folder;

    private MatchRecord record(String... files) {
        MatchRecord r = DemoLibrary.matches(Lexicon.builtIn(), DemoLibrary.SEED).get(0);
        List<FilmRef> films = java.util.Arrays.stream(files)
                .map(f -> FilmRef.of(
                        f,
                        3000L,
                        ClockMap.of(List.of(new Segment(
                                FilmTime.ofMs(0), FilmTime.ofMs(3000), Segment.Kind.LIVE, MatchTime.ZERO, 1)))))
                .toList();
        return r.withFilms(films);
    }

    private Optional<BufferedImage> still(MatchRecord r, long ms) {
        MomentStill stills = new MomentStill(f -> folder.resolve(f.file()), x -> new DrawingPainter(who -> Color.RED));
        return stills.of(r, MatchTime.ofMs(ms), 192, 108, () -> false);
    }

    @Test
    void theMomentIsShownInTheSizeThatIsWanted() throws Exception {
        TestFilm.h264().write(folder.resolve("a.mp4"), FRAMES);
        BufferedImage image = still(record("a.mp4"), 1500).orElseThrow();
        assertThat(image.getWidth()).isEqualTo(192);
        assertThat(image.getHeight()).isEqualTo(108);
    }

    @Test
    void aFilmThatIsGoneOrBrokenIsPassedOver() throws Exception {
        Files.writeString(folder.resolve("broken.mp4"), "not a film");
        TestFilm.h264().write(folder.resolve("whole.mp4"), FRAMES);
        assertThat(still(record("gone.mp4", "broken.mp4", "whole.mp4"), 1000)).isPresent();
        assertThat(still(record("gone.mp4", "broken.mp4"), 1000)).isEmpty();
        assertThat(still(record(), 1000)).isEmpty();
    }

    @Test
    void aMomentThatNoFilmShowsHasNoPicture() throws Exception {
        TestFilm.h264().write(folder.resolve("a.mp4"), FRAMES);
        assertThat(still(record("a.mp4"), 60_000)).isEmpty();
    }
}
