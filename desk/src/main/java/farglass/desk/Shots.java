package farglass.desk;

import farglass.desk.film.FilmStation;
import farglass.desk.profile.ProfileStation;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Gradual;
import farglass.desk.shell.Words;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.profile.Claim;
import farglass.tendency.Filter;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.util.Duration;
import javax.imageio.ImageIO;

/** Draws the main views from the demo data into PNG files and leaves. */
final class Shots {
    private static final Duration PAUSE = Duration.millis(1600);
    private final Desk desk;
    private final Shell shell;
    private final Scene scene;
    private final Path folder;
    /** Pauses that a page is waited for. */
    private static final int PATIENCE = 200;

    private final Deque<Runnable> steps = new ArrayDeque<>();

    Shots(Desk desk, Shell shell, Scene scene, Path folder) {
        this.desk = desk;
        this.shell = shell;
        this.scene = scene;
        this.folder = folder;
    }

    void run() {
        Demo.films(desk);
        steps.add(() -> {});
        steps.add(() -> picture("assignment"));
        steps.add(this::backUpAndChange);
        steps.add(() -> {});
        steps.add(shell::librarySheet);
        steps.add(() -> {});
        steps.add(() -> {});
        steps.add(() -> picture("library"));
        steps.add(desk::undo);
        steps.add(() -> shell.go(1));
        steps.add(() -> desk.openMatch(withFilm()));
        steps.add(() -> {
            var r = desk.openRecord().get();
            FilmStation film = (FilmStation) shell.station(1);
            film.show(r.tags().size() * 2 / 3);
        });
        steps.add(() -> ((TextField) scene.lookup("#phrase")).setText("b knee cut right near"));
        steps.add(() -> picture("film"));
        steps.add(() -> ((TextField) scene.lookup("#phrase")).clear());
        drafts();
        steps.add(() -> desk.openMatch(withFilm()));
        steps.add(() -> shell.go(2));
        steps.add(() -> {});
        steps.add(() ->
                ((ListView<?>) scene.lookup("#score-own")).getSelectionModel().select(1));
        steps.add(() -> {});
        steps.add(() -> picture("check"));
        steps.add(() -> shell.go(3));
        steps.add(() -> {});
        steps.add(() -> ((ProfileStation) shell.station(3)).playFirst());
        steps.add(() -> picture("profile"));
        page("GAME", "game");
        page("CHART", "chart");
        page("COMPARE", "compare");
        page("CLAIMS", null);
        steps.add(this::layPlan);
        steps.add(() -> shell.go(4));
        until(".row-button");
        steps.add(() -> picture("matchup"));
        steps.add(() -> shell.go(5));
        chip("#plan-page-proposed", null);
        until("#phase-1-0");
        chip("#plan-page-decisions", "gameplan");
        chip("#plan-page-proposed", "plan");
        chip("#plan-page-conduct", "conduct");
        steps.add(() -> ((ButtonBase) scene.lookup("#plan-brief")).fire());
        until("#brief-sheet .skill-row");
        steps.add(() -> picture("briefing"));
        steps.add(() -> shell.go(6));
        steps.add(() -> {});
        steps.add(() -> picture("camp"));
        chip("#camp-page-calendar", "calendar");
        steps.add(() ->
                desk.assignment().set(desk.assignments().get(desk.assignments().size() - 1)));
        steps.add(() -> shell.go(7));
        steps.add(() -> {});
        steps.add(() -> picture("debrief"));
        chip("#debrief-page-forecasts", "forecasts");
        steps.add(Platform::exit);
        waitForFilms();
    }

    /** A backup, and after it a match that is no longer what it was. */
    private void backUpAndChange() {
        MatchRecord r = desk.openRecord().get();
        desk.tasks()
                .command(
                        Words.of("library.backup.name"),
                        () -> desk.library().backUp(null),
                        made -> desk.edit(Edit.remove(r, r.tags().size() - 1)),
                        e -> {});
    }

    private String withFilm() {
        return desk.matches().stream()
                .filter(r -> !r.films().isEmpty()
                        && r.cornerOf(desk.profiled().get()).isPresent()
                        && Files.exists(desk.filmPath(r)))
                .max(java.util.Comparator.comparingInt(r -> r.tags().size()))
                .orElseThrow()
                .id();
    }

    private void waitForFilms() {
        Timeline timer = new Timeline();
        timer.getKeyFrames().add(new KeyFrame(PAUSE, e -> {
            if (desk.status().name().get().isEmpty() && Gradual.settled(scene)) {
                steps.poll().run();
            }
        }));
        timer.setCycleCount(Timeline.INDEFINITE);
        timer.play();
    }

    /** The match that waits, with the first of its drafts in hand. */
    private void drafts() {
        MatchRecord waiting =
                desk.matches().stream().filter(MatchRecord::waiting).findFirst().orElseThrow();
        steps.add(() -> untilFilm(waiting, 4 * PATIENCE));
        steps.add(() -> desk.openMatch(waiting.id()));
        steps.add(() -> {});
        steps.add(() -> ((FilmStation) shell.station(1)).next());
        steps.add(() -> {});
        steps.add(() -> picture("drafts"));
    }

    private void untilFilm(MatchRecord match, int more) {
        if (more > 0 && !Files.exists(desk.filmPath(match))) {
            steps.addFirst(() -> untilFilm(match, more - 1));
        }
    }

    private void page(String name, String picture) {
        steps.add(() -> ((ProfileStation) shell.station(3)).go(name));
        steps.add(() -> {});
        if (picture != null) {
            steps.add(() -> picture(picture));
        }
    }

    private void chip(String id, String picture) {
        steps.add(() -> ((ToggleButton) scene.lookup(id)).fire());
        steps.add(() -> {});
        if (picture != null) {
            steps.add(() -> picture(picture));
        }
    }

    /** Waits until something stands there, or as long as it is worth. */
    private void until(String selector) {
        steps.add(() -> until(selector, PATIENCE));
    }

    private void until(String selector, int more) {
        if (more > 0 && scene.lookup(selector) == null) {
            steps.addFirst(() -> until(selector, more - 1));
        }
    }

    private void layPlan() {
        ProfileStation profile = (ProfileStation) shell.station(3);
        String them = desk.profiled().get();
        desk.changePlan(p -> {
            Plan next = Plan.empty(p.id(), p.title(), p.us(), p.them());
            for (Claim c : profile.claims().stream().limit(5).toList()) {
                next = next.pin(PinnedClaim.of(them, c, desk.claimWriter(), Filter.ALL));
            }
            next = next.open("Collar and sleeve first").follow("f1", "Pulls to lasso");
            next = next.follow("f2", "Strip the sleeve, step back").follow("f2", "Knee cut to the right");
            next = next.follow("f1", "Sits and waits").follow("f5", "Stay standing, circle right");
            PinnedClaim first = next.pinned().get(0);
            PinnedClaim second = next.pinned().get(1);
            next = next.change("f2", f -> f.resting(first)).change("f3", f -> f.resting(second));
            next = next.promise("f2", "collar grip within 10 s of every restart")
                    .promise("", "no pass with their sleeve grip")
                    .promise("", "at least 2 takedowns");
            return next.change("f1", f -> f.text(f.text(), "deny the grip she wants"));
        });
    }

    private void picture(String name) {
        WritableImage shot = scene.snapshot(null);
        int w = (int) shot.getWidth();
        int h = (int) shot.getHeight();
        BufferedImage image = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        PixelReader pixels = shot.getPixelReader();
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                image.setRGB(x, y, pixels.getArgb(x, y));
            }
        }
        try {
            Files.createDirectories(folder);
            ImageIO.write(image, "png", folder.resolve(name + ".png").toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
