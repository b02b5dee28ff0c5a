package farglass.desk.talk;

import farglass.desk.player.FilmView;
import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.reel.DrawingPainter;
import farglass.film.sound.Voice;
import farglass.match.Drawing;
import farglass.match.MatchRecord;
import farglass.store.bundle.FileNames;
import farglass.talk.Talk;
import farglass.talk.TalkRecorder;
import farglass.work.publish.Talks;
import farglass.work.words.WorkWords;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
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

    private final Desk desk;
    private final FilmView film;
    private final Supplier<List<Drawing.Mark>> marks;
    private final Function<MatchRecord, String> file;
    private final DrawingPainter painter;
    private final ReadOnlyBooleanWrapper running = new ReadOnlyBooleanWrapper();
    private final Timeline looking = new Timeline(new KeyFrame(Duration.millis(LOOK_EVERY_MS), e -> look()));
    private Voice voice;
    private TalkRecorder taking;
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
        taking = new TalkRecorder();
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
        TalkRecorder taken = taking;
        if (taken.isEmpty()) {
            heard.end();
            return;
        }
        String id = FileNames.of(match.id()) + "-" + desk.clock().millis() + "-" + length;
        Talk talk = taken.done(id, match.id(), file.apply(match), cue, length);
        desk.tasks()
                .command(
                        Words.of("talk.name"),
                        () -> talks().keep(talk, heard.end()),
                        kept -> desk.notices().done(Words.of("talk.kept", length / 1000.0)),
                        e -> desk.notices().problem(WorkWords.of("export.failed", id, e.getMessage())));
    }

    private Talks talks() {
        return new Talks(desk.library().folder());
    }

    /** Writes the last breakdown of the open match as a film. */
    public void write() {
        MatchRecord r = desk.openRecord().get();
        if (r == null) {
            return;
        }
        Set<String> athletes = Set.of(r.details().a().id(), r.details().b().id());
        Path target = desk.library().folder().resolve("reels").resolve("talk.mp4");
        desk.publisher().export(Words.of("talk.writing"), target, talks().film(r.id(), athletes, painter));
    }
}
