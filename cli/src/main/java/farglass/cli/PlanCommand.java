package farglass.cli;

import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.MeetingSolution;
import farglass.matchup.advise.Proposal;
import farglass.store.json.ProposalJson;
import java.time.Clock;
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
        document.put("errors", options.errors());
        output.print(document);
        return options.errors().isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }
}
