package farglass.cli;

import farglass.match.MatchAthlete;
import farglass.match.MatchRecord;
import farglass.matchup.advise.Meeting;
import farglass.matchup.simulate.FullSimulator;
import farglass.matchup.simulate.Outcomes;
import farglass.matchup.simulate.Simulator;
import farglass.matchup.solve.BackwardInduction;
import farglass.matchup.solve.Policy;
import farglass.store.WholeFile;
import farglass.store.json.MatchJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Plays a match-up many times. */
@Command(
        name = "simulate",
        description = "Plays a match-up many times and prints how it ends",
        mixinStandardHelpOptions = true)
final class SimulateCommand implements Callable<Integer> {
    /** Records written at the most. */
    private static final int WRITTEN = 1000;

    private final Output output;
    private final Clock clock;

    @Mixin
    private MeetingOptions options;

    @Option(names = "--n", required = true, paramLabel = "N")
    private long n;

    @Option(names = "--rules", paramLabel = "model|full", description = "full: every match scored by the rules engine")
    private String rules = "model";

    @Option(names = "--natural", description = "without a plan")
    private boolean natural;

    @Option(names = "--write", paramLabel = "DIR", description = "the first matches as records")
    private Path write;

    SimulateCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        if (n < 1 || n > 100_000_000) {
            throw new IllegalArgumentException("--n must lie in 1..100000000");
        }
        if (!List.of("model", "full").contains(rules)) {
            throw new IllegalArgumentException("--rules: \"" + rules + "\" is not one of model, full");
        }
        Meeting meeting = options.meeting(clock, output);
        BackwardInduction p =
                new BackwardInduction(meeting.model(), meeting.question().settings());
        Policy policy = natural ? null : p.best(BackwardInduction.Answer.BEHIND).policy();
        FullSimulator full = new FullSimulator(
                p,
                policy,
                athlete(meeting.question().us()),
                athlete(meeting.question().them()));
        Outcomes o = rules.equals("full")
                ? full.run(n, options.seed(), () -> false)
                : new Simulator(p, policy).run(n, options.seed(), () -> false);
        if (write != null) {
            write(full);
        }
        Map<String, Object> document = new LinkedHashMap<>();
        document.put("n", o.n());
        document.put("seed", options.seed());
        document.put("rules", rules);
        Map<String, Long> endings = new TreeMap<>();
        o.endings().forEach((e, count) -> endings.put(e.code(), count));
        document.put("outcomes", endings);
        document.put("win", o.win());
        if (rules.equals("full")) {
            document.put(
                    "note",
                    "Under the whole rules points wait for the hold, so that the favourite wins a little less often than"
                            + " the model says, which gives them at once.");
        }
        document.put("se", o.standardError());
        document.put("scores", scores(o));
        document.put("errors", options.errors());
        output.print(document);
        return options.errors().isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }

    private MatchAthlete athlete(String id) {
        return new MatchAthlete(id, options.name(id), null, null, Map.of());
    }

    private static List<Object> scores(Outcomes o) {
        List<Object> rows = new ArrayList<>();
        new TreeMap<>(o.scores()).forEach((score, count) -> {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("us", score.ours());
            row.put("them", score.theirs());
            row.put("n", count);
            rows.add(row);
        });
        return rows;
    }

    private void write(FullSimulator full) throws Unreadable {
        try {
            Files.createDirectories(write);
            for (long i = 0; i < Math.min(n, WRITTEN); i++) {
                MatchRecord r = full.record(options.seed() + i);
                WholeFile.write(write.resolve(r.id() + ".match.json"), MatchJson.write(r));
            }
        } catch (IOException e) {
            throw new Unreadable(write + ": could not be written (" + e.getMessage() + ")");
        }
    }
}
