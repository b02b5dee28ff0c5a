package farglass.cli;

import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.store.json.EditJson;
import farglass.store.json.EstimateJson;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The shapes that commands print. Unknown numbers are null. */
final class Json {
    private Json() {}

    static Map<String, Object> finding(Finding f) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("code", f.code());
        m.put("severity", f.severity().name().toLowerCase(Locale.ROOT));
        m.put("t", f.t().ms());
        m.put("tag", f.tag());
        m.put("message", f.message());
        m.put("repair", null);
        return m;
    }

    /** A finding with its likeliest repair as a list of edits, and the others there are. */
    static Map<String, Object> finding(Finding f, MatchRecord r) {
        Map<String, Object> m = finding(f);
        m.put("remedy", f.remedy());
        m.put("repair", f.repair() == null ? null : EditJson.edits(f.repair(), r));
        List<Object> others = new ArrayList<>();
        for (Finding.Repair other :
                f.repairs().subList(Math.min(1, f.repairs().size()), f.repairs().size())) {
            Map<String, Object> way = new LinkedHashMap<>();
            way.put("remedy", other.words());
            way.put("repair", EditJson.edits(other.edit(), r));
            others.add(way);
        }
        m.put("otherRepairs", others);
        return m;
    }

    /** Null for what is not a number. */
    static Object number(double v) {
        return EstimateJson.number(v);
    }
}
