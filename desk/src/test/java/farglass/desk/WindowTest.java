package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import farglass.desk.assignment.AssignmentProbe;
import farglass.desk.film.FilmStation;
import farglass.desk.player.FilmView;
import farglass.desk.shell.Keys;
import farglass.film.studio.Footage;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.store.json.MatchJson;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.Segment;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;

/** What the window does with keys, with bad input, and with changes of mind. */
class WindowTest extends DeskDriver {
    private MatchRecord record() {
        return desk.openRecord().get();
    }

    private Set<String> texts(Node root) {
        return Stream.of(".label", ".button")
                .flatMap(kind -> root.lookupAll(kind).stream())
                .map(n -> ((Labeled) n).getText())
                .collect(Collectors.toSet());
    }

    @Test
    void theKeySheetShowsTheRealBindingsOfTheStation() throws Exception {
        press(KeyCode.CONTROL, KeyCode.DIGIT2);
        press(KeyCode.F1);
        Set<String> shown = onFx(() -> texts(find("#key-sheet")));
        for (Keys.Line line : ((FilmStation) shell.station(1)).keys().lines()) {
            assertThat(shown).contains(line.keys(), line.does());
        }
        press(KeyCode.F1);
        assertThat(onFx(() -> scene.lookup("#key-sheet"))).isNull();
    }

    @Test
    void aMatchWithoutFilmIsTaggedAlongTheTideLine() throws Exception {
        MatchRecord bare = desk.matches().stream()
                .filter(r -> r.films().isEmpty())
                .findFirst()
                .orElseThrow();
        onFx(() -> {
            desk.openMatch(bare.id());
            shell.go(1);
            return null;
        });
        int before = record().tags().size();
        phrase("a double leg 2");
        await("a tag more", () -> record().tags().size() == before + 1);
        assertThat(record().tags().stream()
                        .filter(t ->
                                t instanceof Tag.Action x && x.technique().equals("double-leg") && x.t().ms() == 0))
                .isNotEmpty();
        press(KeyCode.CONTROL, KeyCode.Z);
        await("undone", () -> record().equals(bare));
        // at the mat side: the clock runs, phrases are stamped from it, it stands again
        press(KeyCode.CONTROL, KeyCode.RIGHT);
        press(KeyCode.SPACE);
        await("the clock runs", () -> texts(shell.view()).stream().anyMatch(x -> x.endsWith("running")));
        phrase("note a late start");
        await(
                "stamped from the clock",
                () -> record().tags().stream().anyMatch(t -> t instanceof Tag.Remark && t.t().ms() >= 4_500));
        press(KeyCode.SPACE);
        await("it stands", () -> texts(shell.view()).stream().anyMatch(x -> x.endsWith("standing")));
    }

    @Test
    void aTagIsNudgedSplitCorrectedAndDeletedByKeysAndAllOfItUndone() throws Exception {
        MatchRecord first = record();
        press(KeyCode.CONTROL, KeyCode.DIGIT2);
        int at = 0;
        while (!(first.tags().get(at) instanceof Tag.Action)) {
            at++;
        }
        int index = at;
        onFx(() -> {
            ((FilmStation) shell.station(1)).show(index);
            find("#phrase").requestFocus();
            return null;
        });
        long t = first.tags().get(index).t().ms();
        press(KeyCode.ALT, KeyCode.SHIFT, KeyCode.RIGHT);
        await(
                "nudged a second on",
                () -> record().tags().stream().anyMatch(x -> x instanceof Tag.Action && x.t().ms() == t + 1000));
        press(KeyCode.ALT, KeyCode.LEFT);
        await(
                "and a frame back",
                () -> record().tags().stream().anyMatch(x -> x instanceof Tag.Action && x.t().ms() == t + 960));
        press(KeyCode.CONTROL, KeyCode.E);
        String typed = onFx(() -> ((TextField) find("#phrase")).getText());
        assertThat(typed).startsWith(((Tag.Action) first.tags().get(index)).by().code() + " ");
        robot.write(" ?", 0);
        press(KeyCode.ENTER);
        await(
                "marked unsure",
                () -> record().tags().stream()
                        .anyMatch(x -> x.t().ms() == t + 960 && x.info().unsure()));
        int size = record().tags().size();
        int doubted = 0;
        while (!record().tags().get(doubted).info().unsure()) {
            doubted++;
        }
        Tag before1 = record().tags().get(doubted - 1);
        press(KeyCode.PAGE_UP);
        press(KeyCode.DELETE);
        await(
                "the tag before it is deleted",
                () -> record().tags().size() == size - 1 && !record().tags().contains(before1));
        for (int i = 0; i < 4; i++) {
            MatchRecord before = record();
            press(KeyCode.CONTROL, KeyCode.Z);
            await("one step back", () -> !record().equals(before));
        }
        assertThat(record()).isEqualTo(first);
    }

    @Test
    void badFilesChangeNothingAndGiveOneMessage() throws Exception {
        List<MatchRecord> before = List.copyOf(desk.matches());
        Path broken = Files.writeString(folder.resolve("broken.match.json"), "{\"format\": \"farglass.match/1\"}");
        AssignmentProbe probe = new AssignmentProbe(shell.station(0));
        onFx(() -> {
            probe.take(List.of(broken));
            return null;
        });
        awaitNotice("Nothing was taken in");
        assertThat(notice()).contains("broken.match.json").contains("/id");
        Path known = Files.writeString(folder.resolve("known.match.json"), MatchJson.write(before.get(0)));
        onFx(() -> {
            probe.take(List.of(known));
            return null;
        });
        awaitNotice("in the library already");
        assertThat(desk.matches()).isEqualTo(before);
    }

    @Test
    void aBrokenFilmIsRefusedInTheFormAndNoMatchIsMade() throws Exception {
        Path film = Files.writeString(folder.resolve("broken.mp4"), "not a film");
        int before = desk.matches().size();
        onFx(() -> {
            new AssignmentProbe(shell.station(0)).take(List.of(film));
            return null;
        });
        settle();
        assertThat(onFx(() -> ((TextField) find("#form-film")).getText())).isEqualTo(film.toString());
        fire("#form-keep");
        assertThat(onFx(() -> ((Labeled) find("#form-problem")).getText())).contains("Two different names");
        onFx(() -> {
            ((javafx.scene.control.ComboBox<?>) find("#form-a")).getEditor().setText("One");
            ((javafx.scene.control.ComboBox<?>) find("#form-b")).getEditor().setText("Two");
            return null;
        });
        fire("#form-keep");
        await(
                "the form says why",
                () -> ((Labeled) find("#form-problem")).getText().contains("broken.mp4"));
        assertThat(desk.matches()).hasSize(before);
    }

    @Test
    void aWriteThatFailsShowsWhatIsKept() throws Exception {
        MatchRecord first = record();
        onFx(() -> {
            desk.library().close();
            desk.edit(Edit.remove(first, first.tags().size() - 1));
            return null;
        });
        await("a problem is told", () -> scene.lookup("#notice").isVisible());
        assertThat(notice()).isNotBlank();
    }

    @Test
    void aRemovedMatchIsPutBack() throws Exception {
        int before = desk.matches().size();
        onFx(() -> {
            ((ListView<?>) find("#matches")).getSelectionModel().select(0);
            return null;
        });
        fire("#matches-remove");
        await("it is gone from the list", () -> desk.matches().size() == before - 1);
        fire("#removed .choice");
        await("it is back", () -> desk.matches().size() == before);
    }

    @Test
    void untaggedFilmsArePutInOrderAndOpened() throws Exception {
        fire("#matches-study");
        await(
                "nothing to watch, and it says so",
                () -> texts(find("#study-sheet")).stream().anyMatch(x -> x.contains("is tagged")));
        fire("#study-sheet .quiet");
        MatchRecord like = desk.matches().stream()
                .filter(r -> r.cornerOf(desk.profiled().get()).isPresent())
                .findFirst()
                .orElseThrow();
        onFx(() -> {
            MatchRecord fresh = MatchRecord.of("fresh", like.details().result(null), List.of(), List.of());
            desk.addMatches(List.of(fresh), () -> {});
            return null;
        });
        await("added", () -> desk.match("fresh").isPresent());
        fire("#matches-study");
        await(
                "it is listed with its reason",
                () -> texts(find("#study-sheet")).stream().anyMatch(x -> x.startsWith("helps most with: ")));
        fire("#study-sheet .choice");
        await("it is open", () -> record().id().equals("fresh"));
    }

    @Test
    void aFilterLeavesFewerMatchesAndSaysHowMany() throws Exception {
        toClaims();
        long all = desk.matches().stream()
                .filter(r -> r.cornerOf(desk.profiled().get()).isPresent())
                .count();
        long gi = desk.matches().stream()
                .filter(r -> r.cornerOf(desk.profiled().get()).isPresent()
                        && "gi".equals(r.details().attire()))
                .count();
        assertThat(gi).isLessThan(all);
        await("all are counted", () -> texts(shell.view()).stream().anyMatch(x -> x.startsWith(all + " matches, ")));
        fire("#attire-gi");
        await("only gi is counted", () -> texts(shell.view()).stream().anyMatch(x -> x.startsWith(gi + " matches, ")));
    }

    @Test
    void theMatchClockIsReadFromABoxDrawnRoundIt() throws Exception {
        MatchRecord any = desk.matches().get(0);
        ClockMap truth =
                ClockMap.of(List.of(Segment.blank(0, 2000, Segment.Kind.OTHER), Segment.live(2000, 24_000, 0)));
        Path path = folder.resolve("clock.mp4");
        new Footage(480, 270, 25).make(any, truth, desk.lexicon(), path, x -> {}, () -> false);
        onFx(() -> {
            desk.openMatch(any.id());
            FilmRef film = FilmRef.of(path.toString(), 24_000L, ClockMap.EMPTY);
            desk.edit(new Edit.SetFilms(any.films(), List.of(film)));
            shell.go(1);
            return null;
        });
        FilmView view = (FilmView) onFx(() -> find("#film"));
        await("the film is open", () -> view.moment().get() != null);
        loopReviewAndMeasure(view);
        drawARingAndTakeItBack();
        drawALineByKeys();
        press(KeyCode.CONTROL, KeyCode.M);
        await("the clock is found and a map proposed", () -> scene.lookup("#map-sheet") != null);
        press(KeyCode.ESCAPE);
        await("it is refused", () -> scene.lookup("#map-sheet") == null);
        press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.M);
        Bounds b =
                onFx(() -> find("#clock-veil").localToScreen(find("#clock-veil").getBoundsInLocal()));
        double scale = Math.min(b.getWidth() / 480, b.getHeight() / 270);
        double x = b.getMinX() + (b.getWidth() - 480 * scale) / 2;
        double y = b.getMinY() + (b.getHeight() - 270 * scale) / 2;
        robot.drag(x + 404 * scale, y + 238 * scale, MouseButton.PRIMARY);
        robot.dropTo(x + 474 * scale, y + 264 * scale);
        await("a map is proposed", () -> scene.lookup("#map-sheet") != null);
        press(KeyCode.ENTER);
        await("it is taken", () -> !record().clock().isEmpty());
        long at =
                record().clock().matchTime(FilmTime.ofMs(12_000)).orElseThrow().ms();
        assertThat(at).isBetween(9_850L, 10_150L);
        press(KeyCode.CONTROL, KeyCode.Z);
        await("undo takes it back", () -> record().clock().isEmpty());
    }

    private void drawARingAndTakeItBack() throws Exception {
        press(KeyCode.ALT, KeyCode.DIGIT3);
        Bounds b = onFx(() -> find("#sketch").localToScreen(find("#sketch").getBoundsInLocal()));
        robot.drag(b.getCenterX() - 50, b.getCenterY() - 40, MouseButton.PRIMARY);
        robot.dropTo(b.getCenterX() + 50, b.getCenterY() + 40);
        await("the ring is kept", () -> Drawings.of(record().films().get(0)).size() == 1);
        Drawing.Mark ring = Drawings.of(record().films().get(0)).get(0).marks().get(0);
        assertThat(ring.kind()).isEqualTo(Drawing.Kind.RING);
        assertThat(ring.x1() + ring.x2()).isCloseTo(1, within(0.02));
        assertThat(ring.who()).isEqualTo(desk.amber(record()));
        press(KeyCode.CONTROL, KeyCode.Z);
        await(
                "undo takes the ring away",
                () -> Drawings.of(record().films().get(0)).isEmpty());
    }

    private void drawALineByKeys() throws Exception {
        press(KeyCode.ALT, KeyCode.DIGIT2);
        press(KeyCode.LEFT);
        press(KeyCode.CONTROL, KeyCode.ENTER);
        press(KeyCode.RIGHT);
        press(KeyCode.RIGHT);
        press(KeyCode.DOWN);
        press(KeyCode.ENTER);
        await("the line is kept", () -> Drawings.of(record().films().get(0)).size() == 1);
        Drawing.Mark line = Drawings.of(record().films().get(0)).get(0).marks().get(0);
        assertThat(line.kind()).isEqualTo(Drawing.Kind.LINE);
        assertThat(line.x1()).isLessThan(0.5);
        assertThat(line.x2()).isGreaterThan(0.5).isCloseTo(1 - line.x1(), within(0.001));
        assertThat(line.y2()).isGreaterThan(line.y1());
        assertThat(line.who()).isEqualTo(desk.amber(record()).other());
        press(KeyCode.CONTROL, KeyCode.Z);
        await("undo takes it away", () -> Drawings.of(record().films().get(0)).isEmpty());
    }

    private void loopReviewAndMeasure(FilmView view) throws Exception {
        press(KeyCode.PERIOD);
        await("three seconds on", () -> view.moment().get().frame() == 75);
        press(KeyCode.EQUALS);
        press(KeyCode.RIGHT);
        await("one frame on", () -> view.moment().get().frame() == 76);
        await(
                "the stopwatch says so",
                () -> texts(shell.view()).stream().anyMatch(x -> x.contains("watch +0.04 s film")));
        press(KeyCode.EQUALS);
        await("and is put away", () -> texts(shell.view()).stream().noneMatch(x -> x.contains("watch ")));
        press(KeyCode.SLASH);
        await(
                "the review begins slowly",
                () -> view.playing().get() && view.speed().get() == 0.25);
        press(KeyCode.LEFT);
        await(
                "a step ends it at the old speed",
                () -> !view.playing().get() && view.speed().get() == 1);
        press(KeyCode.OPEN_BRACKET);
        press(KeyCode.CONTROL, KeyCode.RIGHT);
        await("five seconds on", () -> view.moment().get().frame() > 150);
        int end = view.moment().get().frame();
        press(KeyCode.CLOSE_BRACKET);
        await(
                "the loop plays",
                () -> view.playing().get() && view.moment().get().frame() < end);
        press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
        press(KeyCode.SPACE);
        await("it stands", () -> !view.playing().get());
    }
}
