package farglass.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.plan.ReportEdit;
import farglass.plan.ReportEdits;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The part of a plan that says what was changed about reports. */
final class ReportEditsJson {
    private ReportEditsJson() {}

    static Map<String, Object> write(ReportEdits r) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("sentences", r.sentences().stream().map(ReportEditsJson::sentence).toList());
        m.put("order", r.order());
        return m;
    }

    private static Map<String, Object> sentence(ReportEdit e) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("athlete", e.athlete());
        m.put("sentence", e.sentence());
        m.put("wording", e.wording());
        m.put("said", e.said());
        m.put("leftOut", e.leftOut());
        return m;
    }

    /** Plans written before there were reports have them as computed. */
    static ReportEdits read(Fields plan) throws FormatException {
        JsonNode node = plan.get("report");
        if (node == null) {
            return ReportEdits.NONE;
        }
        Fields f = Fields.of(node, plan.path("report"));
        List<ReportEdit> sentences = new ArrayList<>();
        JsonNode list = f.need("sentences");
        for (int i = 0; i < list.size(); i++) {
            Fields s = Fields.of(list.get(i), f.path("sentences") + "/" + i);
            sentences.add(new ReportEdit(
                    s.needText("athlete"),
                    s.needText("sentence"),
                    s.needText("wording"),
                    s.needText("said"),
                    s.needFlag("leftOut")));
        }
        Map<String, List<String>> order = new TreeMap<>();
        for (Map.Entry<String, JsonNode> e : f.need("order").properties()) {
            List<String> ids = new ArrayList<>();
            e.getValue().forEach(n -> ids.add(n.asText()));
            order.put(e.getKey(), ids);
        }
        return new ReportEdits(sentences, order);
    }
}
