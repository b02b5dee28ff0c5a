package farglass.store.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.match.Drawing;
import farglass.match.Drawings;
import farglass.talk.Talk;
import farglass.time.FilmTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Spoken breakdowns as {@code farglass.talk/1}; the voice lies beside them as a WAV file of the same name. */
public final class TalkJson {
    private static final String FORMAT = "farglass.talk/1";
    private static final ObjectMapper JSON = new ObjectMapper();

    private TalkJson() {}

    /** The talk as JSON. */
    public static String write(Talk talk) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("format", FORMAT);
        m.put("id", talk.id());
        m.put("match", talk.match());
        m.put("film", talk.film());
        m.put("cue", talk.cue());
        m.put("lengthMs", talk.lengthMs());
        List<Object> shown = new ArrayList<>();
        for (Talk.Shown s : talk.shown()) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("ms", s.atMs());
            one.put("filmMs", s.film().ms());
            if (!s.marks().isEmpty()) {
                one.put("marks", s.marks().stream().map(Drawings::plain).toList());
            }
            shown.add(one);
        }
        m.put("shown", shown);
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(m);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("talk cannot be written", e);
        }
    }

    /** @throws FormatException with the path of what is wrong */
    public static Talk read(String text) throws FormatException {
        Fields f = Fields.of(MatchJson.parse(text), "");
        String format = f.needText("format");
        if (!format.equals(FORMAT)) {
            throw f.error("format", "\"" + format + "\" is not " + FORMAT);
        }
        List<Talk.Shown> shown = new ArrayList<>();
        JsonNode list = f.need("shown");
        for (int i = 0; i < list.size(); i++) {
            shown.add(shown(Fields.of(list.get(i), "/shown/" + i)));
        }
        try {
            return new Talk(
                    f.needText("id"),
                    f.needText("match"),
                    f.needText("film"),
                    f.needText("cue"),
                    f.need("lengthMs").asLong(),
                    shown);
        } catch (IllegalArgumentException e) {
            throw f.error("shown", e.getMessage());
        }
    }

    private static Talk.Shown shown(Fields f) throws FormatException {
        long at = f.need("ms").asLong(-1);
        long film = f.need("filmMs").asLong(-1);
        if (at < 0 || film < 0) {
            throw f.error(at < 0 ? "ms" : "filmMs", "must be a whole number of milliseconds, not negative");
        }
        List<Drawing.Mark> marks = new ArrayList<>();
        JsonNode drawn = f.get("marks");
        for (int i = 0; drawn != null && i < drawn.size(); i++) {
            int index = i;
            marks.add(Drawings.mark(JSON.convertValue(drawn.get(i), Map.class))
                    .orElseThrow(() -> f.error("marks/" + index, "is not a mark")));
        }
        return new Talk.Shown(at, FilmTime.ofMs(film), marks);
    }
}
