package farglass.store.json;

import farglass.profile.Claim;
import farglass.scout.Edge;
import farglass.scout.ReportWriter;
import farglass.scout.ScoutingReport;
import farglass.scout.Sentence;
import farglass.stats.TagRef;
import farglass.tendency.Exchanges;
import farglass.tendency.Sequence;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The parts {@code report} and {@code sequences} of {@code farglass.profile/1}. */
final class ReportJson {
    private final ReportWriter writer;

    ReportJson(ReportWriter writer) {
        this.writer = writer;
    }

    Map<String, Object> report(ScoutingReport r) {
        Map<String, Object> m = new LinkedHashMap<>();
        List<Object> sections = new ArrayList<>();
        for (ScoutingReport.Part p : r.parts()) {
            Map<String, Object> section = new LinkedHashMap<>();
            section.put("name", writer.heading(p.heading()));
            section.put("sentences", p.sentences().stream().map(this::sentence).toList());
            sections.add(section);
        }
        m.put("sections", sections);
        m.put("dangers", r.dangers().stream().map(this::edge).toList());
        m.put("openings", r.openings().stream().map(this::edge).toList());
        return m;
    }

    private Map<String, Object> sentence(Sentence s) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("text", writer.text(s));
        m.put("claims", s.claims().stream().map(Claim::id).toList());
        m.put("tags", s.tags());
        m.put("grade", s.grade().name().toLowerCase(Locale.ROOT));
        return m;
    }

    private Map<String, Object> edge(Edge e) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("text", writer.text(e.sentence()));
        m.put("worth", EstimateJson.number(e.worth()));
        m.put("answer", e.answer().map(writer::text).orElse(null));
        List<TagRef> tags = e.sentence().tags();
        m.put("tags", tags);
        return m;
    }

    static Map<String, Object> sequence(Sequence s) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("steps", s.steps().stream().map(Exchanges.Step::symbol).toList());
        m.put("exchanges", s.exchanges());
        m.put("matches", s.matches());
        List<Object> onward = new ArrayList<>();
        for (Sequence.Onward o : s.onward()) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("x", o.x());
            one.put("n", o.n());
            one.put("average", EstimateJson.number(o.average()));
            onward.add(one);
        }
        m.put("onward", onward);
        m.put("points", s.points());
        m.put("finished", s.finished());
        m.put("moreThanChance", s.moreThanChance());
        m.put(
                "tags",
                s.trials().stream().filter(t -> t.worked()).map(t -> t.tag()).toList());
        return m;
    }
}
