package farglass.cli;

import farglass.match.MatchRecord;
import farglass.phrase.TagQuery;
import farglass.work.publish.Cut;
import farglass.work.publish.Published;
import farglass.work.publish.ReelPublication;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Writes moments found by what is tagged as one film. */
@Command(name = "reel", description = "Writes the moments of some tags as one film", mixinStandardHelpOptions = true)
final class ReelCommand implements Callable<Integer> {
    /** Moments of one reel at the most, as in the window. */
    private static final int MOST = 120;

    private final Output output;
    private final Clock clock;

    @Option(names = "--library", required = true, paramLabel = "PATH")
    private Path library;

    @Option(
            names = "--find",
            required = true,
            paramLabel = "TEXT",
            description = "which tags: \"knee cut right completed\", \"tolendt sweeps\", \"mount\"")
    private String find;

    @Option(names = "--match", paramLabel = "ID", description = "only in this match; may be given again")
    private List<String> matches = List.of();

    @Option(names = "--title", paramLabel = "TEXT", description = "on the cards; the tags looked for when not given")
    private String title;

    @Option(names = "--nameless", description = "without names, dates and events")
    private boolean nameless;

    @Option(names = "--out", required = true, paramLabel = "OUT.mp4", description = "the list of clips goes beside it")
    private Path out;

    ReelCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        Source source = Source.of(library, clock, output);
        TagQuery.Reading read = TagQuery.read(
                find,
                source.words().lexicon(),
                KnownIds.athletes(source.records()).values());
        if (!read.problem().isEmpty()) {
            throw new IllegalArgumentException("--find: \"" + read.problem()
                    + "\" is neither a word of the lexicon nor an athlete of this library. Nothing was written.");
        }
        List<Cut> cuts = new ArrayList<>();
        int found = 0;
        for (MatchRecord r : source.records()) {
            if (matches.isEmpty() || matches.contains(r.id())) {
                for (int tag : read.query().in(r, source.words().lexicon())) {
                    found++;
                    cuts.add(Cut.of(r.id(), tag));
                }
            }
        }
        ReelPublication reel =
                new ReelPublication(source.material(null), title == null ? find : title, cuts, !nameless, MOST);
        Published done = source.write(reel, out);
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("found", found);
        m.put("clips", reel.clips());
        m.put("files", done.files().stream().map(Path::toString).toList());
        m.put("errors", source.errors());
        output.print(m);
        return source.errors().isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }
}
