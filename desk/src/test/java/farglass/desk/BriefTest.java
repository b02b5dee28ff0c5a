package farglass.desk;

import static org.assertj.core.api.Assertions.assertThat;

import farglass.desk.brief.BriefSheet;
import farglass.film.FilmFile;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.store.Library;
import farglass.time.ClockMap;
import farglass.time.Segment;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The briefing of the demo's plan that was fought, with the film of one short match. */
class BriefTest extends DeskDriver {
    private static final long LONG = 90;
    private static final long LENGTH = 37_000;
    private static final String MATCH = "harrow-spring-cup-2030-02-15-ansa-brisa";
    private static byte[] drawn;

    @Override
    void fill(Library library) throws Exception {
        Demo.fill(library);
        MatchRecord r = library.match(MATCH).orElseThrow();
        ClockMap map = ClockMap.of(List.of(Segment.live(0, LENGTH, 0)));
        Path film = folder.resolve("films/short.mp4");
        Files.createDirectories(film.getParent());
        if (drawn == null) {
            new Footage(320, 180, 25).make(r, map, Lexicon.builtIn(), film, x -> {}, () -> false);
            drawn = Files.readAllBytes(film);
        }
        Files.write(film, drawn);
        library.apply(MATCH, new Edit.SetFilms(r.films(), List.of(FilmRef.of("films/short.mp4", LENGTH, map))));
    }

    private BriefSheet open() throws Exception {
        assign("saltmarsh-2030");
        press(KeyCode.CONTROL, KeyCode.DIGIT6);
        press(KeyCode.ALT, KeyCode.B);
        await("the sheet is there", () -> scene.lookup("#brief-sheet") != null);
        await("slides are there", LONG, () -> texts().anyMatch(t -> t.equals("Posture out at once")));
        return (BriefSheet) find("#brief-sheet");
    }

    private Stream<String> texts() {
        return find("#brief-sheet").lookupAll(".label").stream()
                .map(n -> ((Labeled) n).getText())
                .filter(java.util.Objects::nonNull);
    }

    private String slide() {
        return ((Labeled) find("#slide-text")).getText();
    }

    @Test
    void slidesAreLeftOutMovedAndShown() throws Exception {
        open();
        onFx(() -> {
            ((CheckBox) find("#brief-sheet").lookupAll(".check-box").stream()
                            .filter(b -> "show: Posture out at once".equals(b.getAccessibleText()))
                            .findFirst()
                            .orElseThrow())
                    .fire();
            return null;
        });
        await("it is left out", () -> desk.plan().get().brief().hidden().size() == 1);
        onFx(() -> {
            TextField f = (TextField) find("#brief-sheet").lookupAll(".text-field").stream()
                    .findFirst()
                    .orElseThrow();
            f.setText("Good morning");
            f.fireEvent(new javafx.event.ActionEvent());
            return null;
        });
        await("a note is kept", () -> desk.plan().get().brief().notes().containsKey("title"));
        await(
                "and shown",
                () -> find("#brief-sheet").lookupAll(".text-field").stream()
                        .anyMatch(f -> ((TextField) f).getText().equals("Good morning")));
        fire("#brief-play");
        await("it lies over the window", () -> scene.lookup("#brief-show") != null);
        assertThat(slide()).isEqualTo("Brisa Tolendt");
        press(KeyCode.N);
        assertThat(find("#slide-notes").isVisible()).isTrue();
        press(KeyCode.RIGHT);
        assertThat(slide()).as("the opponent first").startsWith("Pulls guard");
        for (int i = 0; i < 6 && !slide().equals("Double leg before she sits"); i++) {
            press(KeyCode.RIGHT);
        }
        assertThat(slide()).isEqualTo("Double leg before she sits");
        press(KeyCode.SPACE);
        assertThat(slide()).isEqualTo("Guard pull to lasso");
        press(KeyCode.DOWN);
        press(KeyCode.LEFT);
        assertThat(slide()).isEqualTo("Double leg before she sits");
        press(KeyCode.END);
        assertThat(slide()).startsWith("Patience:");
        press(KeyCode.ESCAPE);
        await("it is over", () -> scene.lookup("#brief-show") == null);
    }

    @Test
    void itIsWrittenAsFilmPaperAndPage() throws Exception {
        BriefSheet sheet = open();
        onFx(() -> {
            sheet.writeFilm(folder.resolve("brief.mp4"));
            return null;
        });
        await("the film is written", LONG, () -> notice0("brief.mp4"));
        try (FilmFile film = FilmFile.open(folder.resolve("brief.mp4"))) {
            assertThat(film.info().width()).isEqualTo(1280);
            assertThat(film.info().height()).isEqualTo(720);
            assertThat(film.info().durationMs()).isGreaterThan(8000);
        }
        onFx(() -> {
            sheet.writePdf(folder.resolve("brief.pdf"));
            return null;
        });
        await("the pages are written", LONG, () -> notice0("brief.pdf"));
        assertThat(Files.size(folder.resolve("brief.pdf"))).isGreaterThan(20_000);
        onFx(() -> {
            sheet.writeHtml(folder.resolve("brief.html"));
            return null;
        });
        await("the page is written", LONG, () -> notice0("brief.html"));
        String page = Files.readString(folder.resolve("brief.html"));
        assertThat(page).contains("Guard pull to lasso", "src=\"brief-clips/01.mp4\"", "Tap early");
        try (Stream<Path> clips = Files.list(folder.resolve("brief-clips"))) {
            List<Path> all = clips.toList();
            assertThat(all).isNotEmpty();
            for (Path clip : all) {
                assertThat(page).contains("brief-clips/" + clip.getFileName());
            }
        }
    }

    @Test
    void whatIsCancelledLeavesNothing() throws Exception {
        BriefSheet sheet = open();
        onFx(() -> {
            sheet.writeHtml(folder.resolve("brief.html"));
            return null;
        });
        await("it is being written", () -> desk.status().name().get().equals("Writing the briefing"));
        onFx(() -> {
            desk.tasks().cancelLongTask();
            return null;
        });
        await("it has stopped", LONG, () -> desk.status().name().get().isEmpty());
        assertThat(folder.resolve("brief.html")).doesNotExist();
        assertThat(folder.resolve("brief-clips")).doesNotExist();
    }

    @Test
    void namelessNobodyIsNamed() throws Exception {
        open();
        fire("#brief-nameless");
        await("it is kept", () -> desk.plan().get().brief().nameless());
        await("nobody is named", () -> texts().noneMatch(t -> t.contains("Tolendt")));
        onFx(() -> {
            find("#brief-sheet").lookupAll(".button").stream()
                    .map(Button.class::cast)
                    .filter(b -> "Close".equals(b.getText()))
                    .findFirst()
                    .orElseThrow()
                    .fire();
            return null;
        });
        await("it is closed", () -> scene.lookup("#brief-sheet") == null);
    }

    @Test
    void aDrillStopsAtTheTriggerIsAnsweredByKeyAndRemembered() throws Exception {
        open();
        press(KeyCode.CONTROL, KeyCode.DIGIT7);
        await(
                "the camp is there",
                LONG,
                () -> scene.lookup("#skill-triangle-theirs") != null
                        || find("#camp-minutes").lookup(".skill-row") != null);
        onFx(() -> {
            ((javafx.scene.control.ToggleButton) find("#camp-page-drills")).fire();
            return null;
        });
        await("drills are there", () -> scene.lookup("#drill-next") != null);
        fire("#drill-next");
        awaitNotice("Type who learns first");
        onFx(() -> {
            ((TextField) find("#drill-person")).setText("Ilse");
            return null;
        });
        fire("#drill-next");
        await("it asks", () -> !((Labeled) find("#drill-question")).getText().isEmpty());
        assertThat(find("#drill-choices").lookupAll(".button").size()).isBetween(2, 4);
        robot.push(KeyCode.DIGIT1);
        await(
                "it judges",
                () -> ((Labeled) find("#drill-verdict")).getText().matches("(Right|No).*tomorrow.*|Right.*"));
        String book = desk.preferences().get("drill.book.Ilse").orElseThrow();
        assertThat(farglass.drill.DrillBook.read(book).lines()).hasSize(1);
        fire("#drill-next");
        robot.push(KeyCode.DIGIT2);
        await(
                "a second is kept",
                () -> farglass.drill.DrillBook.read(desk.preferences()
                                        .get("drill.book.Ilse")
                                        .orElseThrow())
                                .lines()
                                .size()
                        == 2);
        restart();
        assertThat(desk.preferences().get("drill.book.Ilse"))
                .as("it outlives the window")
                .isPresent();
    }

    private boolean notice0(String part) {
        return ((Labeled) scene.lookup("#notice .notice-text")).getText().contains(part);
    }
}
