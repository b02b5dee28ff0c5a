package farglass.store.json;

import farglass.stats.Estimate;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** An estimate in the open format. Unknown numbers are null. */
public final class EstimateJson {
    private EstimateJson() {}

    /** The fields of an estimate, its tags among them. */
    public static Map<String, Object> of(Estimate e) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("x", number(e.x()));
        m.put("n", number(e.n()));
        m.put("raw", number(e.raw()));
        m.put("mean", number(e.mean()));
        m.putAll(interval(e));
        return m;
    }

    /** Events in live time: {@code events, exposureMs, per10min}. */
    static Map<String, Object> rate(Estimate e) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("events", number(e.x()));
        m.put("exposureMs", number(e.n()));
        m.put("per10min", number(e.mean()));
        m.putAll(interval(e));
        return m;
    }

    private static Map<String, Object> interval(Estimate e) {
        Map<String, Object> m = new LinkedHashMap<>();
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
                        : Row.of("lo", e.check().lo(), "hi", e.check().hi()));
        m.put("tags", e.tags());
        return m;
    }

    /** Null for what is not a number. */
    public static @Nullable Object number(double v) {
        if (!Double.isFinite(v)) {
            return null;
        }
        return v == Math.rint(v) && Math.abs(v) < 1e15 ? (Object) (long) v : (Object) v;
    }
}
