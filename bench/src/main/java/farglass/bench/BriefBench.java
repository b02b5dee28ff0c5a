package farglass.bench;

import farglass.film.reel.Clip;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.Reel;
import farglass.film.studio.Footage;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.simulate.DemoLibrary;
import farglass.time.ClockMap;
import farglass.time.FilmTime;
import farglass.time.Segment;
import java.awt.Color;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A briefing of twenty clips written at 720p, against half its playing time. */
final class BriefBench {
    private static final int CLIPS = 20;
    private static final long FILM_MS = 60_000;
    private static final double LIMIT = 0.5;

    void run() throws Exception {
        Lexicon lexicon = Lexicon.builtIn();
        MatchRecord match = DemoLibrary.matches(lexicon, DemoLibrary.SEED).stream()
                .filter(r -> r.end().ms() > FILM_MS)
                .findFirst()
                .orElseThrow();
        Path folder = Files.createTempDirectory("brief");
        Path film = folder.resolve("film.mp4");
        new Footage(1280, 720, 25)
                .make(match, ClockMap.of(List.of(Segment.live(0, FILM_MS, 0))), lexicon, film, x -> {}, () -> false);
        List<Clip> clips = new ArrayList<>();
        for (int i = 0; i < CLIPS; i++) {
            long at = 4000 + i * 2500L;
            clips.add(new Clip(
                    film,
                    FilmTime.ofMs(at - 2500),
                    FilmTime.ofMs(at + 4500),
                    FilmTime.ofMs(at - 300),
                    FilmTime.ofMs(at + 700),
                    "Fork " + i,
                    "where and when",
                    List.of()));
        }
        Reel reel = new Reel(clips, new DrawingPainter(who -> Color.BLACK), 1280, 720);
        Path target = folder.resolve("brief.mp4");
        long from = System.nanoTime();
        reel.write(target, x -> {}, () -> false);
        double seconds = (System.nanoTime() - from) / 1e9;
        double playing = reel.durationMs() / 1000.0;
        System.out.printf(
                Locale.ROOT,
                "BriefBench: %d clips at 720p, %.0f s of film written in %.0f s: %.2f of its playing time, limit %.1f: %.2f%n",
                CLIPS,
                playing,
                seconds,
                seconds / playing,
                LIMIT,
                seconds / playing / LIMIT);
        Files.delete(target);
        Files.delete(film);
        Files.delete(folder);
    }
}
