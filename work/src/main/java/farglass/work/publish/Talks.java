package farglass.work.publish;

import farglass.film.FilmException;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.TalkReel;
import farglass.film.sound.WaveFile;
import farglass.store.WholeFile;
import farglass.store.json.FormatException;
import farglass.store.json.TalkJson;
import farglass.store.json.TextFile;
import farglass.talk.Talk;
import farglass.work.words.WorkWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Spoken breakdowns, kept beside the library and written as films. May be used from any thread. */
public final class Talks {
    private static final int MOST_MB = 32;

    private final Path library;
    private final Path folder;

    /** @param library folder of the library */
    public Talks(Path library) {
        this.library = library;
        this.folder = library.resolve("talks");
    }

    /** Keeps what was shown and said; it is there once this returns. */
    public Talk keep(Talk talk, short[] said) throws IOException {
        Files.createDirectories(folder);
        WaveFile.write(said, folder.resolve(talk.id() + ".wav"));
        // the talk is there once this file is; its voice is there before
        WholeFile.write(folder.resolve(talk.id() + ".json"), TalkJson.write(talk));
        return talk;
    }

    /** The last one about a match; empty when there is none. */
    public Optional<Talk> last(String match) throws PublicationException {
        if (!Files.isDirectory(folder)) {
            return Optional.empty();
        }
        try (Stream<Path> all = Files.list(folder)) {
            List<Path> files = all.filter(p -> p.toString().endsWith(".json"))
                    .sorted(Comparator.comparingLong((Path p) -> p.toFile().lastModified())
                            .reversed())
                    .toList();
            for (Path p : files) {
                Talk talk = TalkJson.read(TextFile.read(p, MOST_MB));
                if (talk.match().equals(match)) {
                    return Optional.of(talk);
                }
            }
        } catch (IOException | FormatException e) {
            throw broken(e);
        }
        return Optional.empty();
    }

    private static PublicationException broken(Exception e) {
        return new PublicationException(WorkWords.of("talk.broken", e.getMessage()), e);
    }

    /** The last one about a match as a film, beside the target under its own name; told when nothing was said yet. */
    public Publication film(String match, Set<String> athletes, DrawingPainter painter) {
        return (target, progress, cancelled) -> {
            Optional<Talk> last = last(match);
            if (last.isEmpty()) {
                return Optional.of(Published.nothing(WorkWords.of("talk.none")));
            }
            Talk talk = last.get();
            Path to = target.resolveSibling("talk-" + talk.id() + ".mp4");
            try {
                short[] said = WaveFile.read(folder.resolve(talk.id() + ".wav"));
                return new TalkReel(talk, library.resolve(talk.film()), said, painter).write(to, progress, cancelled)
                        ? Optional.of(Published.file(to, athletes))
                        : Optional.empty();
            } catch (FilmException e) {
                throw new PublicationException(e.getMessage(), e);
            } catch (IOException e) {
                throw broken(e);
            }
        };
    }
}
