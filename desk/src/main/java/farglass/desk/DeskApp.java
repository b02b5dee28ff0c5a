package farglass.desk;

import farglass.desk.library.RescueView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.desk.shell.TextSize;
import farglass.desk.shell.Theme;
import farglass.desk.shell.Ui;
import farglass.desk.shell.Words;
import farglass.match.MatchRecord;
import farglass.store.Library;
import farglass.store.LibraryException;
import farglass.store.Restoring;
import farglass.store.Verification;
import farglass.text.Language;
import farglass.work.words.WorkWords;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The window. Arguments: {@code --demo} for the demo library, {@code --shots DIR} to draw the main views and leave, or
 * a library's path.
 */
public final class DeskApp extends Application {
    private static final Logger LOG = LoggerFactory.getLogger(DeskApp.class);

    private static final double WIDE = 1280;
    private static final double HIGH = 800;

    private Stage stage;
    private volatile List<String> args;
    private volatile Desk desk;
    private Shell shell;
    private TextSize size = TextSize.PERCENT_100;
    /** The user wants to leave although something is not written yet. */
    private boolean insisted;

    @Override
    public void start(Stage primary) {
        stage = primary;
        args = getParameters().getRaw();
        Look.load();
        Thread.setDefaultUncaughtExceptionHandler((thread, e) -> unexpected(e));
        // ended from outside: what was confirmed is written, and the library is free for the next before Java itself
        // has ended
        Runtime.getRuntime().addShutdownHook(new Thread(this::closeDesk, "ended"));
        stage.setTitle(Words.of("app.title"));
        stage.getIcons().add(new Image(String.valueOf(DeskApp.class.getResource("icon.png"))));
        stage.setMinWidth(1000);
        stage.setMinHeight(640);
        stage.setOnCloseRequest(this::closing);
        try {
            show(Opening.await(args));
            if (args.contains("--shots")) {
                new Shots(desk, shell, stage.getScene(), Path.of(args.get(args.indexOf("--shots") + 1))).run();
            } else if (args.contains("--demo") && !desk.library().readOnly()) {
                Demo.films(desk);
            }
            System.out.println("window usable after "
                    + (System.currentTimeMillis()
                            - ProcessHandle.current()
                                    .info()
                                    .startInstant()
                                    .map(java.time.Instant::toEpochMilli)
                                    .orElseGet(System::currentTimeMillis))
                    + " ms");
        } catch (LibraryException e) {
            System.err.println(e.getMessage());
            if (args.contains("--shots")) {
                // nobody is there to choose
                Platform.exit();
                return;
            }
            refuse(e);
        }
    }

    private void show(Opening.Opened opened) {
        insisted = false;
        language(opened.content().settings()).use();
        desk = new Desk(opened.content(), Opening.CLOCK);
        desk.onBringBack(this::bringBack);
        desk.onReport(this::report);
        desk.onAnew(this::again);
        desk.onOpenLibrary(file -> another(List.of(file.toString())));
        desk.onOpenTeam(url -> another(List.of(Home.TEAM, url)));
        if (!args.contains("--shots")) {
            desk.session().joinTeam();
            Path here = desk.library().file();
            desk.tasks()
                    .write(
                            () -> {
                                new RecentLibraries(Home.folder()).opened(here);
                                return here;
                            },
                            kept -> {},
                            e -> LOG.warn("recent libraries cannot be written", e));
        }
        Theme.named(desk.preferences().get(Theme.PREFERENCE).orElse("")).use();
        size = TextSize.named(desk.preferences().get(TextSize.PREFERENCE).orElse(""));
        // drawings are made as fine as they are shown large
        stage.setRenderScaleX(size.factor() * stage.getOutputScaleX());
        stage.setRenderScaleY(size.factor() * stage.getOutputScaleY());
        shell = new Shell(desk);
        boolean first = stage.getScene() == null;
        stage.setScene(scene(shell.view()));
        if (first && !args.contains("--shots")) {
            desk.preferences()
                    .get(WindowPlace.PREFERENCE)
                    .flatMap(WindowPlace::read)
                    .ifPresent(p -> p.use(stage));
        }
        stage.show();
        shell.shown();
        shell.prepare();
        if (opened.told() != null) {
            System.err.println(opened.told());
            desk.notices().problem(opened.told());
            if (!desk.library().missing().isEmpty()) {
                shell.librarySheet();
            }
        }
    }

    /** The one that was chosen in this library; else that of the system. */
    private static Language language(Map<String, String> settings) {
        return Optional.ofNullable(settings.get(Language.PREFERENCE))
                .map(Language::named)
                .orElseGet(Language::ofSystem);
    }

    /** As large as the one before it. */
    private Scene scene(Parent view) {
        Scene before = stage.getScene();
        return Look.scene(
                view, before == null ? WIDE : before.getWidth(), before == null ? HIGH : before.getHeight(), size);
    }

    private void unexpected(Throwable e) {
        LOG.error("unexpected", e);
        if (desk != null) {
            desk.notices().problem(WorkWords.unexpected(e));
        }
    }

    /** The window stays until what was ordered is done, or the user asks a second time. */
    private void closing(WindowEvent e) {
        if (desk == null || insisted) {
            return;
        }
        if (!desk.library().readOnly()) {
            desk.preferences().set(WindowPlace.PREFERENCE, WindowPlace.of(stage).text());
        }
        desk.closing();
        List<String> left = desk.tasks().pending();
        if (!left.isEmpty()) {
            e.consume();
            insisted = true;
            desk.notices().problem(Words.of("closing.waits", String.join(", ", left)));
            desk.tasks().finish(stage::close);
        }
    }

    /** The library is brought back off the interface thread; the window opens anew on what is there then. */
    private void bringBack(Path backup) {
        leave(Words.of("rescue.working"), old -> restoring(old.library().file(), backup, old::close));
    }

    /** The same library, station and match, in a window that is made anew. */
    private void again() {
        int here = shell.here();
        String match = Optional.ofNullable(desk.openRecord().get())
                .map(MatchRecord::id)
                .orElse(null);
        leave(Words.of("settings.working"), old -> {
            Thread t = new Thread(
                    () -> {
                        old.close();
                        anew(null, null, () -> {
                            if (match != null) {
                                desk.openMatch(match);
                            }
                            shell.go(here);
                        });
                    },
                    "opening anew");
            t.start();
        });
    }

    /** Another library in this window, or a team's; where it cannot be opened, this one again, with why. */
    private void another(List<String> wanted) {
        List<String> before = args;
        leave(Words.of("library.opening", wanted.get(wanted.size() - 1)), old -> {
            Thread t = new Thread(
                    () -> {
                        old.close();
                        args = wanted;
                        try {
                            Opening.Opened opened = Opening.open(args);
                            Platform.runLater(() -> show(opened));
                        } catch (LibraryException e) {
                            args = before;
                            anew(e.getMessage(), null);
                        }
                    },
                    "opening another");
            t.start();
        });
    }

    /** When what was ordered is done, the window leaves what it shows; words stand in it until something else does. */
    private void leave(String words, Consumer<Desk> then) {
        Desk old = desk;
        old.closing();
        if (!old.tasks().pending().isEmpty()) {
            old.notices()
                    .done(Words.of("rescue.waits", String.join(", ", old.tasks().pending())));
        }
        old.tasks().finish(() -> {
            desk = null;
            wait(words);
            then.accept(old);
        });
    }

    private void wait(String words) {
        stage.setScene(scene(new StackPane(Ui.prose(words, "question"))));
        stage.show();
    }

    private void restoring(Path file, Path backup, Runnable before) {
        Thread t = new Thread(
                () -> {
                    before.run();
                    String problem = null;
                    String done = null;
                    try {
                        Restoring.Done d = new Restoring(file, backup, Opening.CLOCK).whole();
                        done = d.kept()
                                .map(kept -> Words.of("library.brought.kept", kept))
                                .orElseGet(() -> Words.of("library.brought"));
                    } catch (LibraryException e) {
                        problem = e.getMessage();
                    }
                    anew(problem, done);
                },
                "restoring");
        t.start();
    }

    private void anew(String problem, String done) {
        anew(problem, done, () -> {});
    }

    /** Opens the library anew, with what went wrong or was done before (both may be null); then does something. */
    private void anew(String problem, String done, Runnable then) {
        try {
            Opening.Opened opened = Opening.open(args);
            Platform.runLater(() -> {
                show(opened);
                then.run();
                if (problem != null) {
                    desk.notices().problem(problem);
                } else if (done != null) {
                    desk.notices().done(done);
                }
            });
        } catch (LibraryException e) {
            Platform.runLater(() -> refuse(e));
        }
    }

    private void report(Path target) {
        Path file = desk.library().file();
        desk.tasks()
                .command(
                        Words.of("report.name"),
                        () -> {
                            ReportFile.write(target, Home.folder(), verified(file));
                            return target;
                        },
                        done -> desk.notices().done(WorkWords.of("export.done", done)),
                        e -> desk.notices().problem(WorkWords.of("export.failed", target, e.getMessage())));
    }

    /** Null for a library that cannot be read at all, which is when a report is wanted most. */
    private static Verification verified(Path library) {
        try {
            return Verification.of(library, Opening.CLOCK);
        } catch (LibraryException e) {
            return null;
        }
    }

    private void refuse(LibraryException why) {
        Path file = Home.library(args);
        stage.setScene(scene(new RescueView(file, why, Opening.CLOCK, new RescueView.Choices() {
            @Override
            public void bringBack(Path backup) {
                DeskApp.this.wait(Words.of("rescue.working"));
                restoring(file, backup, () -> {});
            }

            @Override
            public Runnable beginAnew() {
                return why.kind() == LibraryException.Kind.MISSING ? () -> begin(file) : null;
            }

            @Override
            public void leave() {
                Platform.exit();
            }
        })));
        stage.show();
    }

    /** A new library, where the old one is gone. */
    private void begin(Path file) {
        Thread t = new Thread(
                () -> {
                    try {
                        Library.beginAnew(file, Opening.CLOCK).close();
                        anew(null, null);
                    } catch (LibraryException e) {
                        Platform.runLater(() -> refuse(e));
                    }
                },
                "beginning");
        t.start();
    }

    private void closeDesk() {
        Desk open = desk;
        if (open != null) {
            open.close();
        }
    }

    @Override
    public void stop() {
        closeDesk();
        Platform.exit();
    }
}
