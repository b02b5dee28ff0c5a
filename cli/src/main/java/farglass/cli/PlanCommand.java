package farglass.cli;

import farglass.matchup.advise.Intent;
import farglass.matchup.advise.IntentReader;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.MeetingWriter;
import farglass.matchup.advise.OwnPlan;
import farglass.matchup.advise.Proposal;
import farglass.store.json.GamePageJson;
import farglass.store.json.OwnPlanJson;
import farglass.store.json.ProposalJson;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Prints how best to fight an opponent. */
@Command(name = "plan", description = "Prints the computed plan against an opponent", mixinStandardHelpOptions = true)
final class PlanCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Mixin
    private MeetingOptions options;

    @Option(names = "--no-draws", description = "without intervals: a second instead of a minute")
    private boolean noDraws;

    @Option(
            names = "--own",
            paramLabel = "SENTENCE",
            description = "a sentence of your own plan, to be valued; may be given again")
    private List<String> own = List.of();

    PlanCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        Meeting meeting = options.meeting(clock, output);
        MeetingSolution solved = meeting.solve();
        Proposal drawn = noDraws ? null : Proposal.drawn(solved, options.seed(), x -> {}, () -> false);
        Proposal p = drawn == null ? Proposal.of(solved) : drawn;
        Map<String, Object> document = new ProposalJson(p, options.writer()).document(options.seed());
        document.put("page", GamePageJson.rows(options.page(p)));
        if (!own.isEmpty()) {
            document.put("own", own(p));
        }
        document.put("errors", options.errors());
        output.print(document);
        return options.errors().isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }

    private Map<String, Object> own(Proposal p) {
        MeetingWriter writer = options.writer();
        MeetingSolution solved = p.solved();
        IntentReader reader = writer.reader(solved);
        List<Intent> intents =
                own.stream().flatMap(s -> reader.read(s).stream()).toList();
        int draws = p.decisions().draws();
        OwnPlan drawn = draws == 0
                ? null
                : OwnPlan.drawn(solved, intents, p.decisions(), draws, options.seed(), x -> {}, () -> false);
        OwnPlan plan = drawn == null ? OwnPlan.of(solved, intents, p.decisions()) : drawn;
        return new OwnPlanJson(writer.own(), solved.meeting().model()).row(plan);
    }
}
