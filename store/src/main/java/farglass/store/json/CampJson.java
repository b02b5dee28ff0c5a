package farglass.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.camp.Camp;
import farglass.camp.Logged;
import farglass.camp.Partner;
import farglass.camp.SkillSetting;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** The part of a plan that says how it is trained. */
final class CampJson {
    private static final int MOST = 1000;

    private CampJson() {}

    static Map<String, Object> write(Camp c) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("from", c.from() == null ? null : c.from().toString());
        m.put(
                "days",
                c.days().stream()
                        .sorted()
                        .map(d -> d.name().substring(0, 3).toLowerCase(Locale.ROOT))
                        .toList());
        m.put("minutes", c.minutes());
        m.put("roundMinutes", c.roundMinutes());
        m.put("restMinutes", c.restMinutes());
        m.put(
                "partners",
                c.partners().stream()
                        .map(p -> Row.of(
                                "name",
                                p.name(),
                                "imitates",
                                p.imitates().stream().sorted().toList()))
                        .toList());
        Map<String, Object> skills = new TreeMap<>();
        c.skills().forEach((key, s) -> skills.put(key, setting(s)));
        m.put("skills", skills);
        m.put("care", c.care());
        m.put("discount", c.discount());
        m.put("log", c.log().stream().map(CampJson::logged).toList());
        return m;
    }

    private static Map<String, Object> setting(SkillSetting s) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("gain", s.gain());
        m.put("scaleMinutes", s.scaleMinutes());
        m.put("leastMinutes", s.leastMinutes());
        m.put("left", s.left());
        return m;
    }

    private static Map<String, Object> logged(Logged l) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("date", l.date().toString());
        m.put("skill", l.skill());
        m.put("tries", l.tries());
        m.put("successes", l.successes());
        m.put("remark", l.remark());
        return m;
    }

    /** Plans written before there was a camp have the usual one. */
    static Camp read(Fields plan) throws FormatException {
        JsonNode node = plan.get("camp");
        if (node == null) {
            return Camp.USUAL;
        }
        Fields f = Fields.of(node, plan.path("camp"));
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        for (JsonNode d : f.need("days")) {
            days.add(day(f, d.asText()));
        }
        List<Partner> partners = new ArrayList<>();
        for (Fields p : rows(f, "partners")) {
            Set<String> imitates = new LinkedHashSet<>();
            p.need("imitates").forEach(t -> imitates.add(t.asText()));
            partners.add(checked(p, "name", () -> new Partner(p.needText("name"), imitates)));
        }
        Map<String, SkillSetting> skills = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> e : f.need("skills").properties()) {
            Fields s = Fields.of(e.getValue(), f.path("skills") + "/" + e.getKey());
            skills.put(
                    e.getKey(),
                    checked(
                            s,
                            "scaleMinutes",
                            () -> new SkillSetting(
                                    s.needNumber("gain", 0, 1),
                                    s.needNumber("scaleMinutes", 0, 1e6),
                                    s.needInteger("leastMinutes", 0, MOST),
                                    s.needFlag("left"))));
        }
        List<Logged> log = new ArrayList<>();
        for (Fields l : rows(f, "log")) {
            LocalDate date = date(l, "date");
            log.add(checked(
                    l,
                    "successes",
                    () -> new Logged(
                            date,
                            l.needText("skill"),
                            l.needInteger("tries", 0, MOST),
                            l.needInteger("successes", 0, MOST),
                            l.needText("remark"))));
        }
        LocalDate from = f.text("from") == null ? null : date(f, "from");
        return checked(
                f,
                "minutes",
                () -> new Camp(
                        from,
                        days,
                        f.needInteger("minutes", 1, MOST),
                        f.needInteger("roundMinutes", 1, MOST),
                        f.needInteger("restMinutes", 0, MOST),
                        partners,
                        skills,
                        f.needText("care"),
                        f.needNumber("discount", 0, 1),
                        log));
    }

    private interface Making<T> {
        T make() throws FormatException;
    }

    /** What the core refuses is an error of the field that it is about. */
    private static <T> T checked(Fields f, String field, Making<T> making) throws FormatException {
        try {
            return making.make();
        } catch (IllegalArgumentException e) {
            throw f.error(field, e.getMessage());
        }
    }

    private static List<Fields> rows(Fields f, String field) throws FormatException {
        List<Fields> list = new ArrayList<>();
        JsonNode nodes = f.need(field);
        for (int i = 0; i < nodes.size(); i++) {
            list.add(Fields.of(nodes.get(i), f.path(field) + "/" + i));
        }
        return list;
    }

    private static DayOfWeek day(Fields f, String code) throws FormatException {
        for (DayOfWeek d : DayOfWeek.values()) {
            if (d.name().substring(0, 3).toLowerCase(Locale.ROOT).equals(code)) {
                return d;
            }
        }
        throw f.error("days", "\"" + code + "\" is no day like mon");
    }

    private static LocalDate date(Fields f, String field) throws FormatException {
        try {
            return LocalDate.parse(f.needText(field));
        } catch (DateTimeParseException e) {
            throw f.error(field, "is not a date like 2031-04-12");
        }
    }
}
