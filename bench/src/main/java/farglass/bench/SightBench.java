package farglass.bench;

import farglass.desk.Demo;
import farglass.desk.Shell;
import farglass.desk.profile.ProfileStation;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.lexicon.Lexicon;
import farglass.store.Library;
import farglass.work.session.LibraryContent;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicLong;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * How long the interface thread is held in one piece while stations and pages come into sight: the first time after a
 * start, and again. Measured in a process of its own with the window's options and its archive of classes, drawn off
 * screen. Beside it stands a piece of known length, as it is read.
 */
final class SightBench {
    private static final double LIMIT_MS = 50;
    private static final int KNOWN_MS = 100;
    private static final int LONG_MS = 9000;
    private static final int SHORT_MS = 3000;
    private static final List<String> STATIONS =
            List.of("assignment", "film", "tags", "profile", "match-up", "plan", "camp", "debrief");
    private static final List<String> PAGES = List.of("GAME", "SIDES", "CHART", "CHAINS", "CLAIMS", "REACTIONS");
    private static final int MANY = 2000;
    private static final int OWN = 60;
    private static final int PROFILE = 3;
    private static final int MATCHUP = 4;

    private final AtomicLong longest = new AtomicLong();
    private final Shell shell;

    private SightBench(Shell shell) {
        this.shell = shell;
    }

    /**
     * Starts the process three times: the first leaves the archive of classes that the second is measured with on the
     * demo, and the third on a large library, as far as the profile.
     */
    static void start(Path folder) throws Exception {
        String archive = folder.resolve("window.jsa").toString();
        launch(folder.resolve("first"), List.of("-XX:ArchiveClassesAtExit=" + archive), 0, false);
        launch(folder.resolve("second"), List.of("-XX:SharedArchiveFile=" + archive), 0, true);
        System.out.printf(Locale.ROOT, "SightBench with %d matches, %d of the athlete%n", MANY, OWN);
        launch(folder.resolve("third"), List.of("-XX:SharedArchiveFile=" + archive), MANY, true);
    }

    private static void launch(Path folder, List<String> archive, int matches, boolean told) throws Exception {
        Files.createDirectories(folder);
        List<String> command = new ArrayList<>(List.of("java", "-Xlog:cds=off", "-Xlog:cds+dynamic=off"));
        command.addAll(archive);
        command.addAll(WindowOptions.read());
        command.addAll(List.of(
                "-cp",
                System.getProperty("java.class.path"),
                SightBench.class.getName(),
                folder.toString(),
                Integer.toString(matches)));
        Process p = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        try (BufferedReader out = p.inputReader()) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                if (told) {
                    System.out.println(line);
                }
            }
        }
        if (p.waitFor() != 0) {
            throw new IOException("the process with the window failed");
        }
    }

    /** @param args an empty folder, and how many matches lie in the library beside the demo; 0 for the demo alone */
    public static void main(String[] args) throws Exception {
        System.setProperty("glass.platform", "Monocle");
        System.setProperty("monocle.platform", "Headless");
        System.setProperty("prism.order", "sw");
        Path folder = Path.of(args[0]);
        int matches = Integer.parseInt(args[1]);
        CountDownLatch started = new CountDownLatch(1);
        Platform.startup(started::countDown);
        started.await();
        SightBench[] made = new SightBench[1];
        CountDownLatch open = new CountDownLatch(1);
        Platform.runLater(() -> {
            made[0] = open(folder, matches);
            open.countDown();
        });
        open.await();
        if (matches == 0) {
            made[0].visit();
        } else {
            made[0].visitProfile();
        }
        System.exit(0);
    }

    private static SightBench open(Path folder, int matches) {
        try {
            Look.load();
            Library library = Library.open(folder.resolve("w.farglass"), Clock.systemUTC());
            Demo.fill(library);
            if (matches > 0) {
                library.addAll(new BigLibrary(Lexicon.builtIn()).of(matches, OWN));
            }
            Desk desk = new Desk(LibraryContent.of(library), Clock.systemUTC());
            Shell shell = new Shell(desk);
            Stage stage = new Stage();
            stage.setScene(Look.scene(shell.view(), 1280, 800));
            stage.show();
            shell.shown();
            if (matches > 0) {
                desk.profiled().set(BigLibrary.STUDIED);
            }
            return new SightBench(shell);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private void visitProfile() throws InterruptedException {
        Thread watch = new Thread(this::watch);
        watch.setDaemon(true);
        watch.start();
        Thread.sleep(LONG_MS);
        measure("prepared, unseen", LONG_MS, shell::prepare);
        measure("a piece of " + KNOWN_MS + " ms", SHORT_MS, () -> hold(KNOWN_MS));
        ProfileStation profile = (ProfileStation) shell.station(PROFILE);
        measure("report, first", LONG_MS, () -> shell.go(PROFILE));
        for (String page : PAGES) {
            measure(page.toLowerCase(Locale.ROOT) + ", first", SHORT_MS, () -> profile.go(page));
        }
        measure("report, again", SHORT_MS, () -> profile.go("REPORT"));
    }

    private void visit() throws InterruptedException {
        visitProfile();
        for (int s = 0; s < STATIONS.size(); s++) {
            int station = s;
            if (station != PROFILE) {
                measure(STATIONS.get(s) + ", first", station == MATCHUP ? LONG_MS : SHORT_MS, () -> shell.go(station));
            }
        }
        for (int s = 0; s < STATIONS.size(); s++) {
            int station = s;
            measure(STATIONS.get(s) + ", again", SHORT_MS, () -> shell.go(station));
        }
    }

    private void measure(String what, int wait, Runnable deed) throws InterruptedException {
        longest.set(0);
        Platform.runLater(deed);
        Thread.sleep(wait);
        double ms = longest.get() / 1e6;
        System.out.printf(
                Locale.ROOT,
                "%-28s longest %6.0f ms  longest/limit(%.0f ms) %.2f%n",
                "SightBench " + what,
                ms,
                LIMIT_MS,
                ms / LIMIT_MS);
    }

    /** What is asked of the interface thread waits as long as the piece that it works at. */
    private void watch() {
        while (true) {
            CountDownLatch ran = new CountDownLatch(1);
            long asked = System.nanoTime();
            Platform.runLater(() -> {
                longest.accumulateAndGet(System.nanoTime() - asked, Math::max);
                ran.countDown();
            });
            try {
                ran.await();
                Thread.sleep(1);
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    private static void hold(int ms) {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
