package farglass.cli;

import farglass.match.Finding;
import farglass.match.MatchRecord;
import farglass.store.json.EditJson;
import farglass.store.json.EstimateJson;
import java.util.LinkedHashMap;
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

    /** A finding with its repair as a list of edits. */
    static Map<String, Object> finding(Finding f, MatchRecord r) {
        Map<String, Object> m = finding(f);
        m.put("remedy", f.remedy());
        m.put("repair", f.repair() == null ? null : EditJson.edits(f.repair(), r));
        return m;
    }

    /** Null for what is not a number. */
    static Object number(double v) {
        return EstimateJson.number(v);
    }
}
