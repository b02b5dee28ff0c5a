package farglass.cli;

import farglass.check.Finding;
import farglass.stats.Estimate;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/** The shapes that commands print. Unknown numbers are null. */
final class Json {
    private Json() {}

    static Map<String, Object> estimate(Estimate e) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("x", number(e.x()));
        m.put("n", number(e.n()));
        m.put("raw", number(e.raw()));
        m.put("mean", number(e.mean()));
        m.put("lo", number(e.lo()));
        m.put("hi", number(e.hi()));
        m.put("level", e.level());
        m.put("matches", e.matches());
        m.put("effective", number(e.effective()));
        m.put("grade", e.grade().name().toLowerCase(Locale.ROOT));
        m.put("baseline", number(e.baseline()));
        m.put(
                "check",
                e.check() == null
                        ? null
                        : Map.of("lo", e.check().lo(), "hi", e.check().hi()));
        m.put("tags", e.tags());
        return m;
    }

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

    private static Object number(double v) {
        if (!Double.isFinite(v)) {
            return null;
        }
        return v == Math.rint(v) && Math.abs(v) < 1e15 ? (Object) (long) v : (Object) v;
    }
}
