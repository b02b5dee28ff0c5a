package farglass.cli;

import farglass.draft.CaptionDrafts;
import farglass.draft.Draft;
import farglass.match.FilmRef;
import farglass.match.MatchRecord;
import farglass.store.caption.CaptionFile;
import farglass.store.json.FormatException;
import farglass.store.json.TagJson;
import farglass.work.session.TeamWords;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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
    static final String FORMAT = "farglass.draft/1";
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
            defaultValue = "" + CaptionDrafts.USUAL_LAG_MS)
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
            drafts = CaptionDrafts.of(CaptionFile.read(captions), record, ref, words.lexicon(), lag);
        } catch (IOException | FormatException e) {
            throw new Unreadable(captions + ": " + e.getMessage());
        }
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("format", FORMAT);
        m.put("match", record.id());
        m.put("drafts", drafts.stream().map(DraftCommand::row).toList());
        output.print(m);
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

    private static Map<String, Object> row(Draft d) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("filmMs", d.filmMs() < 0 ? null : d.filmMs());
        m.put("matchMs", d.tag().t().ms());
        m.put("tag", TagJson.write(d.tag()));
        m.put("source", d.source().name().toLowerCase(Locale.ROOT));
        m.put("confidence", Math.round(1000 * d.confidence()) / 1000.0);
        m.put("text", d.text());
        return m;
    }
}
