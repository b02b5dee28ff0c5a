package farglass.work.publish;

import farglass.brief.Slide;
import farglass.camp.CardWriter;
import farglass.film.FilmException;
import farglass.film.reel.Clip;
import farglass.film.reel.Reel;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.print.BriefPaper;
import farglass.stats.TagRef;
import farglass.store.WholeFile;
import farglass.store.brief.BriefHtml;
import farglass.text.Language;
import farglass.work.words.WorkWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import org.jspecify.annotations.Nullable;

/** A briefing as a film with cards, on paper, or as a page for any browser with its clips beside it. */
public final class BriefPublication {
    private static final int WIDTH = 1280;
    private static final int HEIGHT = 720;
    private static final int STILL_WIDTH = 480;
    private static final int STILL_HEIGHT = 270;

    private final Material material;
    private final List<Slide> slides;
    private final MomentClip moments;

    /**
     * @param slides those that are shown, in their order
     * @param nameless whether names, dates and events are left out of films
     */
    public BriefPublication(Material material, List<Slide> slides, boolean nameless) {
        this.material = material;
        this.slides = List.copyOf(slides);
        this.moments = new MomentClip(material, !nameless);
    }

    /** A slide's moments that have film, as clips whose cards say what the slide says. */
    private List<Clip> clips(Slide s) {
        List<Clip> clips = new ArrayList<>();
        for (TagRef ref : s.moments()) {
            Optional<MatchRecord> r = material.match(ref.match());
            int tag = r.map(x -> Moments.index(x, ref)).orElse(-1);
            if (tag >= 0) {
                moments.of(r.get(), Cut.of(ref.match(), tag), s.text()).ifPresent(clips::add);
            }
        }
        return clips;
    }

    private static Reel reel(List<Clip> clips) {
        return new Reel(clips, Material.painter(Corner.A), WIDTH, HEIGHT);
    }

    /** One film with a card before every moment. */
    public Publication film() {
        return (target, progress, cancelled) -> {
            List<Clip> clips = slides.stream().flatMap(s -> clips(s).stream()).toList();
            if (clips.isEmpty()) {
                throw new PublicationException(WorkWords.of("reel.none"));
            }
            try {
                return reel(clips).write(target, progress, cancelled)
                        ? Optional.of(Published.file(target, Set.of()))
                        : Optional.empty();
            } catch (FilmException e) {
                throw new PublicationException(e.getMessage(), e);
            }
        };
    }

    /** A page a slide, with pictures. */
    public Publication paper() {
        return (target, progress, cancelled) -> {
            MomentPictures pictures = new MomentPictures(material, STILL_WIDTH, STILL_HEIGHT, cancelled);
            int all = Math.max(
                    1, slides.stream().mapToInt(s -> s.moments().size()).sum());
            int[] done = {0};
            BriefPaper paper =
                    new BriefPaper(slides, title(), CardWriter.care(Language.locale()), material.lexicon(), ref -> {
                        progress.accept(done[0]++ / (double) all);
                        return pictures.of(ref);
                    });
            try {
                WholeFile.write(target, part -> {
                    paper.write(part);
                    if (cancelled.getAsBoolean()) {
                        throw new Stopped();
                    }
                });
                return Optional.of(Published.file(target, Set.of()));
            } catch (Stopped e) {
                return Optional.empty();
            } catch (IOException e) {
                throw PublicationException.of(target, e);
            }
        };
    }

    private static String title() {
        return WorkWords.of("brief.title");
    }

    /** The user has cancelled it. */
    private static final class Stopped extends IOException {
        private static final long serialVersionUID = 1L;
    }

    /** The page, and in a folder beside it one film for every moment. */
    public Publication page() {
        return this::writePage;
    }

    private Optional<Published> writePage(Path target, DoubleConsumer progress, BooleanSupplier cancelled)
            throws PublicationException {
        String name = target.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        Path folder = target.resolveSibling(name + "-clips");
        List<Path> written = new ArrayList<>();
        boolean whole = false;
        try {
            Files.createDirectories(folder);
            Map<String, List<String>> files = films(folder, written, progress, cancelled);
            if (files != null) {
                WholeFile.write(
                        target,
                        BriefHtml.write(
                                slides, files, title(), CardWriter.care(Language.locale()), material.lexicon()));
                whole = true;
            }
        } catch (FilmException e) {
            throw new PublicationException(e.getMessage(), e);
        } catch (IOException e) {
            throw PublicationException.of(target, e);
        } finally {
            if (!whole) {
                clear(written, folder);
            }
        }
        if (!whole) {
            return Optional.empty();
        }
        written.add(0, target);
        return Optional.of(new Published(written, Set.of(), WorkWords.of("export.done", target)));
    }

    /** Names of the films of every slide by its id; null when it was cancelled. */
    private @Nullable Map<String, List<String>> films(
            Path folder, List<Path> written, DoubleConsumer progress, BooleanSupplier cancelled) throws FilmException {
        Map<String, List<Clip>> clips = new LinkedHashMap<>();
        slides.forEach(s -> clips.put(s.id(), clips(s)));
        int all = Math.max(1, clips.values().stream().mapToInt(List::size).sum());
        Map<String, List<String>> files = new LinkedHashMap<>();
        for (Map.Entry<String, List<Clip>> e : clips.entrySet()) {
            List<String> of = new ArrayList<>();
            for (Clip c : e.getValue()) {
                int n = written.size();
                Path file = folder.resolve(String.format(Locale.ROOT, "%02d.mp4", n + 1));
                if (!reel(List.of(c)).write(file, share -> progress.accept((n + share) / all), cancelled)) {
                    return null;
                }
                written.add(file);
                of.add(folder.getFileName() + "/" + file.getFileName());
            }
            files.put(e.getKey(), of);
        }
        return files;
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
