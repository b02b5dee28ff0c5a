package farglass.film.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIOException;

import farglass.film.Box;
import farglass.film.score.ScoreChange;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreKind;
import farglass.film.score.ScoreTrack;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LayoutStoreTest {
    @TempDir
    private Path folder;

    private static ScoreTrack track(int left, ScoreKind... kinds) {
        List<ScoreGraphic.Column> columns = new ArrayList<>();
        for (int c = 0; c < kinds.length; c++) {
            Box first = new Box(left + 40 * c, 30, 26, 20);
            columns.add(new ScoreGraphic.Column(first, new Box(left + 40 * c, 60, 26, 20), null));
        }
        List<ScoreChange> changes = List.of(new ScoreChange(900, 1000, 0, 0, 0, 1, 0.9));
        return new ScoreTrack(new ScoreGraphic(List.of(), columns), Arrays.asList(kinds), changes);
    }

    @Test
    void theNextFilmOfTheEventIsReadAsThisOneWasCorrected() throws Exception {
        new LayoutStore(folder).keep(track(200, ScoreKind.ADVANTAGES, ScoreKind.POINTS, null));
        LayoutStore again = new LayoutStore(folder);
        ScoreTrack next = again.told(track(205, ScoreKind.POINTS, ScoreKind.ADVANTAGES, ScoreKind.PENALTIES));
        assertThat(next.kinds()).containsExactly(ScoreKind.ADVANTAGES, ScoreKind.POINTS, null);
        assertThat(next.changes()).hasSize(1);
        // in another place, or with fewer numbers, it is another graphic
        ScoreTrack other = track(260, ScoreKind.POINTS, ScoreKind.ADVANTAGES, ScoreKind.PENALTIES);
        assertThat(again.told(other)).isSameAs(other);
        ScoreTrack fewer = track(200, ScoreKind.POINTS, ScoreKind.ADVANTAGES);
        assertThat(again.told(fewer)).isSameAs(fewer);
    }

    @Test
    void whatIsTakenLastHoldsAndTheRestIsKept() throws Exception {
        LayoutStore store = new LayoutStore(folder);
        store.keep(track(200, ScoreKind.ADVANTAGES, ScoreKind.POINTS));
        store.keep(track(400, ScoreKind.PENALTIES, ScoreKind.POINTS));
        store.keep(track(201, ScoreKind.POINTS, ScoreKind.ADVANTAGES));
        assertThat(store.told(track(200, null, null)).kinds()).containsExactly(ScoreKind.POINTS, ScoreKind.ADVANTAGES);
        assertThat(store.told(track(400, null, null)).kinds()).containsExactly(ScoreKind.PENALTIES, ScoreKind.POINTS);
        assertThat(folder).isDirectoryNotContaining("glob:**.part");
    }

    @Test
    void aDamagedFileIsNoneAndAFilmWithoutAGraphicIsNotKept() throws Exception {
        LayoutStore store = new LayoutStore(folder);
        store.keep(ScoreTrack.NONE);
        assertThat(folder).isEmptyDirectory();
        assertThat(store.told(ScoreTrack.NONE)).isSameAs(ScoreTrack.NONE);
        Files.writeString(folder.resolve("layouts.json"), "[[{\"counts\": \"points\"}], 7, {");
        ScoreTrack read = track(200, ScoreKind.POINTS);
        assertThat(store.told(read)).isSameAs(read);
        Files.writeString(folder.resolve("layouts.json"), "[[{\"counts\": \"points\"}], 7]");
        assertThat(store.told(read)).isSameAs(read);
        store.keep(read);
        assertThat(store.told(track(200, (ScoreKind) null)).kinds()).containsExactly(ScoreKind.POINTS);
        Path blocked = Files.writeString(folder.resolve("file"), "");
        assertThatIOException().isThrownBy(() -> new LayoutStore(blocked.resolve("in")).keep(read));
    }
}
