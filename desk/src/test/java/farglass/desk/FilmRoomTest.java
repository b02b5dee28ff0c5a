package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.film.FilmProbe;
import farglass.desk.film.FilmStation;
import farglass.desk.player.FilmView;
import farglass.film.FilmFile;
import farglass.film.FilmInfo;
import farglass.film.studio.Footage;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.RecordKind;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.time.ClockMap;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The film room: several films of a match, a nearer look, passes, reels, comparison, speaking. */
class FilmRoomTest extends DeskDriver {
    private static final long LENGTH = 12_000;
    /** Films drawn before, by the length of their blank beginning. */
    private static final Map<Long, byte[]> DRAWN = new HashMap<>();

    private Path first;

    private MatchRecord record() {
        return desk.openRecord().get();
    }

    private FilmStation station() {
        return (FilmStation) shell.station(1);
    }

    private FilmView view() {
        return find("#film");
    }

    /** A film whose first second is not of the match. */
    private Path film(String name, long blank) throws Exception {
        Path path = folder.resolve(name);
        ClockMap map =
                ClockMap.of(List.of(Segment.blank(0, blank, Segment.Kind.OTHER), Segment.live(blank, LENGTH, 0)));
        if (!DRAWN.containsKey(blank)) {
            new Footage(320, 180, 25).make(desk.matches().get(0), map, desk.lexicon(), path, x -> {}, () -> false);
            DRAWN.put(blank, Files.readAllBytes(path));
        }
        return Files.write(path, DRAWN.get(blank));
    }

    /** A match with a film of its own, its clock set, on screen. */
    @BeforeEach
    void openFilm() throws Exception {
        first = film("first.mp4", 1000);
        MatchRecord any = desk.matches().get(0);
        onFx(() -> {
            desk.openMatch(any.id());
            desk.edit(new Edit.SetFilms(any.films(), List.of()));
            shell.go(1);
            FilmProbe.drop(station(), first);
            return null;
        });
        await(
                "the film is taken",
                () -> record().films().size() == 1 && view().moment().get() != null);
        press(KeyCode.SHIFT, KeyCode.RIGHT);
        await("one second on", () -> view().moment().get().frame() == 25);
        press(KeyCode.F2);
        await("the clock is set", () -> !record().clock().isEmpty());
    }

    private void frame(int n) {
        await(
                "frame " + n,
                () -> view().moment().get() != null && view().moment().get().frame() == n);
    }

    @Test
    void aSecondCameraShowsTheSameMatchMoment() throws Exception {
        Path second = film("second.mp4", 3000);
        onFx(() -> {
            FilmProbe.drop(station(), second);
            return null;
        });
        await(
                "another film",
                () -> record().films().size() == 2 && view().moment().get() != null);
        assertThat(record().films().get(1).sha256())
                .hasSize(64)
                .isNotEqualTo(record().films().get(0).sha256());
        frame(0);
        for (int i = 0; i < 3; i++) {
            press(KeyCode.SHIFT, KeyCode.RIGHT);
        }
        frame(75);
        press(KeyCode.F2);
        await("its clock is set", () -> !record().films().get(1).map().isEmpty());
        assertThat(record().clock().matchTime(farglass.time.FilmTime.ofMs(1000)))
                .contains(MatchTime.ZERO);
        press(KeyCode.CONTROL, KeyCode.RIGHT);
        frame(200);
        press(KeyCode.ALT, KeyCode.A);
        frame(150);
        press(KeyCode.ALT, KeyCode.A);
        frame(200);
        press(KeyCode.ALT, KeyCode.SHIFT, KeyCode.A);
        await("taken away again", () -> record().films().size() == 1);
        assertThat(second).exists();
        press(KeyCode.CONTROL, KeyCode.Z);
        await("and brought back", () -> record().films().size() == 2);
    }

    @Test
    void aLostFilmIsFoundByItsChecksumAndKeepsItsClock() throws Exception {
        Path elsewhere = Files.createDirectories(folder.resolve("moved/deep"));
        ClockMap clock = record().clock();
        String id = record().id();
        String other = desk.matches().get(1).id();
        onFx(() -> {
            desk.openMatch(other);
            return null;
        });
        Files.move(first, elsewhere.resolve("renamed.mp4"));
        Files.writeString(elsewhere.resolve("broken.mp4"), "not a film");
        onFx(() -> {
            desk.openMatch(id);
            return null;
        });
        await(
                "it says what is missing",
                () -> labels(view()).anyMatch(t -> t.contains("is not there. The tags are kept")));
        onFx(() -> {
            FilmProbe.drop(station(), folder.resolve("moved"));
            return null;
        });
        await("found", () -> view().moment().get() != null);
        assertThat(record().films().get(0).file()).endsWith("renamed.mp4");
        assertThat(record().clock()).isEqualTo(clock);
        assertThat(notice()).startsWith("1 of 1 missing films");
    }

    private static Stream<String> labels(Node root) {
        return root.lookupAll(".label").stream().map(n -> ((Labeled) n).getText());
    }

    @Test
    void aKeyIsGivenOtherWorkAndKeepsItAfterARestart() throws Exception {
        press(KeyCode.F1);
        chooseKey("sound off or on");
        press(KeyCode.K);
        assertThat(onFx(() -> ((Labeled) find("#keys-how")).getText())).startsWith("Letters and digits are for typing");
        chooseKey("sound off or on");
        press(KeyCode.F3);
        assertThat(onFx(() -> ((Labeled) find("#keys-how")).getText())).contains("is taken: the next draft");
        chooseKey("sound off or on");
        press(KeyCode.CONTROL, KeyCode.B);
        press(KeyCode.F1);
        press(KeyCode.CONTROL, KeyCode.B);
        assertThat(view().muted().get()).isTrue();
        await("kept", () -> desk.library().setting("key.station.film.keys.mute").isPresent());
        restart();
        onFx(() -> {
            shell.go(1);
            return null;
        });
        assertThat(station().keys().lines().stream().filter(l -> l.does().equals("sound off or on")))
                .extracting(l -> l.keys())
                .containsExactly("Ctrl+B");
        press(KeyCode.F1);
        fire("#keys-usual");
        assertThat(station().keys().lines()).extracting(l -> l.keys()).contains("Alt+S");
    }

    private void chooseKey(String does) throws Exception {
        onFx(() -> {
            ((ButtonBase) find("#key-sheet").lookupAll(".key-choice").stream()
                            .filter(n -> n.getAccessibleText().endsWith(": " + does))
                            .findFirst()
                            .orElseThrow())
                    .fire();
            return null;
        });
    }

    @Test
    void theSecondPassAsksAndDigitsAnswer() throws Exception {
        phrase("b double leg left");
        int index = indexOf("double-leg", Side.LEFT);
        onFx(() -> {
            station().show(index);
            find("#phrase").requestFocus();
            return null;
        });
        press(KeyCode.F5);
        await("asked how far", () -> labels(shell.view()).anyMatch("HOW FAR?"::equals));
        robot.write("2", 0);
        await("answered", () -> ((Tag.Action) record().tags().get(index)).reached() != null);
        assertThat(((Tag.Action) record().tags().get(index)).reached()).isEqualTo(2);
        await("asked on", () -> labels(shell.view()).anyMatch("ANSWERED HOW?"::equals));
        assertThat(labels(shell.view()).anyMatch(t -> t.matches(".*second pass \\d+ of \\d+")))
                .isTrue();
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> ((Tag.Action) record().tags().get(index)).reached() == null);
        press(KeyCode.F5);
        await("the first pass again", () -> labels(shell.view()).anyMatch(t -> t.contains("first pass to")));
    }

    private int indexOf(String technique, Side side) {
        for (int i = 0; i < record().tags().size(); i++) {
            if (record().tags().get(i) instanceof Tag.Action a
                    && a.technique().equals(technique)
                    && a.reached() == null
                    && a.side() == side) {
                return i;
            }
        }
        throw new AssertionError("no " + technique);
    }

    @Test
    void theClockMapIsCorrectedByHand() throws Exception {
        press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.M);
        await("the map is there", () -> scene.lookup("#map-sheet") != null);
        int segments = record().clock().segments().size();
        int live = segments - 1;
        fire("#map-split-" + live);
        set("#map-from-" + segments, "0:05.5");
        set("#map-at-" + segments, "0:06.5");
        set("#map-from-" + segments, "0:00.1");
        assertThat(onFx(() -> ((Labeled) find("#map-problem")).getText())).contains("does not fit here");
        fire("#map-accept");
        await("taken", () -> record().clock().segments().size() == segments + 1);
        Segment second = record().clock().segments().get(segments);
        assertThat(second.from().ms()).isEqualTo(5500);
        assertThat(second.at().ms()).isEqualTo(6500);
        press(KeyCode.CONTROL, KeyCode.Z);
        await("undone at once", () -> record().clock().segments().size() == segments);
    }

    private void set(String field, String text) throws Exception {
        onFx(() -> {
            TextField f = find(field);
            f.setText(text);
            f.fireEvent(new javafx.event.ActionEvent());
            return null;
        });
    }

    @Test
    void theReactionIsMeasuredFromTheMiddleOfSevenAnswers() throws Exception {
        assertThat(onFx(() -> FilmProbe.react(50, 210, 250, 300, 3000, 190, 240, 900, 260)))
                .as("one too early and one too late do not count")
                .isEqualTo(250);
        assertThat(desk.preferences().reactionMs()).isEqualTo(300);
        press(KeyCode.F7);
        await("the exercise is there", () -> scene.lookup("#reaction-sheet") != null);
        press(KeyCode.ESCAPE);
        await("and away", () -> scene.lookup("#reaction-sheet") == null);
    }

    @Test
    void thePictureIsLookedAtMoreNearly() throws Exception {
        double whole = onFx(() -> view().pictureBounds().getWidth());
        press(KeyCode.CONTROL, KeyCode.EQUALS);
        press(KeyCode.CONTROL, KeyCode.EQUALS);
        await("larger", () -> view().pictureBounds().getWidth() > 1.9 * whole);
        double x = onFx(() -> view().pictureBounds().getMinX());
        press(KeyCode.CONTROL, KeyCode.ALT, KeyCode.RIGHT);
        await("moved", () -> view().pictureBounds().getMinX() < x - 10);
        press(KeyCode.CONTROL, KeyCode.DIGIT0);
        await("whole again", () -> Math.abs(view().pictureBounds().getWidth() - whole) < 0.01);
        press(KeyCode.F6);
        awaitNotice("Written: ");
        assertThat(files("stills", ".png")).hasSize(1);
    }

    private List<Path> files(String below, String ending) throws IOException {
        Path dir = folder.resolve(below);
        if (!Files.isDirectory(dir)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(dir)) {
            return all.filter(p -> p.toString().endsWith(ending)).toList();
        }
    }

    @Test
    void aReelIsPutTogetherFromTags() throws Exception {
        phrase("a double leg left 2");
        await(
                "tagged",
                () -> record().tags().stream()
                        .anyMatch(t -> t instanceof Tag.Action a
                                && a.reached() != null
                                && a.reached() == 2
                                && a.technique().equals("double-leg")));
        press(KeyCode.F8);
        await("the sheet is there", () -> scene.lookup("#reel-sheet") != null);
        set("#reel-query", "moon sweep");
        assertThat(told()).contains("\"moon\" is neither");
        set("#reel-query", "double legs left 2+");
        fire("#reel-only-open");
        await("found", () -> ((Labeled) find("#reel-told")).getText().matches("[1-9]\\d* moments, .* in the reel\\."));
        fire("#reel-nameless");
        fire("#reel-write");
        awaitNotice("Written: ");
        List<Path> reels = files("reels", ".mp4");
        assertThat(reels).hasSize(1);
        String list = Files.readString(files("reels", ".json").get(0));
        assertThat(list)
                .contains("double leg")
                .doesNotContain(record().details().a().surname());
    }

    private String told() throws Exception {
        return onFx(() -> ((Labeled) find("#reel-told")).getText());
    }

    @Test
    void twoMomentsStandSideBySide() throws Exception {
        press(KeyCode.F9);
        awaitNotice("This moment is held");
        press(KeyCode.CONTROL, KeyCode.RIGHT);
        frame(150);
        press(KeyCode.F9);
        await("the two are laid out", () -> pairFrames().equals(List.of(25, 150)));
        press(KeyCode.RIGHT);
        await("both a frame on", () -> pairFrames().equals(List.of(26, 151)));
        press(KeyCode.SHIFT, KeyCode.RIGHT);
        await("the right one alone", () -> pairFrames().equals(List.of(26, 152)));
        press(KeyCode.PERIOD);
        await("both a second on, as far apart", () -> pairFrames().equals(List.of(51, 177)));
        press(KeyCode.HOME);
        await("aligned again", () -> pairFrames().equals(List.of(25, 150)));
        press(KeyCode.ESCAPE);
        await("away", () -> scene.lookup("#pair-sheet") == null);
    }

    private List<Integer> pairFrames() {
        Node sheet = scene.lookup("#pair-sheet");
        return sheet == null
                ? List.of()
                : sheet.lookupAll("#film").stream()
                        .map(n -> Optional.ofNullable(((FilmView) n).moment().get())
                                .map(FilmView.Moment::frame)
                                .orElse(-1))
                        .toList();
    }

    @Test
    void aBreakdownIsSpokenKeptAndWrittenWithItsVoice() throws Exception {
        robot.interact(() -> find("#phrase").requestFocus());
        robot.write("watch the elbow", 0);
        press(KeyCode.F10);
        await("speaking", () -> labels(shell.view()).anyMatch(t -> t.startsWith("speaking, ")));
        press(KeyCode.PERIOD);
        frame(100);
        press(KeyCode.F10);
        awaitNotice("The breakdown is kept");
        assertThat(files("talks", ".wav")).hasSize(1);
        assertThat(Files.readString(files("talks", ".json").get(0))).contains("watch the elbow");
        press(KeyCode.SHIFT, KeyCode.F10);
        awaitNotice("Written: ");
        try (FilmFile written = FilmFile.open(files("reels", ".mp4").get(0))) {
            FilmInfo info = written.info();
            assertThat(info.audio()).isTrue();
            assertThat(info.durationMs()).isGreaterThan(2500);
        }
    }

    @Test
    void aRecordSaysWhatKindItIs() throws Exception {
        assertThat(record().kind()).isEqualTo(RecordKind.MATCH);
        onFx(() -> {
            desk.edit(new Edit.SetKind(RecordKind.MATCH, RecordKind.ROUND));
            return null;
        });
        await("it says so", () -> labels(shell.view()).anyMatch(t -> t.startsWith("training round, ")));
        await("kept", () -> desk.library().match(record().id()).orElseThrow().kind() == RecordKind.ROUND);
        press(KeyCode.CONTROL, KeyCode.Z);
        await("taken back", () -> record().kind() == RecordKind.MATCH);
    }
}
