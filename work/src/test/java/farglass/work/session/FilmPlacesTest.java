package farglass.work.session;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.match.FilmRef;
import farglass.time.ClockMap;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

class FilmPlacesTest {
    private static final FilmRef FILM = new FilmRef("films/a.mp4", "ab12", 5L, false, ClockMap.EMPTY, Map.of());

    @Test
    void aFilmLiesWhereTheRecordSaysUnlessThisMachineHasItElsewhere() {
        Path folder = Path.of("/library");
        assertThat(FilmPlaces.of(folder, Map.of()).of(FILM)).isEqualTo(Path.of("/library/films/a.mp4"));
        FilmPlaces known =
                FilmPlaces.of(folder, Map.of(FilmPlaces.setting("ab12"), "/mnt/b.mp4", "look.theme", "night"));
        assertThat(known.of(FILM)).isEqualTo(Path.of("/mnt/b.mp4"));
        assertThat(known.of(FILM.at("/elsewhere/c.mp4"))).isEqualTo(Path.of("/mnt/b.mp4"));
        assertThat(known.of(FilmRef.of("films/d.mp4", null, ClockMap.EMPTY)))
                .isEqualTo(Path.of("/library/films/d.mp4"));
        assertThat(known.places()).hasSize(1);
    }
}
