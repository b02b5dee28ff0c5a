package farglass.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.plan.Brief;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** The part of a plan that says what was changed about its briefing. */
final class BriefJson {
    private BriefJson() {}

    static Map<String, Object> write(Brief b) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("hidden", b.hidden().stream().sorted().toList());
        m.put("order", b.order());
        m.put("notes", new TreeMap<>(b.notes()));
        m.put("nameless", b.nameless());
        return m;
    }

    /** Plans written before there was a briefing have the usual one. */
    static Brief read(Fields plan) throws FormatException {
        JsonNode node = plan.get("brief");
        if (node == null) {
            return Brief.USUAL;
        }
        Fields f = Fields.of(node, plan.path("brief"));
        Set<String> hidden = new LinkedHashSet<>();
        f.need("hidden").forEach(n -> hidden.add(n.asText()));
        List<String> order = new ArrayList<>();
        f.need("order").forEach(n -> order.add(n.asText()));
        Map<String, String> notes = new LinkedHashMap<>();
        Fields n = Fields.of(f.need("notes"), f.path("notes"));
        for (Map.Entry<String, JsonNode> e : f.need("notes").properties()) {
            notes.put(e.getKey(), n.needText(e.getKey()));
        }
        return new Brief(hidden, order, notes, f.needFlag("nameless"));
    }
}
