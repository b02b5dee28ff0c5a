package farglass.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import farglass.match.CallKind;
import farglass.match.Cause;
import farglass.match.Coded;
import farglass.match.Corner;
import farglass.match.Outcome;
import farglass.match.RemarkKind;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Tags of {@code farglass.match/1}. */
public final class TagJson {
    private static final List<String> PREFERENCE = List.of("choice", "over", "reason", "except");

    private TagJson() {}

    /**
     * @param path where the tag stands in the document, for errors
     * @throws FormatException when a field is missing or not of its kind; codes of the lexicon are kept as they are
     */
    public static Tag read(JsonNode node, String path) throws FormatException {
        return read(Fields.of(node, path));
    }

    static Tag read(Fields f) throws FormatException {
        MatchTime t = MatchTime.ofMs(f.needMs("t"));
        String type = f.needText("type");
        TagInfo info = TagInfo.NONE;
        Tag tag = switch (type) {
            case "start" -> new Tag.Start(t, info);
            case "end" -> new Tag.End(t, info);
            case "stop" -> new Tag.Stop(t, f.text("reason"), info);
            case "resume" -> new Tag.Resume(t, f.text("position"), f.corner("holder"), f.corner("guard"), info);
            case "position" -> position(f, t);
            case "action" -> action(f, t);
            case "grip" ->
                new Tag.Grip(
                        t,
                        f.needCorner("by"),
                        f.needText("grip"),
                        f.coded("hand", Side.class),
                        f.text("depth"),
                        until(f, t),
                        f.text("ended"),
                        info);
            case "body" ->
                new Tag.Body(t, f.needCorner("of"), f.needText("fact"), f.coded("side", Side.class), until(f, t), info);
            case "call" -> call(f, t);
            case "remark" -> remark(f, t);
            default ->
                throw f.error(
                        "type",
                        "\"" + type + "\" is not one of start, position, action, grip, body, call, remark, stop,"
                                + " resume, end");
        };
        String id = f.text("id");
        String tagger = f.text("tagger");
        Double confidence = f.number("confidence", 0, 1);
        String note = f.text("note");
        return tag.with(new TagInfo(id, tagger, confidence, note, f.rest()));
    }

    private static @Nullable MatchTime until(Fields f, MatchTime t) throws FormatException {
        MatchTime until = f.time("until");
        if (until != null && until.compareTo(t) < 0) {
            throw f.error("until", "must not come before t");
        }
        return until;
    }

    private static Tag position(Fields f, MatchTime t) throws FormatException {
        return new Tag.Position(
                t,
                f.needText("position"),
                f.corner("holder"),
                f.corner("guard"),
                f.coded("side", Side.class),
                f.text("variant"),
                f.coded("cause", Cause.class),
                f.text("technique"),
                f.integer("threat", 2, 3),
                f.text("base"),
                TagInfo.NONE);
    }

    private static Tag action(Fields f, MatchTime t) throws FormatException {
        List<Side> sides = sides(f);
        return new Tag.Action(
                t,
                f.needCorner("by"),
                f.needText("technique"),
                f.text("family"),
                sides,
                f.coded("outcome", Outcome.class),
                f.integer("reached", 1, 4),
                f.text("to"),
                until(f, t),
                f.text("answer"),
                f.text("limb"),
                checks(f),
                f.text("target"),
                f.flag("believed"),
                TagInfo.NONE);
    }

    private static List<Side> sides(Fields f) throws FormatException {
        JsonNode listed = f.get("sides");
        Side last = f.coded("side", Side.class);
        if (listed == null) {
            return last == null ? List.of() : List.of(last);
        }
        if (!listed.isArray()) {
            throw f.error("sides", "a list is expected");
        }
        List<Side> sides = new ArrayList<>();
        for (JsonNode s : listed) {
            sides.add(f.parse("sides", s.asText(), Side.class));
        }
        return sides;
    }

    private static Map<String, Boolean> checks(Fields f) throws FormatException {
        JsonNode listed = f.get("checks");
        if (listed == null) {
            return Map.of();
        }
        Map<String, Boolean> checks = new LinkedHashMap<>();
        Fields c = f.object("checks");
        for (Iterator<String> names = listed.fieldNames(); names.hasNext(); ) {
            String name = names.next();
            checks.put(name, c.flag(name));
        }
        return checks;
    }

    private static Tag call(Fields f, MatchTime t) throws FormatException {
        Boolean called = f.flag("called");
        return new Tag.Call(
                t,
                f.needCoded("call", CallKind.class),
                f.needCorner("for"),
                f.integer("value", -100, 100),
                called == null || called,
                f.corner("causedBy"),
                f.text("reason"),
                TagInfo.NONE);
    }

    private static Tag remark(Fields f, MatchTime t) throws FormatException {
        Map<String, String> fields = new LinkedHashMap<>();
        for (String name : PREFERENCE) {
            if (f.text(name) != null) {
                fields.put(name, f.text(name));
            }
        }
        RemarkKind kind = f.coded("kind", RemarkKind.class);
        JsonNode instead = f.get("instead");
        return new Tag.Remark(
                t,
                kind == null ? RemarkKind.NOTE : kind,
                f.corner("by"),
                f.text("source"),
                f.text("text"),
                instead == null ? null : Fields.plain(instead),
                f.flag("punished"),
                fields,
                TagInfo.NONE);
    }

    /** The tag as an ordered map of plain JSON values; absent fields are left out. */
    public static Map<String, Object> write(Tag tag) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("t", tag.t().ms());
        m.put("type", tag.type());
        if (tag instanceof Tag.Position p) {
            writePosition(m, p);
        } else if (tag instanceof Tag.Action a) {
            writeAction(m, a);
        } else if (tag instanceof Tag.Grip g) {
            put(m, "by", g.by());
            put(m, "grip", g.grip());
            put(m, "hand", g.hand());
            put(m, "depth", g.depth());
            put(m, "until", g.until());
            put(m, "ended", g.ended());
        } else if (tag instanceof Tag.Body b) {
            put(m, "of", b.of());
            put(m, "fact", b.fact());
            put(m, "side", b.side());
            put(m, "until", b.until());
        } else if (tag instanceof Tag.Call c) {
            put(m, "call", c.call());
            put(m, "for", c.who());
            put(m, "value", c.value());
            put(m, "called", c.called() ? null : Boolean.FALSE);
            put(m, "causedBy", c.causedBy());
            put(m, "reason", c.reason());
        } else if (tag instanceof Tag.Remark r) {
            put(m, "kind", r.kind());
            put(m, "by", r.by());
            put(m, "source", r.source());
            put(m, "text", r.text());
            put(m, "instead", r.instead());
            put(m, "punished", r.punished());
            m.putAll(r.fields());
        } else if (tag instanceof Tag.Stop s) {
            put(m, "reason", s.reason());
        } else if (tag instanceof Tag.Resume r) {
            put(m, "position", r.position());
            put(m, "holder", r.holder());
            put(m, "guard", r.guard());
        }
        put(m, "id", tag.info().id());
        put(m, "tagger", tag.info().tagger());
        put(m, "confidence", tag.info().confidence());
        put(m, "note", tag.info().note());
        m.putAll(tag.info().extra());
        return m;
    }

    private static void writePosition(Map<String, Object> m, Tag.Position p) {
        put(m, "position", p.position());
        put(m, "holder", p.holder());
        put(m, "guard", p.guard());
        put(m, "side", p.side());
        put(m, "variant", p.variant());
        put(m, "cause", p.cause());
        put(m, "technique", p.technique());
        put(m, "threat", p.threat());
        put(m, "base", p.base());
    }

    private static void writeAction(Map<String, Object> m, Tag.Action a) {
        put(m, "by", a.by());
        put(m, "technique", a.technique());
        put(m, "family", a.family());
        if (a.sides().size() == 1) {
            put(m, "side", a.side());
        } else if (!a.sides().isEmpty()) {
            m.put("sides", a.sides().stream().map(Side::code).toList());
        }
        put(m, "outcome", a.outcome());
        put(m, "reached", a.reached());
        put(m, "to", a.to());
        put(m, "until", a.until());
        put(m, "answer", a.answer());
        put(m, "limb", a.limb());
        if (!a.checks().isEmpty()) {
            m.put("checks", a.checks());
        }
        put(m, "target", a.target());
        put(m, "believed", a.believed());
    }

    private static void put(Map<String, Object> m, String field, @Nullable Object value) {
        if (value instanceof Coded c) {
            m.put(field, c.code());
        } else if (value instanceof Corner c) {
            m.put(field, c.code());
        } else if (value instanceof MatchTime t) {
            m.put(field, t.ms());
        } else if (value != null) {
            m.put(field, value);
        }
    }
}
