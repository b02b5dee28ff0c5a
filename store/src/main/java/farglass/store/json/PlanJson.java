package farglass.store.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.conduct.Clause;
import farglass.matchup.gameplan.Call;
import farglass.plan.Assignment;
import farglass.plan.Fork;
import farglass.plan.Judgement;
import farglass.plan.OwnClaim;
import farglass.plan.PinnedClaim;
import farglass.plan.Plan;
import farglass.plan.Saved;
import farglass.stats.Grade;
import farglass.stats.TagRef;
import farglass.tendency.Filter;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Plans made by hand ({@code farglass.plan/1}) and assignments ({@code farglass.assignment/1}). */
public final class PlanJson {
    public static final String FORMAT = "farglass.plan/1";
    static final String ASSIGNMENT = "farglass.assignment/1";
    private static final ObjectMapper JSON = new ObjectMapper();

    private PlanJson() {}

    /** The plan as {@code farglass.plan/1}. */
    public static String write(Plan p) {
        return write(p, Map.of());
    }

    /** @param computed parts that are worked out and not read back: {@code page}, {@code own} */
    public static String write(Plan p, Map<String, Object> computed) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("format", FORMAT);
        m.put("id", p.id());
        m.put("title", p.title());
        m.put("us", p.us());
        m.put("them", p.them());
        m.put("pinned", p.pinned().stream().map(PlanJson::claim).toList());
        m.put("tree", p.openings().stream().map(PlanJson::fork).toList());
        m.put("remarks", p.remarks());
        m.put("judgements", p.judgements().stream().map(PlanJson::judgement).toList());
        m.put("ownClaims", p.own().stream().map(PlanJson::own).toList());
        m.put("approach", ApproachJson.write(p.approach()));
        m.put("conduct", p.clauses().stream().map(PlanJson::clause).toList());
        m.put("camp", CampJson.write(p.camp()));
        m.put("brief", BriefJson.write(p.brief()));
        m.put("report", ReportEditsJson.write(p.report()));
        m.put(
                "ownCalls",
                p.calls().stream()
                        .map(c -> Row.of("situation", c.situation(), "words", c.words()))
                        .toList());
        m.put("saved", p.saved().stream().map(PlanJson::saved).toList());
        m.putAll(computed);
        return text(m);
    }

    private static String text(Map<String, Object> m) {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(m);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("document cannot be written", e);
        }
    }

    private static Map<String, Object> claim(PinnedClaim c) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("athlete", c.athlete());
        m.put("claim", c.claim());
        m.put("sentence", c.sentence());
        m.put("counts", c.counts());
        m.put("mean", finite(c.mean()));
        m.put("lo", finite(c.lo()));
        m.put("hi", finite(c.hi()));
        m.put("grade", c.grade().name().toLowerCase(Locale.ROOT));
        m.put("shown", c.shown());
        if (!c.filter().equals(Filter.ALL)) {
            m.put("filter", FilterJson.write(c.filter()));
        }
        return m;
    }

    private static Map<String, Object> judgement(Judgement j) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("athlete", j.athlete());
        m.put("claim", j.claim());
        m.put("wording", j.wording());
        m.put("doubt", j.doubt());
        m.put("remark", j.remark());
        return m;
    }

    private static Map<String, Object> own(OwnClaim o) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("id", o.id());
        m.put("athlete", o.athlete());
        m.put("sentence", o.sentence());
        m.put(
                "tags",
                o.tags().stream()
                        .map(t -> Row.of("match", t.match(), "tag", t.tag()))
                        .toList());
        return m;
    }

    private static Map<String, Object> clause(Clause c) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("id", c.id());
        m.put("fork", c.fork());
        m.put("text", c.text());
        return m;
    }

    private static Map<String, Object> saved(Saved s) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("name", s.name());
        m.put("tree", s.openings().stream().map(PlanJson::fork).toList());
        m.put("approach", ApproachJson.write(s.approach()));
        return m;
    }

    private static List<Clause> clauses(Fields f) throws FormatException {
        List<Clause> list = new ArrayList<>();
        for (Fields c : optional(f, "conduct")) {
            try {
                list.add(new Clause(c.needText("id"), c.needText("fork"), c.needText("text")));
            } catch (IllegalArgumentException e) {
                throw c.error("id", e.getMessage());
            }
        }
        return list;
    }

    private static List<Saved> saved(Fields f) throws FormatException {
        List<Saved> list = new ArrayList<>();
        for (Fields s : optional(f, "saved")) {
            try {
                list.add(new Saved(s.needText("name"), forks(s, "tree"), ApproachJson.read(s)));
            } catch (IllegalArgumentException e) {
                throw s.error("name", e.getMessage());
            }
        }
        return list;
    }

    private static List<Call> calls(Fields f) throws FormatException {
        List<Call> list = new ArrayList<>();
        for (Fields c : optional(f, "ownCalls")) {
            String words = c.needText("words");
            if (words.isBlank()) {
                throw c.error("words", "is blank");
            }
            list.add(new Call(c.needText("situation"), words));
        }
        return list;
    }

    /** Older plans have none. */
    private static List<Fields> optional(Fields f, String field) throws FormatException {
        JsonNode nodes = f.get(field);
        List<Fields> list = new ArrayList<>();
        for (int i = 0; nodes != null && i < nodes.size(); i++) {
            list.add(Fields.of(nodes.get(i), f.path(field) + "/" + i));
        }
        return list;
    }

    private static List<Judgement> judgements(Fields f) throws FormatException {
        List<Judgement> list = new ArrayList<>();
        for (Fields j : optional(f, "judgements")) {
            list.add(new Judgement(
                    j.needText("athlete"),
                    j.needText("claim"),
                    j.needText("wording"),
                    j.needText("doubt"),
                    j.needText("remark")));
        }
        return list;
    }

    private static List<OwnClaim> ownClaims(Fields f) throws FormatException {
        List<OwnClaim> list = new ArrayList<>();
        for (Fields o : optional(f, "ownClaims")) {
            String id = o.needText("id");
            if (!id.matches("own\\.\\d{1,6}")) {
                throw o.error("id", "\"" + id + "\" is not own. and a number");
            }
            List<TagRef> tags = new ArrayList<>();
            for (Fields t : optional(o, "tags")) {
                tags.add(new TagRef(t.needText("match"), t.needText("tag")));
            }
            list.add(new OwnClaim(id, o.needText("athlete"), o.needText("sentence"), tags));
        }
        return list;
    }

    private static @Nullable Double finite(double v) {
        return Double.isFinite(v) ? v : null;
    }

    private static Map<String, Object> fork(Fork f) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("id", f.id());
        m.put("who", f.ours() ? "us" : "them");
        m.put("text", f.text());
        m.put("note", f.note());
        m.put("claims", f.claims().stream().map(PlanJson::claim).toList());
        m.put("next", f.next().stream().map(PlanJson::fork).toList());
        return m;
    }

    /** Reads a plan, of this or an older version. */
    public static Plan read(String document) throws FormatException {
        Fields f = Fields.of(MatchJson.parse(document), "");
        if (!FORMAT.equals(f.needText("format"))) {
            throw f.error("format", "is not " + FORMAT);
        }
        String remarks = f.text("remarks");
        return new Plan(
                f.needText("id"),
                f.needText("title"),
                f.needText("us"),
                f.needText("them"),
                claims(f, "pinned"),
                forks(f, "tree"),
                remarks == null ? "" : remarks,
                judgements(f),
                ownClaims(f),
                ApproachJson.read(f),
                clauses(f),
                saved(f),
                CampJson.read(f),
                BriefJson.read(f),
                ReportEditsJson.read(f),
                calls(f));
    }

    private static List<PinnedClaim> claims(Fields f, String field) throws FormatException {
        List<PinnedClaim> list = new ArrayList<>();
        JsonNode nodes = f.need(field);
        for (int i = 0; i < nodes.size(); i++) {
            Fields c = Fields.of(nodes.get(i), f.path(field) + "/" + i);
            String grade = c.needText("grade");
            Grade g;
            try {
                g = Grade.valueOf(grade.toUpperCase(Locale.ROOT));
            } catch (IllegalArgumentException e) {
                throw c.error("grade", "\"" + grade + "\" is not one of strong, fair, thin");
            }
            list.add(new PinnedClaim(
                    c.needText("athlete"),
                    c.needText("claim"),
                    c.needText("sentence"),
                    c.needText("counts"),
                    number(c, "mean"),
                    number(c, "lo"),
                    number(c, "hi"),
                    g,
                    c.text("shown") == null ? "" : c.text("shown"),
                    FilterJson.read(c, "filter")));
        }
        return list;
    }

    private static double number(Fields f, String field) throws FormatException {
        Double v = f.number(field, -1e9, 1e9);
        return v == null ? Double.NaN : v;
    }

    private static List<Fork> forks(Fields f, String field) throws FormatException {
        List<Fork> list = new ArrayList<>();
        JsonNode nodes = f.need(field);
        for (int i = 0; i < nodes.size(); i++) {
            Fields n = Fields.of(nodes.get(i), f.path(field) + "/" + i);
            String who = n.needText("who");
            if (!List.of("us", "them").contains(who)) {
                throw n.error("who", "\"" + who + "\" is not one of us, them");
            }
            list.add(new Fork(
                    n.needText("id"),
                    who.equals("us"),
                    n.needText("text"),
                    n.needText("note"),
                    claims(n, "claims"),
                    forks(n, "next")));
        }
        return list;
    }

    /** The assignment as JSON. */
    public static String write(Assignment a) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("format", ASSIGNMENT);
        m.put("id", a.id());
        m.put("us", a.us());
        m.put("opponents", a.opponents());
        m.put("event", a.event());
        m.put("date", a.date() == null ? null : a.date().toString());
        m.put("ruleset", a.ruleset());
        m.put("attire", a.attire());
        m.put("minutes", a.minutes());
        m.put("chances", new TreeMap<>(a.chances()));
        return text(m);
    }

    /** Older assignments have none. */
    private static Map<String, Double> chances(Fields f) throws FormatException {
        Map<String, Double> chances = new LinkedHashMap<>();
        JsonNode node = f.get("chances");
        if (node != null) {
            Fields c = Fields.of(node, f.path("chances"));
            for (Map.Entry<String, JsonNode> e : node.properties()) {
                chances.put(e.getKey(), c.number(e.getKey(), 0, 1));
            }
        }
        return chances;
    }

    /** Reads what {@code write} gave of an assignment. */
    public static Assignment readAssignment(String document) throws FormatException {
        Fields f = Fields.of(MatchJson.parse(document), "");
        List<String> opponents = new ArrayList<>();
        f.need("opponents").forEach(o -> opponents.add(o.asText()));
        String date = f.text("date");
        try {
            return new Assignment(
                    f.needText("id"),
                    f.needText("us"),
                    opponents,
                    f.text("event"),
                    date == null ? null : LocalDate.parse(date),
                    f.text("ruleset"),
                    f.text("attire"),
                    f.needInteger("minutes", 1, 600),
                    chances(f));
        } catch (DateTimeParseException e) {
            throw f.error("date", "\"" + date + "\" is not a date like 2031-04-12");
        }
    }
}
