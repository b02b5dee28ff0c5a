package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.film.FilmProbe;
import farglass.desk.film.FilmStation;
import farglass.desk.player.FilmView;
import farglass.film.studio.Footage;
import farglass.match.CallKind;
import farglass.match.Corner;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.table.ReadCalls;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The score is read off a film, shown, corrected, and taken into the record. */
class ScoredTest extends DeskDriver {
    private MatchRecord record() {
        return desk.openRecord().get();
    }

    private List<Tag.Call> calls() {
        return record().tags().stream()
                .filter(Tag.Call.class::isInstance)
                .map(Tag.Call.class::cast)
                .filter(c -> ReadCalls.OFF_THE_FILM.equals(c.info().extra().get(ReadCalls.SOURCE)))
                .toList();
    }

    private static Tag.Call points(double s, Corner who, int value) {
        return new Tag.Call(
                MatchTime.ofMs(Math.round(s * 1000)), CallKind.POINTS, who, value, true, null, null, TagInfo.NONE);
    }

    /** A film of 24 s in which A gets two points after 7 s, B three after 15 s. */
    private Path film(MatchRecord any) throws Exception {
        List<Tag> tags = new ArrayList<>(any.tags());
        tags.removeIf(Tag.Call.class::isInstance);
        tags.add(points(6, Corner.A, 2));
        tags.add(points(14, Corner.B, 3));
        Path path = folder.resolve("match.mp4");
        ClockMap map = ClockMap.of(List.of(Segment.blank(0, 1000, Segment.Kind.OTHER), Segment.live(1000, 24_000, 0)));
        new Footage(640, 360, 25).make(any.withTags(tags), map, desk.lexicon(), path, x -> {}, () -> false);
        return path;
    }

    @Test
    void ofTwoClocksAPersonSaysWhichIsTheMatchs() throws Exception {
        AtomicInteger taken = new AtomicInteger();
        Button other = onFx(() -> FilmProbe.otherClock(desk.matches().get(0), taken::incrementAndGet));
        assertThat(onFx(other::getText)).contains("match clock");
        onFx(() -> {
            other.fire();
            return null;
        });
        assertThat(taken).hasValue(1);
    }

    @Test
    void theScoreIsReadShownAndTaken() throws Exception {
        MatchRecord any = desk.matches().get(0);
        Path path = film(any);
        onFx(() -> {
            desk.openMatch(any.id());
            desk.edit(new Edit.SetFilms(any.films(), List.of()));
            shell.go(1);
            FilmProbe.drop((FilmStation) shell.station(1), path);
            return null;
        });
        await(
                "the film is taken",
                () -> record().films().size() == 1
                        && ((FilmView) find("#film")).moment().get() != null);
        press(KeyCode.F11);
        await("it is being read", () -> desk.status().share().get() > 0.4);
        onFx(() -> {
            desk.tasks().cancelLongTask();
            return null;
        });
        awaitNotice("read the film again to go on");
        assertThat(folder.resolve("readings")).isDirectoryContaining("glob:**.paused");
        press(KeyCode.F11);
        await("what was read is there", 120, () -> scene.lookup("#read-sheet") != null);
        ComboBox<Corner> first = find("#read-first");
        assertThat(onFx(first::getValue)).isEqualTo(Corner.A);
        ComboBox<String> column = find("#read-column-0");
        assertThat(onFx(column::getValue)).isEqualTo("POINTS");
        assertThat(says("#read-sheet", "2 changes of the score")).isTrue();
        onFx(() -> {
            column.setValue("NONE");
            return null;
        });
        assertThat(says("#read-sheet", "0 changes of the score")).isTrue();
        onFx(() -> {
            column.setValue("POINTS");
            return null;
        });
        fire("#map-accept");
        ListView<?> list = find("#scored-list");
        await("the changes are listed", () -> list.getItems().size() == 2 && list.isVisible());
        press(KeyCode.ALT, KeyCode.DOWN);
        await(
                "the first is played",
                () -> list.getSelectionModel().getSelectedIndex() == 0
                        && ((FilmView) find("#film")).playing().get());
        press(KeyCode.ALT, KeyCode.ENTER);
        await("its call is taken", () -> calls().size() == 1);
        assertThat(calls().get(0).who()).isEqualTo(Corner.A);
        assertThat(calls().get(0).value()).isEqualTo(2);
        assertThat(Math.abs(calls().get(0).t().ms() - 6000)).isLessThan(1000);
        onFx(() -> {
            // faster than the list can follow
            FilmProbe.takeCalls((FilmStation) shell.station(1));
            FilmProbe.takeCalls((FilmStation) shell.station(1));
            return null;
        });
        await("the rest is taken", () -> calls().size() == 2);
        press(KeyCode.ALT, KeyCode.SHIFT, KeyCode.ENTER);
        awaitNotice("nothing to take");
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> calls().size() == 1);
        press(KeyCode.F11);
        await("the record again", () -> !find("#scored").isVisible());
        assertThat(folder.resolve("readings")).isDirectoryContaining("glob:**.json");
        await("its columns are remembered", () -> Files.exists(folder.resolve("readings/layouts.json")));
        restart();
        onFx(() -> {
            desk.openMatch(any.id());
            shell.go(1);
            return null;
        });
        await("what was read is still known", () -> {
            ListView<?> again = find("#scored-list");
            return again.getItems().size() == 2;
        });
        assertThat(find("#scored").isVisible()).isFalse();
    }
}
