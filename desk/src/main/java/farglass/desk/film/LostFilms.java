package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.film.Digest;
import farglass.film.FilmException;
import farglass.match.Edit;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.work.session.FilmPlaces;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.application.Platform;

/** Finds films that are not where a record says, by their checksum, in a folder and all below it. */
public final class LostFilms {
    private static final Set<String> ENDINGS = Set.of("mp4", "m4v", "mov", "mkv", "webm", "avi", "mpg", "ts");
    private static final int DEPTH = 8;

    private final Desk desk;

    /** Of the library that is open. */
    public LostFilms(Desk desk) {
        this.desk = desk;
    }

    /** Reads every film of a folder; records whose films are found there are changed, each with an undo of its own. */
    public void lookIn(Path folder) {
        Map<String, List<MatchRecord>> lost = lost();
        if (lost.isEmpty()) {
            desk.notices().done(Words.of("lost.none"));
            return;
        }
        desk.tasks().longTask(Words.of("lost.looking", folder.getFileName()), (progress, cancelled) -> {
            Map<String, Path> found = new HashMap<>();
            try (Stream<Path> walk = Files.walk(folder, DEPTH)) {
                List<Path> films = walk.filter(LostFilms::isFilm).sorted().toList();
                for (int i = 0; i < films.size(); i++) {
                    int n = i;
                    Path film = films.get(i);
                    Optional<String> sha =
                            Digest.of(film, share -> progress.accept((n + share) / films.size()), cancelled);
                    if (sha.isEmpty()) {
                        return;
                    }
                    if (lost.containsKey(sha.get())) {
                        found.putIfAbsent(sha.get(), film.toAbsolutePath());
                    }
                }
                Platform.runLater(() -> relink(lost, found));
            } catch (IOException | FilmException e) {
                desk.notices().problem(Words.of("lost.failed", folder, e.getMessage()));
            }
        });
    }

    private static boolean isFilm(Path p) {
        String name = p.getFileName().toString().toLowerCase(Locale.ROOT);
        return Files.isRegularFile(p) && ENDINGS.contains(name.substring(name.lastIndexOf('.') + 1));
    }

    /** Records with a film that is not there, by its checksum. */
    private Map<String, List<MatchRecord>> lost() {
        Map<String, List<MatchRecord>> lost = new HashMap<>();
        for (MatchRecord r : desk.matches()) {
            for (FilmRef f : r.films()) {
                if (f.sha256() != null && !Files.exists(desk.filmPath(f))) {
                    lost.computeIfAbsent(f.sha256(), k -> new ArrayList<>()).add(r);
                }
            }
        }
        return lost;
    }

    private void relink(Map<String, List<MatchRecord>> lost, Map<String, Path> found) {
        int relinked = 0;
        boolean ofTeam = desk.team().get() != null;
        for (Map.Entry<String, Path> f : found.entrySet()) {
            for (MatchRecord seen : lost.get(f.getKey())) {
                relinked++;
                if (ofTeam) {
                    // where it lies on this machine is nothing to the others
                    continue;
                }
                MatchRecord r = desk.match(seen.id()).orElse(seen);
                List<FilmRef> after = r.films().stream()
                        .map(x -> f.getKey().equals(x.sha256())
                                ? x.at(f.getValue().toString())
                                : x)
                        .toList();
                desk.edit(r.id(), new Edit.SetFilms(r.films(), after));
            }
            if (ofTeam) {
                desk.preferences()
                        .set(FilmPlaces.setting(f.getKey()), f.getValue().toString());
            }
        }
        int wanted = lost.values().stream().mapToInt(List::size).sum();
        desk.notices().done(Words.of("lost.found", relinked, wanted));
    }
}
