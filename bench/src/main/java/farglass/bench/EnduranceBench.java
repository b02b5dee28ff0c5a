package farglass.bench;

import farglass.film.FilmInfo;
import farglass.film.Player;
import farglass.film.proxy.Proxy;
import farglass.film.proxy.ProxyReader;
import farglass.film.proxy.ProxyStore;
import farglass.film.sound.SoundPlayer;
import farglass.lexicon.Lexicon;
import farglass.match.Edit;
import farglass.match.MatchRecord;
import farglass.match.Tag;
import farglass.simulate.DemoLibrary;
import farglass.store.Library;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.CompletableFuture;

/**
 * Hours at the film: plays, steps, scrubs, opens the film anew and tags by script, and looks at the memory of the whole
 * process every minute. Without an argument two hours.
 */
final class EnduranceBench {
    private static final long MINUTE_MS = 60_000;
    /** Until then caches fill and the machine's compiler works. */
    private static final int SETTLED_MINUTES = 5;

    private final Random random = new Random(3);
    private long acts;

    /** In a process of its own, with the memory that the window is given; the film is made before, outside of it. */
    static void start(int minutes) throws Exception {
        Path folder = Files.createTempDirectory("farglass-bench");
        ScrubBench.write(folder.resolve("hard.mp4"));
        List<String> command = new ArrayList<>(List.of("java"));
        command.addAll(WindowOptions.read());
        command.addAll(List.of(
                "-cp",
                System.getProperty("java.class.path"),
                EnduranceBench.class.getName(),
                folder.toString(),
                Integer.toString(minutes)));
        ProcessBuilder child = new ProcessBuilder(command).inheritIO();
        // as the launcher does for the window
        child.environment().put("MALLOC_MMAP_THRESHOLD_", "1048576");
        Process p = child.start();
        if (p.waitFor() != 0) {
            throw new IOException("the hours at the film ended early");
        }
    }

    public static void main(String[] args) throws Exception {
        new EnduranceBench().run(Path.of(args[0]), Integer.parseInt(args[1]));
        System.exit(0);
    }

    private void run(Path folder, int minutes) throws Exception {
        Path film = folder.resolve("hard.mp4");
        Lexicon lexicon = Lexicon.builtIn();
        try (Library library = Library.open(folder.resolve("long.farglass"), Clock.systemUTC())) {
            List<MatchRecord> matches = DemoLibrary.matches(lexicon, DemoLibrary.SEED);
            library.addAll(matches);
            String match = matches.get(0).id();
            long settled = 0;
            for (int minute = 0; minute < minutes; minute++) {
                minute(film, folder, library, match);
                ProcessMemory memory = ProcessMemory.now();
                long now = memory.wholeKb();
                if (minute == SETTLED_MINUTES || (minutes <= SETTLED_MINUTES && minute == 0)) {
                    settled = now;
                }
                System.out.printf(Locale.ROOT, "EnduranceBench minute %3d  %s  %d acts%n", minute + 1, memory, acts);
            }
            System.out.printf(
                    Locale.ROOT,
                    "EnduranceBench %d minutes, %d acts: settled at %.1f MB, highest ever %.1f MB, at the end %.1f MB%n",
                    minutes,
                    acts,
                    settled / 1024.0,
                    ProcessMemory.now().highestKb() / 1024.0,
                    ProcessMemory.now().wholeKb() / 1024.0);
        }
    }

    @SuppressWarnings("try") // the sound sounds while it is open
    private void minute(Path path, Path folder, Library library, String match) throws Exception {
        CompletableFuture<FilmInfo> opened = new CompletableFuture<>();
        long end = System.nanoTime() + MINUTE_MS * 1_000_000;
        try (Player player = new Player(path, new Nobody(opened));
                SoundPlayer sound = new SoundPlayer(path)) {
            FilmInfo info = opened.get();
            Proxy proxy = new ProxyStore(folder.resolve("proxies"), Long.MAX_VALUE).of(path, info);
            proxy.make(x -> {}, () -> false);
            player.quick(new Quick(new ProxyReader(proxy)));
            while (System.nanoTime() < end) {
                act(player, info);
                tag(library, match);
                acts++;
                Thread.sleep(40);
            }
        }
    }

    private void act(Player player, FilmInfo info) {
        switch (random.nextInt(6)) {
            case 0 -> player.seek(FilmTime.ofMs((long) (random.nextDouble() * info.durationMs())));
            case 1 -> player.step(-1 - random.nextInt(5));
            case 2 -> player.step(1);
            case 3 -> {
                player.speed(random.nextBoolean() ? 1 : 2);
                player.play();
            }
            case 4 -> player.jump(-3000);
            default -> player.toggle();
        }
    }

    private void tag(Library library, String match) throws Exception {
        MatchRecord r = library.match(match).orElseThrow();
        Tag tag = Tag.Action.of(MatchTime.ofMs(random.nextInt(300_000)), farglass.match.Corner.A, "knee-cut");
        library.apply(match, Edit.add(r, tag));
        library.undo(match);
    }

    private record Quick(ProxyReader reader) implements Player.Quick {
        @Override
        public boolean draw(long filmMs, ByteBuffer bgra) {
            return reader.picture(filmMs, bgra);
        }

        @Override
        public void close() {
            reader.close();
        }
    }

    /** Nobody looks. */
    private record Nobody(CompletableFuture<FilmInfo> opening) implements Player.Screen {
        @Override
        public void opened(FilmInfo info) {
            opening.complete(info);
        }

        @Override
        public void show(int buffer, ByteBuffer bgra, int frame, FilmTime time) {
            // nobody looks
        }

        @Override
        public void playing(boolean now) {
            // nobody looks
        }

        @Override
        public void failed(String message) {
            opening.completeExceptionally(new IllegalStateException(message));
        }
    }
}
