package farglass.cli;

import farglass.brief.Briefing;
import farglass.brief.Slide;
import farglass.match.PersonName;
import farglass.matchup.advise.Meeting;
import farglass.matchup.advise.Proposal;
import farglass.matchup.gameplan.GamePage;
import farglass.matchup.gameplan.GamePageWriter;
import farglass.matchup.gameplan.GamePlan;
import farglass.plan.Assignment;
import farglass.plan.Plan;
import farglass.scout.ScoutingReport;
import farglass.text.Language;
import farglass.work.meeting.MeetingService;
import farglass.work.profile.ProfileService;
import farglass.work.publish.BriefPublication;
import farglass.work.publish.Material;
import farglass.work.publish.PlanPublication;
import farglass.work.publish.Publication;
import farglass.work.publish.Published;
import java.nio.file.Path;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Writes what the athlete is told: as a film, on paper, or as a page. */
@Command(name = "brief", description = "Writes the briefing of a plan", mixinStandardHelpOptions = true)
final class BriefCommand implements Callable<Integer> {
    private final Output output;
    private final Clock clock;

    @Option(names = "--library", required = true, paramLabel = "PATH")
    private Path library;

    @Option(
            names = "--plan",
            required = true,
            paramLabel = "ID",
            description = "as ./farglass list LIBRARY plans names it")
    private String plan;

    @Option(names = "--nameless", description = "films without names, dates and events, even if the plan has them")
    private boolean nameless;

    @Option(
            names = "--out",
            required = true,
            paramLabel = "OUT",
            description = "its ending says what: .mp4, .pdf or .html")
    private Path out;

    BriefCommand(Output output, Clock clock) {
        this.output = output;
        this.clock = clock;
    }

    @Override
    public Integer call() throws Unreadable {
        String name = out.getFileName().toString().toLowerCase(Locale.ROOT);
        if (!name.endsWith(".mp4") && !name.endsWith(".pdf") && !name.endsWith(".html")) {
            throw new IllegalArgumentException("--out: \"" + out + "\" does not end in .mp4, .pdf or .html");
        }
        Source source = Source.of(library, clock, output);
        Plan p = source.plan(plan);
        Assignment a = source.assignment(p.us(), p.them()).orElse(null);
        Material material = source.material(a);
        String occasion =
                a == null ? "" : PlanPublication.occasion(a, source.words().rulesets());
        ScoutingReport them = ProfileService.scouting(
                source.index(),
                p.them(),
                MeetingService.Ask.of(a, p.them(), source.words().rulesets()));
        List<Slide> slides =
                Briefing.of(p, them, page(source, p, a), source.index(), material.names(), occasion).stream()
                        .filter(s -> !s.hidden())
                        .toList();
        BriefPublication brief =
                new BriefPublication(material, slides, nameless || p.brief().nameless());
        Publication kind = name.endsWith(".mp4") ? brief.film() : name.endsWith(".pdf") ? brief.paper() : brief.page();
        Published done = source.write(kind, out);
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("plan", p.id());
        m.put("slides", slides.size());
        m.put("moments", slides.stream().mapToInt(s -> s.moments().size()).sum());
        m.put("files", done.files().stream().map(Path::toString).toList());
        m.put("errors", source.errors());
        output.print(m);
        return source.errors().isEmpty() ? CliMain.DONE : CliMain.UNREADABLE;
    }

    /** The game plan without intervals, which would take a minute; null without a match-up or with too little film. */
    private static @Nullable GamePage page(Source source, Plan p, @Nullable Assignment a) {
        return MeetingService.Ask.of(a, p.them(), source.words().rulesets())
                .map(ask -> MeetingService.meeting(
                        source.index(),
                        ask,
                        p.approach().settings(),
                        p.trainedApproach().wishes()))
                .filter(Meeting::enough)
                .map(m -> Proposal.of(m.solve()))
                .map(x -> new GamePageWriter(
                                Language.locale(),
                                source.words().lexicon(),
                                PersonName.first(source.index().name(p.us())),
                                PersonName.first(source.index().name(p.them())))
                        .page(x, GamePlan.of(x, source.index()), null, p.calls()))
                .orElse(null);
    }
}
