package farglass.desk.film;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.map.FilmReadings;
import farglass.film.map.MapProposal;
import farglass.match.MatchRecord;
import farglass.time.Clock;
import farglass.time.ClockMap;
import farglass.work.score.ReadScore;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Rectangle;
import org.jspecify.annotations.Nullable;

/**
 * Finds the clock map of the open film: the user draws a box round the match clock, the program reads it over the whole
 * film and proposes live film, stoppages, cuts and replays; accepted, they become the film's map in one undoable edit.
 */
final class ClockFinder {
    /** Of the mark that shows where the keyboard stands, points. */
    private static final double POINTER = 8;

    private final Desk desk;
    private final FilmView film;
    private final StackPane screen;
    private final Angles angles;
    private final Runnable back;
    private final Scored scored;
    private final Consumer<Boolean> counts;
    private final FilmReadings readings;
    private Pane veil;

    /**
     * @param screen what the film is shown in; the box and the proposal are laid over it
     * @param scored gets the score that was read
     * @param counts gets whether the clock of the open film counts down, once that is known
     * @param back gives the keyboard back to the station
     */
    ClockFinder(
            Desk desk,
            FilmView film,
            Angles angles,
            StackPane screen,
            Scored scored,
            Consumer<Boolean> counts,
            Runnable back) {
        this.scored = scored;
        this.counts = counts;
        this.readings = new FilmReadings(desk.library().folder().resolve("readings"));
        this.angles = angles;
        this.back = back;
        this.desk = desk;
        this.film = film;
        this.screen = screen;
    }

    /** Looks for the clock all over the picture, in the background; while a box is being drawn, gives that up. */
    void begin() {
        if (ready()) {
            find(null);
        }
    }

    /** Whether there is a film to look at; a box that is being drawn is given up instead. */
    private boolean ready() {
        if (veil != null) {
            end();
            return false;
        }
        if (film.info().get() == null) {
            desk.notices().problem(Words.of("clock.no-film"));
            return false;
        }
        film.player().pause();
        return true;
    }

    /** Asks for a box round the clock; asked again, gives it up. */
    void draw() {
        if (!ready()) {
            return;
        }
        desk.notices().done(Words.of("map.draw"));
        Rectangle box = new Rectangle();
        box.getStyleClass().add("clock-box");
        Rectangle pointer = new Rectangle(POINTER, POINTER);
        pointer.getStyleClass().add("clock-box");
        pointer.setVisible(false);
        veil = new Pane(box, pointer);
        veil.setId("clock-veil");
        veil.getStyleClass().add("clock-veil");
        veil.setFocusTraversable(true);
        KeyPointer.Target drawing = new Boxing(box, pointer);
        veil.setOnMousePressed(e -> drawing.press(new Point2D(e.getX(), e.getY()), true));
        veil.setOnMouseDragged(e -> drawing.drag(new Point2D(e.getX(), e.getY())));
        veil.setOnMouseReleased(e -> drawing.release(new Point2D(e.getX(), e.getY())));
        KeyPointer keys = new KeyPointer(film.pictureBounds(), drawing);
        veil.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                end();
                e.consume();
            } else {
                keys.handle(e, film.pictureBounds());
            }
        });
        screen.getChildren().add(veil);
        veil.requestFocus();
    }

    /** The box is drawn from where the pointer is pressed to where it is let go. */
    private final class Boxing implements KeyPointer.Target {
        private final Rectangle box;
        private final Rectangle pointer;
        private Point2D from = Point2D.ZERO;

        Boxing(Rectangle box, Rectangle pointer) {
            this.box = box;
            this.pointer = pointer;
        }

        @Override
        public void press(Point2D at, boolean main) {
            from = at;
            pointer.setVisible(false);
        }

        @Override
        public void drag(Point2D at) {
            box.setX(Math.min(from.getX(), at.getX()));
            box.setY(Math.min(from.getY(), at.getY()));
            box.setWidth(Math.abs(at.getX() - from.getX()));
            box.setHeight(Math.abs(at.getY() - from.getY()));
        }

        @Override
        public void release(Point2D at) {
            drawn(film.pictureBox(from.getX(), from.getY(), at.getX(), at.getY()));
        }

        @Override
        public void hover(Point2D at) {
            pointer.setVisible(true);
            pointer.setX(at.getX() - POINTER / 2);
            pointer.setY(at.getY() - POINTER / 2);
        }
    }

    private void drawn(Optional<Box> box) {
        end();
        box.ifPresentOrElse(this::find, () -> desk.notices().problem(Words.of("map.no-box")));
    }

    private void end() {
        screen.getChildren().remove(veil);
        veil = null;
        back.run();
    }

    /** Reads clock and score over the whole film, in the background; without a box they are looked for. */
    void find(@Nullable Box box) {
        MatchRecord r = desk.openRecord().get();
        Path path = angles.path(r);
        String file = angles.film(r).file();
        long length = r.details().lengthMs();
        String doing = Words.of(box == null ? "map.looking" : "map.reading");
        desk.tasks().longTask(doing, (progress, cancelled) -> {
            try {
                FilmReadings.Outcome outcome = readings.read(path, box, length, progress, cancelled);
                if (outcome instanceof FilmReadings.Read read) {
                    told(read.notKept(), "map.not-kept");
                    Platform.runLater(() -> found(r, file, path, read));
                } else if (outcome instanceof FilmReadings.Stopped stopped) {
                    if (stopped.notKept() == null) {
                        desk.notices().done(Words.of("map.paused"));
                    }
                    told(stopped.notKept(), "map.not-paused");
                }
            } catch (FilmException e) {
                desk.notices().problem(e.getMessage());
            }
        });
    }

    private void told(@Nullable IOException e, String words) {
        if (e != null) {
            desk.notices().problem(Words.of(words, e.getMessage()));
        }
    }

    private void found(MatchRecord r, String file, Path path, FilmReadings.Read read) {
        MapProposal found = read.found();
        if (found.box() == null && found.score().scored().isEmpty()) {
            desk.notices().problem(Words.of("map.not-found"));
            return;
        }
        long length = r.details().lengthMs();
        found.begins().ifPresent(ms -> {
            if (ms < length) {
                desk.notices().problem(Words.of("map.minutes", Clock.seconds(ms), Clock.seconds(length)));
            }
        });
        ReadScore score = ReadScore.of(r, file, found);
        ReadScore known = read.first() == null ? score : score.with(read.first());
        ReadSheet sheet = new ReadSheet(r, known, read.crops(), () -> {
            closeSheet();
            find(found.rival());
        });
        show(MapSheet.proposed(
                found,
                sheet,
                map -> {
                    if (accept(r, map, sheet.score())) {
                        counts.accept(found.down());
                        remember(path, r.details().lengthMs(), found, sheet.score());
                    }
                },
                this::closeSheet));
    }

    /** The score that was read off a film and taken before, so that it need not be asked for again. */
    void known(MatchRecord r) {
        Path path = angles.path(r);
        String file = angles.film(r).file();
        long length = r.details().lengthMs();
        desk.tasks()
                .query(
                        "read before",
                        () -> readings.taken(path, length),
                        kept -> kept.ifPresent(k -> {
                            counts.accept(k.found().down());
                            scored.known(ReadScore.of(r, file, k.found()).with(k.first()));
                        }),
                        e -> desk.notices().problem(e.getMessage()));
    }

    /** The map that the film has, to be corrected by hand. */
    void change() {
        MatchRecord r = desk.openRecord().get();
        if (r == null || angles.clock(r).isEmpty()) {
            desk.notices().problem(Words.of("map.none"));
            return;
        }
        show(MapSheet.present(angles.clock(r), map -> accept(r, map, null), this::closeSheet));
    }

    private void show(MapSheet sheet) {
        closeSheet();
        screen.getChildren().add(sheet);
        sheet.requestFocus();
    }

    private void closeSheet() {
        if (screen.getChildren().removeIf(MapSheet.class::isInstance)) {
            back.run();
        }
    }

    /** Whether it was taken: not when another match or film was opened meanwhile. */
    private boolean accept(MatchRecord read, ClockMap map, @Nullable ReadScore score) {
        MatchRecord now = desk.openRecord().get();
        closeSheet();
        if (!now.id().equals(read.id())
                || !angles.film(now).file().equals(angles.film(read).file())) {
            desk.notices().problem(Words.of("map.other"));
            return false;
        }
        desk.edit(angles.put(now, angles.film(now).with(map)));
        desk.notices().done(Words.of("map.taken", map.segments().size()));
        if (score != null && !score.track().scored().isEmpty()) {
            scored.read(score);
        }
        return true;
    }

    /** What the numbers of the graphic count, as taken, holds for the next film that looks the same. */
    private void remember(Path path, long length, MapProposal found, ReadScore taken) {
        desk.tasks()
                .write(
                        () -> {
                            readings.take(path, length, found.with(taken.track()), taken.first());
                            return taken;
                        },
                        kept -> {},
                        e -> desk.notices().problem(Words.of("map.layout-not-kept", e.getMessage())));
    }
}
