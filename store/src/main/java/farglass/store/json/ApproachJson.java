package farglass.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.matchup.model.Correction;
import farglass.matchup.model.Exit;
import farglass.matchup.model.ModelState;
import farglass.matchup.solve.Constraints;
import farglass.matchup.solve.Option;
import farglass.plan.Approach;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** The part of a plan that says how it is computed. */
final class ApproachJson {
    private ApproachJson() {}

    static Map<String, Object> write(Approach a) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("emphasis", a.emphasis());
        m.put("pressing", a.pressing());
        m.put("barred", a.wishes().barred().stream().sorted().toList());
        if (!a.wishes().allowed().isEmpty()) {
            m.put("allowed", a.wishes().allowed().stream().sorted().toList());
        }
        Map<String, Object> fixed = new LinkedHashMap<>();
        new TreeMap<>(a.wishes().fixed()).forEach((place, option) -> fixed.put(place, option.key()));
        m.put("fixed", fixed);
        m.put(
                "corrections",
                a.wishes().corrections().stream().map(ApproachJson::correction).toList());
        m.put("forecasts", a.forecasts().stream().map(ApproachJson::forecast).toList());
        return m;
    }

    private static Map<String, Object> correction(Correction c) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("place", c.exit().from().key());
        m.put("who", c.exit().ours() ? "us" : "them");
        m.put("technique", c.exit().technique());
        m.put("rate", c.rate());
        m.put("chance", c.chance());
        m.put("reason", c.reason());
        return m;
    }

    private static Map<String, Object> forecast(Approach.Forecast f) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("what", f.what());
        m.put("sentence", f.sentence());
        m.put("p", f.p());
        return m;
    }

    /** Plans written before there was an approach have the usual one. */
    static Approach read(Fields plan) throws FormatException {
        JsonNode node = plan.get("approach");
        if (node == null || node.isNull() || node.isMissingNode()) {
            return Approach.USUAL;
        }
        Fields f = Fields.of(node, plan.path("approach"));
        Set<String> barred = new LinkedHashSet<>();
        f.need("barred").forEach(n -> barred.add(n.asText()));
        Set<String> allowed = new LinkedHashSet<>();
        JsonNode more = f.get("allowed");
        if (more != null) {
            more.forEach(n -> allowed.add(n.asText()));
        }
        Map<String, Option> fixed = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> e : f.need("fixed").properties()) {
            fixed.put(
                    place(f, "fixed", e.getKey()).key(), option(f, e.getValue().asText()));
        }
        List<Correction> corrections = new ArrayList<>();
        JsonNode rows = f.need("corrections");
        for (int i = 0; i < rows.size(); i++) {
            Fields c = Fields.of(rows.get(i), f.path("corrections") + "/" + i);
            ModelState from = place(c, "place", c.needText("place"));
            corrections.add(new Correction(
                    new Exit.Key(from, c.needText("who").equals("us"), c.needText("technique")),
                    c.number("rate", 0, 60),
                    c.number("chance", 0, 1),
                    c.needText("reason")));
        }
        List<Approach.Forecast> forecasts = new ArrayList<>();
        JsonNode said = f.need("forecasts");
        for (int i = 0; i < said.size(); i++) {
            Fields c = Fields.of(said.get(i), f.path("forecasts") + "/" + i);
            forecasts.add(new Approach.Forecast(c.needText("what"), c.needText("sentence"), c.needNumber("p", 0, 1)));
        }
        return new Approach(
                f.needNumber("emphasis", 0, 1),
                f.needNumber("pressing", 1, 3),
                new Constraints(barred, allowed, fixed, corrections),
                forecasts);
    }

    private static ModelState place(Fields f, String field, String key) throws FormatException {
        try {
            return ModelState.ofKey(key);
        } catch (IllegalArgumentException e) {
            throw f.error(field, e.getMessage());
        }
    }

    private static Option option(Fields f, String key) throws FormatException {
        return Option.ofKey(key).orElseThrow(() -> f.error("fixed", "\"" + key + "\" is no option"));
    }
}
