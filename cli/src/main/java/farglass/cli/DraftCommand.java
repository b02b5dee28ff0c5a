package farglass.cli;

import farglass.draft.CaptionDrafts;
import farglass.draft.ClockDrafts;
import farglass.draft.Draft;
import farglass.draft.DraftFate;
import farglass.draft.DraftList;
import farglass.draft.ScoreDrafts;
import farglass.draft.SpeechLag;
import farglass.film.FilmException;
import farglass.film.FilmFile;
import farglass.film.map.MapFinder;
import farglass.film.map.MapProposal;
import farglass.lexicon.Lexicon;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.store.caption.CaptionFile;
import farglass.store.json.DraftJson;
import farglass.store.json.FormatException;
import farglass.table.ReadCall;
import farglass.table.ReadCalls;
import farglass.table.ReadChange;
import farglass.time.ClockMap;
import farglass.work.score.ReadScore;
import farglass.work.session.TeamWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Prints what may be tagged in a match by what was said over it. */
@Command(
        name = "draft",
        description =
                "Drafts tags of a match from captions (who did what, how it went, what was thought of it) and from the"
                        + " clock and the score on its film",
        mixinStandardHelpOptions = true)
final class DraftCommand implements Callable<Integer> {
    private final Output output;

    @Parameters(paramLabel = "MATCH.json")
    private Path file;

    @Option(
            names = "--captions",
            paramLabel = "FILE",
            description = "WebVTT, SubRip, or plain lines that begin with m:ss")
    private @Nullable Path captions;

    @Option(
            names = "--film",
            paramLabel = "FILM",
            description = "the film that the captions follow, as the record names it; usually its first. A film that"
                    + " lies there is read too: its clock and its score make drafts")
    private @Nullable String film;

    @Option(
            names = "--lag",
            paramLabel = "MS",
            description = "how long after the act it is said, usually ${DEFAULT-VALUE}",
            defaultValue = "" + SpeechLag.USUAL_MS)
    private long lag;

    @Mixin
    private TeamOptions team;

    DraftCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() throws Unreadable {
        if (lag < 0 || lag > 60_000) {
            throw new IllegalArgumentException("--lag must lie in 0..60000");
        }
        TeamWords words = team.words(output);
        MatchRecord record = MatchFiles.read(file);
        FilmRef ref = film(record);
        boolean there = film != null && Files.isRegularFile(Path.of(film));
        if (captions == null && !there) {
            throw new IllegalArgumentException(
                    "nothing to draft from: give --captions FILE, or --film FILM that is there");
        }
        DraftList list = DraftList.empty(record.id());
        if (film != null && ref != null && there) {
            MapProposal found = read(Path.of(film));
            ref = ref.map().isEmpty() ? mapped(ref, found) : ref;
            record = with(record, ref);
            list = list.with(seen(found, record, ref, words), record, words.lexicon())
                    .with(ClockDrafts.of(record, ref), record, words.lexicon());
        }
        if (captions != null) {
            list = list.with(said(captions, record, ref, words.lexicon()), record, words.lexicon());
        }
        // also what the record holds already: whoever reads this may want to compare
        List<Draft> drafts = list.judged(record, words.lexicon(), lag).stream()
                .filter(j -> j.fate() != DraftFate.OUT_OF_SIGHT)
                .map(DraftList.Judged::draft)
                .toList();
        output.print(DraftJson.document(record.id(), drafts));
        return CliMain.DONE;
    }

    private List<Draft> said(Path from, MatchRecord record, @Nullable FilmRef ref, Lexicon lexicon) throws Unreadable {
        try {
            return CaptionDrafts.of(CaptionFile.read(from), from.getFileName().toString(), record, ref, lexicon, lag);
        } catch (IOException | FormatException e) {
            throw new Unreadable(from + ": " + e.getMessage());
        }
    }

    private static MapProposal read(Path path) throws Unreadable {
        try (FilmFile opened = FilmFile.open(path)) {
            return MapFinder.of(opened).find(x -> {}, () -> false);
        } catch (FilmException e) {
            throw new Unreadable(e.getMessage());
        }
    }

    private static FilmRef mapped(FilmRef ref, MapProposal found) {
        return new FilmRef(ref.file(), ref.sha256(), ref.durationMs(), ref.mirrored(), found.map(), ref.extra());
    }

    /** The record with a film's clock map; a film that it does not have yet is put first. */
    private static MatchRecord with(MatchRecord record, FilmRef ref) {
        List<FilmRef> films = new ArrayList<>(record.films());
        films.removeIf(f -> f.file().equals(ref.file()));
        films.add(0, ref);
        return record.withFilms(films);
    }

    private static List<Draft> seen(MapProposal found, MatchRecord record, FilmRef ref, TeamWords words) {
        List<ReadChange> changes = ReadScore.of(record, ref.file(), found).changes(ref.map());
        List<ReadCall> calls = ReadCalls.of(
                record,
                words.rulesets()
                        .orUsual(record.details().ruleset(), record.details().date()),
                words.lexicon(),
                changes);
        return ScoreDrafts.of(calls, ref.file());
    }

    private @Nullable FilmRef film(MatchRecord record) {
        if (film == null) {
            return record.films().isEmpty() ? null : record.films().get(0);
        }
        if (record.films().isEmpty() && Files.isRegularFile(Path.of(film))) {
            return FilmRef.of(film, null, ClockMap.EMPTY);
        }
        return record.films().stream()
                .filter(f -> f.file().equals(film)
                        || Path.of(f.file()).getFileName().equals(Path.of(film).getFileName()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("--film: the match has no film \"" + film + "\""));
    }
}
