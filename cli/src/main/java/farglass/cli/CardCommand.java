package farglass.cli;

import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Proposal;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.work.publish.PlanPublication;
import farglass.work.publish.Published;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Writes the card that the corner holds. */
@Command(name = "card", description = "Writes the corner card of the computed plan", mixinStandardHelpOptions = true)
final class CardCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Mixin
    private MeetingOptions options;

    @Option(
            names = "--out",
            required = true,
            paramLabel = "OUT.pdf",
            description = "a name that ends in -a4.pdf is A4, any other A5")
    private Path out;

    CardCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        Meeting meeting = options.meeting(clock, output);
        Meeting.Question q = meeting.question();
        Source source = options.source();
        Assignment a = source.assignment(q.us(), q.them()).orElse(null);
        // what was agreed about conduct stands in the plan of the library
        Plan plan = source.plan(q.us(), q.them()).orElseGet(() -> Plan.empty("card", "", q.us(), q.them()));
        String occasion = a == null
                ? PlanPublication.occasion(q.rules(), q.lengthMs() / 60_000)
                : PlanPublication.occasion(a, source.words().rulesets());
        Published done = source.write(
                new PlanPublication(source.material(a), plan)
                        .card(options.page(Proposal.of(meeting.solve())), occasion),
                out);
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("us", q.us());
        m.put("them", q.them());
        m.put("files", done.files().stream().map(Path::toString).toList());
        m.put("errors", source.errors());
        output.print(m);
        return source.errors().isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }
}
