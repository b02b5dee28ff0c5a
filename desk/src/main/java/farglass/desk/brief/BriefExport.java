package farglass.desk.brief;

import farglass.brief.Slide;
import farglass.camp.CardWriter;
import farglass.desk.reel.Cut;
import farglass.desk.reel.Moments;
import farglass.desk.reel.ReelExport;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.reel.Clip;
import farglass.film.reel.MomentStill;
import farglass.film.reel.Reel;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.print.BriefPaper;
import farglass.stats.TagRef;
import farglass.store.WholeFile;
import farglass.store.brief.BriefHtml;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Writes a briefing, with progress; a film or page that is stopped or fails leaves nothing behind. */
final class BriefExport {
    private static final int WIDTH = 1280;
    private static final int HEIGHT = 720;
    private static final int STILL_WIDTH = 480;
    private static final int STILL_HEIGHT = 270;

    private final Desk desk;
    private final ReelExport reels;

    BriefExport(Desk desk) {
        this.desk = desk;
        this.reels = new ReelExport(desk);
    }

    /** A slide's moments that have film, as clips whose cards say what the slide says. */
    private List<Clip> clips(Slide s, boolean nameless) {
        List<Clip> clips = new ArrayList<>();
        for (TagRef ref : s.moments()) {
            Optional<MatchRecord> r = desk.match(ref.match());
            int tag = r.map(x -> Moments.index(x, ref)).orElse(-1);
            if (tag >= 0) {
                reels.clip(r.get(), Cut.of(ref.match(), tag), s.text(), !nameless)
                        .ifPresent(clips::add);
            }
        }
        return clips;
    }

    void film(List<Slide> slides, boolean nameless, Path target) {
        List<Clip> clips =
                slides.stream().flatMap(s -> clips(s, nameless).stream()).toList();
        if (clips.isEmpty()) {
            desk.notices().problem(Words.of("reel.none"));
            return;
        }
        Reel reel = new Reel(clips, ReelExport.painter(Corner.A), WIDTH, HEIGHT);
        desk.tasks().export(Words.of("brief.writing"), (progress, cancelled) -> {
            try {
                if (reel.write(target, progress, cancelled)) {
                    desk.exported(Set.of(), target);
                    desk.notices().done(Words.of("export.done", target));
                }
            } catch (FilmException e) {
                desk.notices().problem(e.getMessage());
            }
        });
    }

    void pdf(List<Slide> slides, Path target) {
        Map<MatchRecord, Corner> amber = new IdentityHashMap<>();
        desk.matches().forEach(r -> amber.put(r, desk.amber(r)));
        Path folder = desk.library().folder();
        String title = Words.of("brief.title");
        desk.tasks().export(Words.of("brief.writing"), (progress, cancelled) -> {
            MomentStill stills = new MomentStill(folder, r -> ReelExport.painter(amber.get(r)));
            int all = Math.max(
                    1, slides.stream().mapToInt(s -> s.moments().size()).sum());
            int[] done = {0};
            try {
                new BriefPaper(slides, title, CardWriter.care(Locale.ENGLISH), ref -> {
                            progress.accept(done[0]++ / (double) all);
                            return cancelled.getAsBoolean() ? null : still(amber, stills, ref, cancelled);
                        })
                        .write(target);
                if (cancelled.getAsBoolean()) {
                    Files.deleteIfExists(target);
                } else {
                    desk.exported(Set.of(), target);
                    desk.notices().done(Words.of("export.done", target));
                }
            } catch (IOException e) {
                desk.notices().problem(Words.of("export.failed", target, e.getMessage()));
            }
        });
    }

    private static BufferedImage still(
            Map<MatchRecord, Corner> records,
            MomentStill stills,
            TagRef ref,
            java.util.function.BooleanSupplier cancelled) {
        for (MatchRecord r : records.keySet()) {
            int tag = r.id().equals(ref.match()) ? Moments.index(r, ref) : -1;
            if (tag >= 0) {
                return stills.of(r, r.tags().get(tag).t(), STILL_WIDTH, STILL_HEIGHT, cancelled)
                        .orElse(null);
            }
        }
        return null;
    }

    /** The page, and in a folder beside it one film for every moment. */
    void html(List<Slide> slides, boolean nameless, Path target) {
        String name = target.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        Path folder = target.resolveSibling(name + "-clips");
        Map<String, List<Clip>> clips = new LinkedHashMap<>();
        slides.forEach(s -> clips.put(s.id(), clips(s, nameless)));
        String title = Words.of("brief.title");
        desk.tasks().export(Words.of("brief.writing"), (progress, cancelled) -> {
            List<Path> written = new ArrayList<>();
            try {
                Map<String, List<String>> files = new LinkedHashMap<>();
                int all =
                        Math.max(1, clips.values().stream().mapToInt(List::size).sum());
                boolean whole = true;
                Files.createDirectories(folder);
                for (Map.Entry<String, List<Clip>> e : clips.entrySet()) {
                    List<String> of = new ArrayList<>();
                    for (Clip c : e.getValue()) {
                        int n = written.size();
                        Path file = folder.resolve(String.format(Locale.ROOT, "%02d.mp4", n + 1));
                        whole = whole
                                && new Reel(List.of(c), ReelExport.painter(Corner.A), WIDTH, HEIGHT)
                                        .write(file, share -> progress.accept((n + share) / all), cancelled);
                        if (whole) {
                            written.add(file);
                            of.add(folder.getFileName() + "/" + file.getFileName());
                        }
                    }
                    files.put(e.getKey(), of);
                }
                if (whole) {
                    WholeFile.write(target, BriefHtml.write(slides, files, title, CardWriter.care(Locale.ENGLISH)));
                    desk.exported(Set.of(), target);
                    desk.notices().done(Words.of("export.done", target));
                } else {
                    clear(written, folder);
                }
            } catch (FilmException e) {
                clear(written, folder);
                desk.notices().problem(e.getMessage());
            } catch (IOException e) {
                clear(written, folder);
                desk.notices().problem(Words.of("export.failed", target, e.getMessage()));
            }
        });
    }

    /** Takes away what was written of a page that did not come to its end. */
    private static void clear(List<Path> written, Path folder) {
        try {
            for (Path p : written) {
                Files.deleteIfExists(p);
            }
            try (var left = Files.list(folder)) {
                if (left.findAny().isEmpty()) {
                    Files.delete(folder);
                }
            }
        } catch (IOException ignored) {
            // what cannot be taken away is a clip beside no page; the problem that led here has been told
        }
    }
}
