package farglass.desk.film;

import farglass.desk.shell.Desk;
import farglass.desk.shell.Words;
import farglass.draft.CaptionDrafts;
import farglass.draft.ClockDrafts;
import farglass.draft.Draft;
import farglass.draft.RecordDrafts;
import farglass.draft.ScoreDrafts;
import farglass.draft.Source;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.match.TagInfo;
import farglass.store.caption.CaptionFile;
import farglass.table.ReadCall;
import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Brings in what others have said or shown about the open match, as drafts. */
final class DraftIntake {
    private static final List<String> ENDINGS = List.of("vtt", "srt", "txt");

    private final Desk desk;
    private final Angles angles;
    private final Runnable added;
    /** Captions beside films that were read, or found unreadable, since the window was opened. */
    private final Set<Path> seen = new HashSet<>();

    /** @param added shows what came in */
    DraftIntake(Desk desk, Angles angles, Runnable added) {
        this.desk = desk;
        this.angles = angles;
        this.added = added;
    }

    static boolean isCaptions(Path file) {
        String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
        return ENDINGS.stream().anyMatch(e -> name.endsWith("." + e));
    }

    /** Asks for captions of the film looked at. */
    void choose(Window window) {
        if (desk.openRecord().get() == null) {
            return;
        }
        FileChooser chooser = new FileChooser();
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(
                        Words.of("drafts.captions"),
                        ENDINGS.stream().map(e -> "*." + e).toList()));
        Optional.ofNullable(chooser.showOpenDialog(window)).map(File::toPath).ifPresent(this::captions);
    }

    /** Reads captions of the film looked at, in the background; their drafts come beside the record. */
    void captions(Path file) {
        read(file, true);
    }

    /** Captions that lie beside the film under its name are read without being asked for. */
    void beside(MatchRecord r) {
        Path film = angles.path(r);
        if (film == null) {
            return;
        }
        String name = film.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        for (String e : ENDINGS) {
            Path file = film.resolveSibling(name + "." + e);
            if (seen.add(file)
                    && Files.isRegularFile(file)
                    && !known(r, file.getFileName().toString())) {
                read(file, false);
            }
        }
    }

    private boolean known(MatchRecord r, String from) {
        return desk.session().drafts().of(r.id()).drafts().stream()
                .flatMap(d -> d.bases().stream())
                .anyMatch(b -> b.from().equals(from));
    }

    private void read(Path file, boolean asked) {
        MatchRecord r = desk.openRecord().get();
        if (r == null) {
            return;
        }
        FilmRef film = angles.film(r);
        long lag = desk.session().drafts().lagMs();
        String name = file.getFileName().toString();
        desk.tasks()
                // their drafts are kept: neither a second file nor a window that closes may drop them
                .command(
                        Words.of("drafts.reading", name),
                        () -> CaptionDrafts.of(CaptionFile.read(file), name, r, film, desk.lexicon(), lag),
                        found -> came(r, found, name, asked),
                        e -> desk.notices().problem(Words.of("drafts.unreadable", name, e.getMessage())));
    }

    private void came(MatchRecord r, List<Draft> found, String from, boolean asked) {
        if (found.isEmpty()) {
            if (asked) {
                desk.notices().done(Words.of("drafts.nothing", from));
            }
            return;
        }
        desk.session().drafts().add(r.id(), found);
        desk.notices().done(Words.of("drafts.came", from, found.size()));
        if (asked) {
            added.run();
        }
    }

    /** Calls that the score on the film shows and the record does not hold. */
    void score(List<ReadCall> calls) {
        MatchRecord r = desk.openRecord().get();
        if (r != null && angles.film(r) != null) {
            desk.session()
                    .drafts()
                    .add(r.id(), ScoreDrafts.of(calls, angles.film(r).file()));
        }
    }

    /** Stops, restarts and the end, as the clock of the film looked at shows them. */
    void clock() {
        MatchRecord r = desk.openRecord().get();
        if (r != null && angles.film(r) != null && !angles.film(r).map().isEmpty()) {
            desk.session().drafts().add(r.id(), ClockDrafts.of(r, angles.film(r)));
        }
    }

    /** Other records of the open match. */
    List<MatchRecord> others() {
        MatchRecord r = desk.openRecord().get();
        return r == null
                ? List.of()
                : RecordDrafts.others(r, desk.session().records().all());
    }

    /** What other records of this match hold. */
    void fromOthers() {
        MatchRecord r = desk.openRecord().get();
        List<MatchRecord> others = others();
        if (others.isEmpty()) {
            desk.notices().done(Words.of("drafts.no-others"));
            return;
        }
        List<Draft> found = new ArrayList<>();
        for (MatchRecord o : others) {
            Optional<String> tagger = tagger(o);
            Source source = tagger.equals(tagger(r)) ? Source.REPEAT : Source.ANALYST;
            found.addAll(RecordDrafts.of(o, r, source, tagger.map(t -> t + ", ").orElse("") + o.id()));
        }
        int n = desk.session().drafts().add(r.id(), found);
        desk.notices().done(Words.of("drafts.others", others.size(), n));
        added.run();
    }

    private static Optional<String> tagger(MatchRecord r) {
        return r.tags().stream()
                .map(t -> t.info())
                .map(TagInfo::tagger)
                .flatMap(Stream::ofNullable)
                .findFirst();
    }
}
