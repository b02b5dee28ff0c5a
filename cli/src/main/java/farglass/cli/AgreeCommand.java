package farglass.cli;

import farglass.agreement.Agreement;
import farglass.agreement.Kappa;
import farglass.agreement.Matching;
import farglass.agreement.Merge;
import farglass.lexicon.Lexicon;
import farglass.match.MatchRecord;
import farglass.store.json.TagJson;
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
import picocli.CommandLine.Parameters;

/** Prints how far two records of one match agree. */
@Command(
        name = "agree",
        description = "Compares two records of one match; the first is the reference",
        mixinStandardHelpOptions = true)
final class AgreeCommand implements Callable<Integer> {
    /** Seed of the block bootstrap, fixed so that the same records print the same document. */
    private static final long SEED = 1;

    private final Output output;

    @Parameters(index = "0", paramLabel = "MATCH1.json")
    private Path first;

    @Parameters(index = "1", paramLabel = "MATCH2.json")
    private Path second;

    @Option(names = "--tolerance", paramLabel = "MS")
    private long tolerance = Agreement.TOLERANCE_MS;

    @Mixin
    private TeamOptions team;

    AgreeCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() throws Unreadable {
        if (tolerance < 0) {
            throw new IllegalArgumentException("--tolerance must not be negative");
        }
        TeamWords words = team.words(output);
        MatchRecord a = MatchFiles.read(first);
        MatchRecord b = MatchFiles.read(second);
        Agreement found = Agreement.of(a, b, tolerance, words.lexicon(), SEED);
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("kappa", Json.number(found.overall().kappa()));
        if (Double.isNaN(found.overall().kappa())) {
            m.put(
                    "note",
                    "Both have tagged one and the same place throughout: there is nothing to agree on beyond chance.");
        }
        m.put("se", Json.number(found.overall().se()));
        m.put("seBlock", Json.number(found.overall().seBlock()));
        m.put("seconds", found.overall().items());
        List<Object> each = new ArrayList<>();
        for (Map.Entry<String, Kappa> e : found.perPosition().entrySet()) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("position", e.getKey());
            one.put("kappa", Json.number(e.getValue().kappa()));
            one.put("se", Json.number(e.getValue().error()));
            each.add(one);
        }
        m.put("perPosition", each);
        m.put("precision", Json.number(found.precision()));
        m.put("recall", Json.number(found.recall()));
        m.put("f1", Json.number(found.f1()));
        Matching matching = found.attempts();
        m.put("matched", matching.pairs().size());
        m.put("onlyFirst", names(a, matching.onlyFirst()));
        m.put("onlySecond", names(b, matching.onlySecond()));
        List<Object> fields = new ArrayList<>();
        matching.fields().forEach((field, f) -> {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("field", field);
            one.put("agree", f.agree());
            one.put("differ", f.differ());
            fields.add(one);
        });
        m.put("fields", fields);
        m.put("differences", differences(a, b, words.lexicon()));
        m.put(
                "warning",
                a.id().equals(b.id()) ? null : "The records have different ids: " + a.id() + " and " + b.id() + ".");
        output.print(m);
        return CliMain.DONE;
    }

    private static List<String> names(MatchRecord r, List<Integer> indices) {
        return indices.stream().map(r::tagName).toList();
    }

    private List<Object> differences(MatchRecord a, MatchRecord b, Lexicon lexicon) {
        List<Object> list = new ArrayList<>();
        for (Merge.Difference d : Merge.differences(a, b, tolerance, lexicon)) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("kind", d.kind().name().toLowerCase(java.util.Locale.ROOT));
            one.put("t", d.t().ms());
            one.put("first", d.first() == null ? null : TagJson.write(d.first()));
            one.put("second", d.second() == null ? null : TagJson.write(d.second()));
            one.put("fields", d.fields());
            list.add(one);
        }
        return list;
    }
}
