package farglass.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.match.Coded;
import farglass.match.RecordKind;
import farglass.match.Role;
import farglass.tendency.Filter;
import farglass.tendency.Moment;
import farglass.tendency.Opponents;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** Which matches a claim was counted in; only what differs from all matches is written. */
final class FilterJson {
    private FilterJson() {}

    static Map<String, Object> write(Filter f) {
        Map<String, Object> m = new LinkedHashMap<>();
        put(m, "attire", f.attire());
        put(m, "ruleset", f.ruleset());
        put(m, "from", f.from() == null ? null : f.from().toString());
        put(m, "to", f.to() == null ? null : f.to().toString());
        m.put("halfLifeYears", f.halfLifeYears());
        put(m, "asOf", f.asOf() == null ? null : f.asOf().toString());
        put(m, "baseline", f.baseline() ? null : false);
        put(
                m,
                "kinds",
                f.kinds().equals(Filter.ALL.kinds())
                        ? null
                        : sorted(f.kinds().stream().map(RecordKind::code).toList()));
        put(m, "matches", f.matches().isEmpty() ? null : sorted(f.matches()));
        Opponents o = f.opponents();
        put(m, "opponents", o.ids().isEmpty() ? null : sorted(o.ids()));
        put(m, "stance", o.stance());
        put(m, "grade", o.grade());
        put(m, "minKg", o.minKg());
        put(m, "maxKg", o.maxKg());
        put(m, "role", f.moment().role() == null ? null : f.moment().role().code());
        put(m, "score", name(f.moment().score()));
        put(m, "clock", name(f.moment().clock()));
        return m;
    }

    private static void put(Map<String, Object> m, String field, @Nullable Object value) {
        if (value != null) {
            m.put(field, value);
        }
    }

    private static List<String> sorted(Iterable<String> texts) {
        Set<String> sorted = new TreeSet<>();
        texts.forEach(sorted::add);
        return List.copyOf(sorted);
    }

    private static @Nullable String name(@Nullable Enum<?> e) {
        return e == null ? null : e.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** @param holder of the field; without it, as in older plans, all matches count */
    static Filter read(Fields holder, String field) throws FormatException {
        if (holder.get(field) == null) {
            return Filter.ALL;
        }
        Fields f = holder.object(field);
        Boolean baseline = f.flag("baseline");
        Filter filter = new Filter(
                f.text("attire"),
                f.text("ruleset"),
                date(f, "from"),
                date(f, "to"),
                f.number("halfLifeYears", 1e-6, 1e6),
                date(f, "asOf"),
                baseline == null || baseline);
        Set<RecordKind> kinds = new LinkedHashSet<>();
        for (String code : texts(f, "kinds")) {
            kinds.add(Coded.parse(RecordKind.class, code)
                    .orElseThrow(() -> f.error("kinds", "\"" + code + "\" is not a kind of record")));
        }
        return filter.kinds(kinds.isEmpty() ? Filter.ALL.kinds() : kinds)
                .matches(texts(f, "matches"))
                .opponents(new Opponents(
                        texts(f, "opponents"),
                        f.text("stance"),
                        f.text("grade"),
                        f.number("minKg", 0, 1000),
                        f.number("maxKg", 0, 1000)))
                .moment(new Moment(
                        f.coded("role", Role.class),
                        value(f, "score", Moment.Standing.class),
                        value(f, "clock", Moment.Part.class)));
    }

    private static Set<String> texts(Fields f, String field) throws FormatException {
        Set<String> texts = new LinkedHashSet<>();
        JsonNode list = f.get(field);
        if (list != null) {
            for (JsonNode n : list) {
                if (!n.isTextual()) {
                    throw f.error(field, "a list of texts is expected");
                }
                texts.add(n.textValue());
            }
        }
        return texts;
    }

    private static @Nullable LocalDate date(Fields f, String field) throws FormatException {
        String text = f.text(field);
        try {
            return text == null ? null : LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw f.error(field, "\"" + text + "\" is not a date like 2031-04-12");
        }
    }

    private static <E extends Enum<E>> @Nullable E value(Fields f, String field, Class<E> type) throws FormatException {
        String text = f.text(field);
        try {
            return text == null
                    ? null
                    : Enum.valueOf(type, text.toUpperCase(Locale.ROOT).replace('-', '_'));
        } catch (IllegalArgumentException e) {
            throw f.error(field, "\"" + text + "\" is not known");
        }
    }
}
