package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.FilmInfo;
import farglass.film.studio.Footage;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.simulate.Broadcast;
import farglass.store.bundle.Bundle;
import farglass.time.ClockMap;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.TransferMode;

/** Gives the open record a film: dragged in, or drawn from its tags. */
final class FilmChoice {
    private final Desk desk;

    FilmChoice(Desk desk) {
        this.desk = desk;
    }

    /** Lets film files be dropped on a part of the window. */
    void acceptDrops(Node target) {
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

    /** Looks into the file first; the record changes only when it can be decoded. */
    void take(Path file) {
        MatchRecord r = desk.openRecord().get();
        desk.notices().done(Words.of("film.looking", file.getFileName()));
        desk.background()
                .compute(
                        "film-choice",
                        () -> look(file),
                        info -> {
                            if (!desk.openRecord().get().equals(r)) {
                                return;
                            }
                            FilmRef ref =
                                    FilmRef.of(file.toAbsolutePath().toString(), info.durationMs(), ClockMap.EMPTY);
                            desk.edit(new Edit.SetFilms(r.films(), List.of(ref)));
                            desk.notices().done(Words.of(info.truncated() ? "film.truncated" : "film.taken"));
                        },
                        e -> desk.notices().problem(e.getMessage()));
    }

    private static FilmInfo look(Path file) throws FilmException {
        try (FilmFile film = FilmFile.open(file)) {
            return film.info();
        }
    }

    /** Draws made-up footage of a record from its tags; a record without a film reference gets one. */
    void makeFootage(MatchRecord r) {
        boolean fresh = r.films().isEmpty();
        ClockMap map = fresh ? Broadcast.of(r) : r.clock();
        String file = fresh
                ? "films/" + Bundle.safe(r.id()) + ".mp4"
                : r.films().get(0).file();
        Path target = desk.library().folder().resolve(file);
        desk.background().longWork(Words.of("film.making"), (progress, cancelled) -> {
            try {
                if (Footage.standard().make(r, map, desk.lexicon(), target, progress, cancelled)) {
                    javafx.application.Platform.runLater(() -> arrived(r, map, file, fresh));
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
