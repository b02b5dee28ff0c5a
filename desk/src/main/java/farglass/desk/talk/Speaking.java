package farglass.desk.talk;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.reel.DrawingPainter;
import farglass.film.reel.TalkReel;
import farglass.film.sound.Voice;
import farglass.film.sound.WaveFile;
import farglass.match.Drawing;
import farglass.match.MatchRecord;
import farglass.store.WholeFile;
import farglass.store.bundle.FileNames;
import farglass.store.json.FormatException;
import farglass.store.json.TalkJson;
import farglass.store.json.TextFile;
import farglass.talk.Taking;
import farglass.talk.Talk;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.util.Duration;

/**
 * A spoken breakdown: from one key to the next everything that is on screen is taken with the voice. It is kept in the
 * library's folder at once and can be written as a film at any time.
 */
public final class Speaking {
    private static final double LOOK_EVERY_MS = 40;
    private static final String FOLDER = "talks";
    private static final int MOST_MB = 32;

    private final Desk desk;
    private final FilmView film;
    private final Supplier<List<Drawing.Mark>> marks;
    private final Function<MatchRecord, String> file;
    private final DrawingPainter painter;
    private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
    private final Timeline looking = new Timeline(new KeyFrame(Duration.millis(LOOK_EVERY_MS), e -> look()));
    private Voice voice;
    private Taking taking;
    private long begunNanos;
    private String cue;
    private MatchRecord match;
    /** The window is closing: nothing is begun any more. */
    private boolean closed;

    /**
     * @param marks what is drawn on the picture now
     * @param file the film looked at, as the record gives it
     */
    public Speaking(
            Desk desk,
            FilmView film,
            Supplier<List<Drawing.Mark>> marks,
            Function<MatchRecord, String> file,
            DrawingPainter painter) {
        this.desk = desk;
        this.film = film;
        this.marks = marks;
        this.file = file;
        this.painter = painter;
        looking.setCycleCount(Animation.INDEFINITE);
        desk.onClosing(() -> {
            closed = true;
            if (running.get()) {
                end();
            }
        });
    }

    public ReadOnlyBooleanProperty running() {
        return running.getReadOnlyProperty();
    }

    /** Begins, with words that are shown before the film of it; or ends and keeps what was said. */
    public void toggle(String words) {
        if (running.get()) {
            end();
        } else if (film.moment().get() == null) {
            desk.notices().problem(Words.of("clock.no-film"));
        } else {
            cue = words.strip();
            match = desk.openRecord().get();
            desk.tasks()
                    .command(
                            Words.of("talk.name"),
                            Voice::ofMachine,
                            this::begin,
                            e -> desk.notices().problem(e.getMessage()));
        }
    }

    private void begin(Voice heard) {
        if (closed) {
            heard.end();
            return;
        }
        voice = heard;
        taking = new Taking();
        begunNanos = System.nanoTime();
        running.set(true);
        voice.begin();
        look();
        looking.play();
        desk.notices().done(Words.of(voice.real() ? "talk.begun" : "talk.made-up"));
    }

    private long elapsedMs() {
        return (System.nanoTime() - begunNanos) / 1_000_000;
    }

    private void look() {
        FilmView.Moment m = film.moment().get();
        if (m != null) {
            taking.shows(elapsedMs(), m.time(), marks.get());
        }
    }

    private void end() {
        looking.stop();
        running.set(false);
        long length = elapsedMs();
        Voice heard = voice;
        Taking taken = taking;
        if (taken.isEmpty()) {
            heard.end();
            return;
        }
        String id = FileNames.of(match.id()) + "-" + desk.clock().millis() + "-" + length;
        Talk talk = taken.done(id, match.id(), file.apply(match), cue, length);
        desk.tasks()
                .command(
                        Words.of("talk.name"),
                        () -> keep(talk, heard.end()),
                        kept -> desk.notices().done(Words.of("talk.kept", length / 1000.0)),
                        e -> desk.notices().problem(Words.of("export.failed", id, e.getMessage())));
    }

    private Path folder() {
        return desk.library().folder().resolve(FOLDER);
    }

    private Talk keep(Talk talk, short[] said) throws IOException {
        Files.createDirectories(folder());
        WaveFile.write(said, folder().resolve(talk.id() + ".wav"));
        // the talk is there once this file is; its voice is there before
        WholeFile.write(folder().resolve(talk.id() + ".json"), TalkJson.write(talk));
        return talk;
    }

    /** Writes the last breakdown of the open match as a film. */
    public void write() {
        MatchRecord r = desk.openRecord().get();
        if (r == null) {
            return;
        }
        desk.tasks().export(Words.of("talk.writing"), (progress, cancelled) -> {
            try {
                Optional<Talk> last = last(r.id());
                if (last.isEmpty()) {
                    desk.notices().done(Words.of("talk.none"));
                    return;
                }
                Talk talk = last.get();
                short[] said = WaveFile.read(folder().resolve(talk.id() + ".wav"));
                Path target = desk.library().folder().resolve("reels").resolve("talk-" + talk.id() + ".mp4");
                Path source = desk.library().folder().resolve(talk.film());
                if (new TalkReel(talk, source, said, painter).write(target, progress, cancelled)) {
                    desk.exported(Set.of(r.details().a().id(), r.details().b().id()), target);
                    desk.notices().done(Words.of("export.done", target));
                }
            } catch (FilmException e) {
                desk.notices().problem(e.getMessage());
            } catch (IOException | FormatException e) {
                desk.notices().problem(Words.of("talk.broken", e.getMessage()));
            }
        });
    }

    private Optional<Talk> last(String id) throws IOException, FormatException {
        if (!Files.isDirectory(folder())) {
            return Optional.empty();
        }
        List<Path> files;
        try (Stream<Path> all = Files.list(folder())) {
            files = all.filter(p -> p.toString().endsWith(".json"))
                    .sorted(Comparator.comparingLong((Path p) -> p.toFile().lastModified())
                            .reversed())
                    .toList();
        }
        for (Path p : files) {
            Talk talk = TalkJson.read(TextFile.read(p, MOST_MB));
            if (talk.match().equals(id)) {
                return Optional.of(talk);
            }
        }
        return Optional.empty();
    }
}
