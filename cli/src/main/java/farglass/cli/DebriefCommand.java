package farglass.cli;

import farglass.debrief.Adherence;
import farglass.debrief.Branch;
import farglass.debrief.Calibration;
import farglass.debrief.Scored;
import farglass.lexicon.Lexicon;
import farglass.match.Coded;
import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.plan.Approach;
import farglass.plan.Plan;
import farglass.rules.Ruleset;
import farglass.store.json.FormatException;
import farglass.store.json.MatchJson;
import farglass.store.json.PlanJson;
import farglass.store.json.ProposalReader;
import farglass.work.session.TeamWords;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Holds a plan, made by hand or computed, against the match that took place. */
@Command(
        name = "debrief",
        description = "Prints what of a plan was followed and how its forecasts fared",
        mixinStandardHelpOptions = true)
final class DebriefCommand implements Callable<Integer> {
    private final Output output;

    @Option(
            names = "--plan",
            required = true,
            paramLabel = "PLAN.json",
            description = "a plan, by hand or what ./farglass plan has printed")
    private Path plan;

    @Option(names = "--match", required = true, paramLabel = "MATCH.json", description = "the match that took place")
    private Path match;

    @Mixin
    private TeamOptions team;

    DebriefCommand(Output output) {
        this.output = output;
    }

    private record Said(String us, List<Branch> branches, List<Approach.Forecast> forecasts) {}

    @Override
    public Integer call() throws Unreadable {
        TeamWords words = team.words(output);
        Lexicon lexicon = words.lexicon();
        Said said = said(PlanFile.text(plan), lexicon);
        MatchRecord record;
        try {
            record = MatchJson.read(PlanFile.text(match));
        } catch (FormatException e) {
            throw new Unreadable(match + ": " + e.getMessage());
        }
        Corner us = record.cornerOf(said.us())
                .orElseThrow(() -> new Unreadable(match + ": " + said.us() + " does not fight in this match"));
        Ruleset rules = words.rulesets()
                .orUsual(record.details().ruleset(), record.details().date());
        Map<String, Object> m = new LinkedHashMap<>();
        List<Object> adherence = new ArrayList<>();
        for (Adherence a : Adherence.of(said.branches(), record, us, lexicon)) {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("branch", a.branch().text());
            row.put("who", a.branch().ours() ? "us" : "them");
            row.put("depth", a.depth());
            row.put("met", a.met());
            row.put("followed", a.followed());
            row.put("outcome", a.outcome() == null ? null : ((Coded) a.outcome()).code());
            row.put("tags", a.tags().stream().map(record::tagName).toList());
            adherence.add(row);
        }
        m.put("adherence", adherence);
        List<Scored> scored = Scored.of(said.forecasts(), record, us, rules, lexicon);
        List<Object> forecasts = new ArrayList<>();
        for (Scored s : scored) {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("claim", s.forecast().sentence());
            row.put("p", s.forecast().p());
            row.put("outcome", s.outcome());
            row.put("brier", s.brier());
            row.put("log", s.log());
            forecasts.add(row);
        }
        m.put("forecasts", forecasts);
        Calibration c = Calibration.of(scored);
        m.put("brier", scored.isEmpty() ? null : c.brier());
        m.put("logScore", scored.isEmpty() ? null : c.log());
        output.print(m);
        return CliMain.DONE;
    }

    private Said said(String text, Lexicon lexicon) throws Unreadable {
        try {
            if (ProposalReader.isKept(text)) {
                Plan p = PlanJson.read(text);
                return new Said(
                        p.us(),
                        p.openings().stream().map(f -> Branch.of(f, lexicon)).toList(),
                        p.approach().forecasts());
            }
            ProposalReader p = ProposalReader.read(text);
            return new Said(p.us(), List.of(p.root()), p.forecasts());
        } catch (FormatException e) {
            throw new Unreadable(plan + ": " + e.getMessage());
        }
    }
}
