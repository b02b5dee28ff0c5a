package farglass.cli;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.rules.Score;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;

/** A score as the command prints it. */
final class ScoreDocument {
    private ScoreDocument() {}

    static Map<String, Object> of(MatchRecord r, Score s) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("id", r.id());
        m.put("ruleset", s.ruleset().code());
        m.put("points", both(s::points));
        m.put("advantages", both(s::advantages));
        m.put("penalties", both(s::penalties));
        m.put("awards", s.awards().stream().map(ScoreDocument::award).toList());
        m.put("near", s.near().stream().map(ScoreDocument::near).toList());
        m.put(
                "advantagesList",
                s.advantages().stream().map(ScoreDocument::advantage).toList());
        m.put("scoreboard", s.scoreboard().stream().map(ScoreDocument::step).toList());
        m.put("findings", s.findings().stream().map(Json::finding).toList());
        m.put(
                "differences",
                s.differences().stream().map(ScoreDocument::difference).toList());
        m.put("controlMs", both(c -> Math.toIntExact(s.control().get(c))));
        Map<String, Object> result = new LinkedHashMap<>();
        result.put("winner", code(s.result().winner()));
        result.put("method", s.result().method().code());
        m.put("result", result);
        return m;
    }

    private static Map<String, Object> both(ToIntFunction<Corner> of) {
        Map<String, Object> m = new LinkedHashMap<>();
        for (Corner c : List.of(Corner.A, Corner.B)) {
            m.put(c.code(), of.applyAsInt(c));
        }
        return m;
    }

    private static String code(Corner c) {
        return c == null ? null : c.code();
    }

    private static Map<String, Object> award(Score.Award a) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("t", a.t().ms());
        m.put("confirmedAt", a.confirmedAt().ms());
        m.put("for", a.who().code());
        m.put("award", a.award());
        m.put("value", a.value());
        m.put("why", a.why());
        if (a.uncertain()) {
            m.put("uncertain", true);
        }
        return m;
    }

    private static Map<String, Object> near(Score.Near n) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("t", n.t().ms());
        m.put("for", n.who().code());
        m.put("award", n.award());
        m.put("heldMs", n.heldMs());
        m.put("needMs", n.needMs());
        m.put("missing", n.missing());
        m.put("why", n.words());
        return m;
    }

    private static Map<String, Object> advantage(Score.Advantage a) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("t", a.t().ms());
        m.put("for", a.who().code());
        m.put("from", a.from());
        m.put("why", a.why());
        return m;
    }

    private static Map<String, Object> step(Score.Step s) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("t", s.t().ms());
        m.put("a", s.a());
        m.put("b", s.b());
        m.put("advA", s.advA());
        m.put("advB", s.advB());
        m.put("penA", s.penA());
        m.put("penB", s.penB());
        return m;
    }

    private static Map<String, Object> difference(Score.Difference d) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("t", d.t().ms());
        m.put("for", d.who().code());
        m.put("table", d.table());
        m.put("computed", d.computed());
        m.put("message", d.message());
        return m;
    }
}
