package farglass.cli;

import farglass.draft.CaptionDrafts;
import farglass.draft.Draft;
import farglass.draft.DraftFate;
import farglass.draft.DraftList;
import farglass.draft.SpeechLag;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.store.caption.CaptionFile;
import farglass.store.json.DraftJson;
import farglass.store.json.FormatException;
import farglass.work.session.TeamWords;
import java.io.IOException;
import java.nio.file.Path;
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
        description = "Drafts tags of a match from captions: who did what, how it went, what was thought of it",
        mixinStandardHelpOptions = true)
final class DraftCommand implements Callable<Integer> {
    private final Output output;

    @Parameters(paramLabel = "MATCH.json")
    private Path file;

    @Option(
            names = "--captions",
            required = true,
            paramLabel = "FILE",
            description = "WebVTT, SubRip, or plain lines that begin with m:ss")
    private Path captions;

    @Option(
            names = "--film",
            paramLabel = "FILM",
            description = "the film that the captions follow, as the record names it; usually its first")
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
        List<Draft> drafts;
        try {
            List<Draft> found = CaptionDrafts.of(
                    CaptionFile.read(captions), captions.getFileName().toString(), record, ref, words.lexicon(), lag);
            // also what the record holds already: whoever reads this may want to compare
            drafts =
                    DraftList.empty(record.id())
                            .with(found, record, words.lexicon())
                            .judged(record, words.lexicon(), lag)
                            .stream()
                            .filter(j -> j.fate() != DraftFate.OUT_OF_SIGHT)
                            .map(DraftList.Judged::draft)
                            .toList();
        } catch (IOException | FormatException e) {
            throw new Unreadable(captions + ": " + e.getMessage());
        }
        output.print(DraftJson.document(record.id(), drafts));
        return CliMain.DONE;
    }

    private @Nullable FilmRef film(MatchRecord record) {
        if (film == null) {
            return record.films().isEmpty() ? null : record.films().get(0);
        }
        return record.films().stream()
                .filter(f -> f.file().equals(film)
                        || Path.of(f.file()).getFileName().equals(Path.of(film).getFileName()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("--film: the match has no film \"" + film + "\""));
    }
}
