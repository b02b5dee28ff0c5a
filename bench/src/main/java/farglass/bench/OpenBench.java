package farglass.bench;

import farglass.desk.Shell;
import farglass.desk.profile.ProfileStation;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Look;
import farglass.lexicon.Lexicon;
import farglass.store.Library;
import farglass.work.session.LibraryContent;
import farglass.work.session.Upkeep;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;

/**
 * How long a window takes from the start of its process until it can be used, and from the choice of an athlete until
 * his claims stand: with an empty library, with large ones, and beside a bare window of JavaFX. Drawn off screen.
 */
final class OpenBench {
    private static final int STUDIED = 60;
    private static final int ROUNDS = 5;
    private static final int PIECE = 500;
    /** Matches of every other athlete. */
    private static final int EACH = 16;

    private static final int PROFILE = 3;
    private static final String BARE = "bare";
    private static final double PAGE_MS = 1000;
    private static final long GIVE_UP_NS = 60_000_000_000L;

    private OpenBench() {}

    static void start(Path folder, int[] sizes) throws Exception {
        String archive = folder.resolve("window.jsa").toString();
        double[] empty = new double[2];
        for (int size : sizes) {
            made(folder.resolve(size + ".farglass"), size);
        }
        Path largest = folder.resolve(sizes[sizes.length - 1] + ".farglass");
        launched(largest.toString(), "-XX:ArchiveClassesAtExit=" + archive);
        double[] bare = medians(BARE, archive);
        System.out.printf(Locale.ROOT, "  bare window of JavaFX: shown after %.0f ms%n", bare[0]);
        for (int size : sizes) {
            double[] ms = medians(folder.resolve(size + ".farglass").toString(), archive);
            empty = empty[0] == 0 ? ms : empty;
            System.out.printf(
                    Locale.ROOT,
                    "  %6d matches: usable after %.0f ms, %.2f of an empty library's (limit 1.5), %.2f of a bare window's"
                            + " (limit 2)%s%n",
                    size,
                    ms[0],
                    ms[0] / empty[0],
                    ms[0] / bare[0],
                    size == 0
                            ? ""
                            : String.format(
                                    Locale.ROOT,
                                    "; claims %.0f ms after the choice, limit %.0f: %.2f",
                                    ms[1],
                                    PAGE_MS,
                                    ms[1] / PAGE_MS));
        }
    }

    private static void made(Path file, int size) throws Exception {
        BigLibrary big = new BigLibrary(Lexicon.builtIn(), Math.max(20, size / EACH));
        try (Library library = Library.open(file, Clock.systemUTC())) {
            for (int from = 0; from < size; from += PIECE) {
                library.addAll(big.part(from, Math.min(size, from + PIECE), size, Math.min(size, STUDIED)));
            }
            Upkeep.now(library);
        }
    }

    private static double[] medians(String what, String archive) throws Exception {
        double[][] told = new double[2][ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            double[] one = launched(what, "-XX:SharedArchiveFile=" + archive);
            told[0][i] = one[0];
            told[1][i] = one[1];
        }
        Arrays.sort(told[0]);
        Arrays.sort(told[1]);
        return new double[] {told[0][ROUNDS / 2], told[1][ROUNDS / 2]};
    }

    private static double[] launched(String what, String archive) throws Exception {
        List<String> command = new ArrayList<>(List.of("java", "-Xlog:cds=off", "-Xlog:cds+dynamic=off", archive));
        command.addAll(WindowOptions.read());
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), OpenBench.class.getName(), what));
        Process p = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        double[] told = new double[2];
        try (BufferedReader out = p.inputReader()) {
            int n = 0;
            for (String line = out.readLine(); line != null && n < 2; line = out.readLine()) {
                told[n++] = Double.parseDouble(line);
            }
        }
        if (p.waitFor() != 0) {
            throw new IOException("the process with the window failed: " + what);
        }
        return told;
    }

    /** @param args a library, or that a bare window is wanted */
    public static void main(String[] args) {
        try {
            opened(args);
        } catch (Exception e) {
            e.printStackTrace();
            System.exit(1);
        }
    }

    private static void opened(String[] args) throws Exception {
        System.setProperty("glass.platform", "Monocle");
        System.setProperty("monocle.platform", "Headless");
        System.setProperty("prism.order", "sw");
        long from = ProcessHandle.current().info().startInstant().orElseThrow().toEpochMilli();
        CountDownLatch started = new CountDownLatch(1);
        Platform.startup(started::countDown);
        started.await();
        if (args[0].equals(BARE)) {
            on(() -> {
                Stage stage = new Stage();
                stage.setScene(new Scene(new Pane(), 1280, 800));
                stage.show();
                return stage;
            });
            idle();
            System.out.println(System.currentTimeMillis() - from);
            System.out.println(0);
            System.exit(0);
        }
        Opened opened = on(() -> open(Path.of(args[0])));
        Shell shell = opened.shell();
        idle();
        System.out.println(System.currentTimeMillis() - from);
        // as long as somebody takes who looks for the name
        Thread.sleep(Integer.getInteger("wait", 3000));
        ProfileStation profile = on(() -> (ProfileStation) shell.station(PROFILE));
        long chosen = System.nanoTime();
        on(() -> {
            opened.desk().profiled().set(System.getProperty("who", BigLibrary.STUDIED));
            shell.go(PROFILE);
            profile.go("CLAIMS");
            return true;
        });
        if (opened.desk().matches().isEmpty()) {
            System.out.println(0);
            System.exit(0);
        }
        until(() -> !profile.claims().isEmpty());
        System.out.println((System.nanoTime() - chosen) / 1_000_000);
        System.exit(0);
    }

    private record Opened(Desk desk, Shell shell) {}

    private static Opened open(Path file) {
        try {
            Look.load();
            Library library = Library.open(file, Clock.systemUTC());
            Desk desk = new Desk(LibraryContent.of(library), Clock.systemUTC());
            Shell shell = new Shell(desk);
            Stage stage = new Stage();
            stage.setScene(Look.scene(shell.view(), 1280, 800));
            stage.show();
            shell.shown();
            shell.prepare();
            return new Opened(desk, shell);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static <T> T on(Supplier<T> work) throws Exception {
        CompletableFuture<T> done = new CompletableFuture<>();
        Platform.runLater(() -> {
            try {
                done.complete(work.get());
            } catch (RuntimeException e) {
                done.completeExceptionally(e);
            }
        });
        return done.get();
    }

    /** Until what was asked of the interface thread before is done, twice: what that asked of it too. */
    private static void idle() throws Exception {
        on(() -> true);
        on(() -> true);
    }

    private static void until(BooleanSupplier wanted) throws Exception {
        long from = System.nanoTime();
        while (!on(wanted::getAsBoolean)) {
            if (System.nanoTime() - from > GIVE_UP_NS) {
                throw new IOException("what was waited for did not come");
            }
            Thread.sleep(5);
        }
    }
}
