package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.Digest;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmInfo;
import farglass.film.studio.Footage;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.simulate.Broadcast;
import farglass.simulate.DemoLibrary;
import farglass.store.bundle.FileNames;
import farglass.time.ClockMap;
import farglass.work.session.FilmPlaces;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.input.TransferMode;

/** Gives the open record a film: its first, one that lay elsewhere, another camera's; or one drawn from its tags. */
final class FilmChoice {
    /** Two files of one film may differ by so much in length. */
    private static final long SAME_LENGTH_MS = 500;

    private final Desk desk;
    private final Angles angles;
    private Consumer<Path> captions = file -> {};

    FilmChoice(Desk desk, Angles angles) {
        this.desk = desk;
        this.angles = angles;
    }

    /**
     * Lets film files, their captions, or a folder to look for lost films in, be dropped on a part of the window.
     *
     * @param takeCaptions takes captions of the film looked at
     */
    void acceptDrops(Node target, Consumer<Path> takeCaptions) {
        captions = takeCaptions;
        target.setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
            e.consume();
        });
        target.setOnDragDropped(e -> {
            boolean taken = e.getDragboard().hasFiles() && desk.openRecord().get() != null;
            if (taken) {
                take(e.getDragboard().getFiles().get(0).toPath());
            }
            e.setDropCompleted(taken);
            e.consume();
        });
    }

    private record Looked(FilmInfo info, String sha256) {}

    /** Looks into the file first; the record changes only when it can be decoded. */
    void take(Path file) {
        if (Files.isDirectory(file)) {
            new LostFilms(desk).lookIn(file);
            return;
        }
        if (DraftIntake.isCaptions(file)) {
            captions.accept(file);
            return;
        }
        MatchRecord r = desk.openRecord().get();
        desk.notices().done(Words.of("film.looking", file.getFileName()));
        desk.tasks().longTask(Words.of("film.looking", file.getFileName()), (progress, cancelled) -> {
            try {
                FilmInfo info = look(file);
                Optional<String> sha = Digest.of(file, progress, cancelled);
                sha.ifPresent(s -> Platform.runLater(() -> taken(r, file, new Looked(info, s))));
            } catch (FilmException e) {
                desk.notices().problem(e.getMessage());
            }
        });
    }

    private static FilmInfo look(Path file) throws FilmException {
        try (FilmFile film = FilmFile.open(file)) {
            return film.info();
        }
    }

    private void taken(MatchRecord asked, Path file, Looked looked) {
        MatchRecord r = desk.openRecord().get();
        if (!r.id().equals(asked.id())) {
            return;
        }
        String path = file.toAbsolutePath().toString();
        FilmRef fresh = new FilmRef(
                path, looked.sha256(), looked.info().durationMs(), false, ClockMap.EMPTY, java.util.Map.of());
        String told = looked.info().truncated() ? "film.truncated" : "film.taken";
        if (r.films().isEmpty()) {
            desk.edit(new Edit.SetFilms(r.films(), List.of(fresh)));
        } else if (Files.exists(angles.path(r))) {
            List<FilmRef> more = new ArrayList<>(r.films());
            more.add(fresh);
            angles.to(more.size() - 1);
            desk.edit(new Edit.SetFilms(r.films(), more));
            told = "film.added";
        } else {
            told = relink(r, fresh);
        }
        desk.notices().done(Words.of(told));
    }

    /** The lost film lies here: what is known of it stays. */
    private String relink(MatchRecord r, FilmRef found) {
        FilmRef lost = angles.film(r);
        if (desk.team().get() != null && found.sha256().equals(lost.sha256())) {
            desk.preferences().set(FilmPlaces.setting(found.sha256()), found.file());
            desk.filmArrived(r.id());
            return "film.found";
        }
        desk.edit(angles.put(
                r,
                new FilmRef(
                        found.file(), found.sha256(), found.durationMs(), lost.mirrored(), lost.map(), lost.extra())));
        boolean same = found.sha256().equals(lost.sha256());
        boolean alike = lost.durationMs() == null || Math.abs(lost.durationMs() - found.durationMs()) <= SAME_LENGTH_MS;
        return same ? "film.found" : alike ? "film.found.like" : "film.found.other";
    }

    /** Takes the film looked at away from the match; the file stays where it is. */
    void remove() {
        MatchRecord r = desk.openRecord().get();
        if (r == null || r.films().isEmpty()) {
            return;
        }
        List<FilmRef> fewer = new ArrayList<>(r.films());
        fewer.remove(angles.index(r));
        angles.to(0);
        desk.edit(new Edit.SetFilms(r.films(), fewer));
        desk.notices().done(Words.of("film.removed"));
    }

    /** Draws made-up footage of a record from its tags; a record without a film reference gets one. */
    void makeFootage(MatchRecord r) {
        boolean fresh = r.films().isEmpty();
        MatchRecord shown = DemoLibrary.shown(r, desk.lexicon());
        ClockMap map = fresh ? Broadcast.of(r) : shown == r ? angles.clock(r) : shown.clock();
        String file = fresh
                ? "films/" + FileNames.of(r.id()) + ".mp4"
                : angles.film(r).file();
        Path target = desk.library().folder().resolve(file);
        desk.tasks().longTask(Words.of("film.making"), (progress, cancelled) -> {
            try {
                if (Footage.standard().make(shown, map, desk.lexicon(), target, progress, cancelled)) {
                    Platform.runLater(() -> arrived(r, map, file, fresh));
                }
            } catch (FilmException e) {
                desk.notices().problem(e.getMessage());
            }
        });
    }

    private void arrived(MatchRecord drawn, ClockMap map, String file, boolean fresh) {
        MatchRecord now = desk.openRecord().get();
        if (fresh && now.id().equals(drawn.id()) && now.films().isEmpty()) {
            long length = map.segments().get(map.segments().size() - 1).to().ms();
            desk.edit(new Edit.SetFilms(now.films(), List.of(FilmRef.of(file, length, map))));
        }
        desk.filmArrived(drawn.id());
    }
}
