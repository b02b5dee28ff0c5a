package farglass.film.map;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import farglass.film.Box;
import farglass.film.FilmException;
import farglass.film.FilmWords;
import farglass.film.score.ScoreChange;
import farglass.film.score.ScoreGraphic;
import farglass.film.score.ScoreKind;
import farglass.film.score.ScoreTrack;
import farglass.time.Clock;
import farglass.time.FilmTime;
import farglass.time.MatchTime;
import farglass.time.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What was read off a film as JSON: {@code segments} as in a match record with {@code confidence} each, {@code shots},
 * {@code regions}, {@code direction} and {@code readings} of the clock, {@code names}, and {@code score} with the
 * numbers of one athlete after each change; {@code otherNumbers} changed too and count nothing known. Athlete A is the
 * one above or to the left.
 */
public final class MapDocument {
    private static final String CLOCK = "clock";
    private static final String RIVAL = "otherClock";
    private static final String[] CORNERS = {"A", "B"};
    private static final ObjectMapper JSON = new ObjectMapper();

    private MapDocument() {}

    public static ObjectNode write(MapProposal found) {
        ObjectNode doc = JSON.createObjectNode();
        found.segments().forEach(p -> doc.withArray("segments").add(segment(p)));
        doc.putArray("shots");
        found.shots().forEach(s -> doc.withArray("shots").add(s.ms()));
        doc.set("regions", regions(found));
        if (!found.readings().isEmpty()) {
            doc.put("direction", found.down() ? "down" : "up");
            for (ClockReading r : found.readings()) {
                ObjectNode o = doc.withArray("readings").addObject();
                o.put("ms", r.ms());
                o.put("clock", r.clock() == null ? null : Clock.seconds(r.clock() * 1000L));
                o.put("confidence", r.confidence());
            }
        }
        ArrayNode names = doc.putArray("names");
        found.score().graphic().names().forEach(n -> names.add(n.text()));
        doc.set("score", changes(found, true));
        doc.set("otherNumbers", changes(found, false));
        return doc;
    }

    private static ObjectNode segment(MapProposal.Part p) {
        Segment s = p.segment();
        ObjectNode o = JSON.createObjectNode();
        o.put("fromMs", s.from().ms());
        o.put("toMs", s.to().ms());
        o.put("kind", s.kind().name().toLowerCase(Locale.ROOT));
        if (s.kind().showsMatch()) {
            o.put("matchMs", s.at().ms());
            o.put("speed", s.speed());
        }
        o.put("confidence", p.confidence());
        return o;
    }

    private static ArrayNode regions(MapProposal found) {
        ArrayNode regions = JSON.createArrayNode();
        if (found.box() != null) {
            region(regions, CLOCK, found.box());
        }
        if (found.rival() != null) {
            region(regions, RIVAL, found.rival());
        }
        ScoreTrack score = found.score();
        for (int i = 0; i < score.graphic().names().size(); i++) {
            ScoreGraphic.Name n = score.graphic().names().get(i);
            ObjectNode o = region(regions, "name", n.box());
            o.put("who", CORNERS[i]);
            o.put("text", n.text());
            o.put("confidence", n.confidence());
        }
        for (int c = 0; c < score.kinds().size(); c++) {
            ScoreKind k = score.kinds().get(c);
            for (int athlete = 0; athlete < 2; athlete++) {
                region(regions, word(k), score.graphic().columns().get(c).of(athlete))
                        .put("who", CORNERS[athlete]);
            }
        }
        return regions;
    }

    private static ObjectNode region(ArrayNode regions, String what, Box b) {
        ObjectNode o = regions.addObject();
        o.put("what", what);
        o.putArray("box").add(b.x()).add(b.y()).add(b.width()).add(b.height());
        return o;
    }

    private static String word(@Nullable ScoreKind k) {
        return k == null ? "number" : k.name().toLowerCase(Locale.ROOT);
    }

    /** @param known whether of columns that count points, advantages or penalties, or of all others */
    private static ArrayNode changes(MapProposal found, boolean known) {
        ArrayNode score = JSON.createArrayNode();
        for (ScoreChange c : found.score().changes()) {
            if (known != (found.score().kind(c) != null)) {
                continue;
            }
            ObjectNode o = score.addObject();
            o.put("ms", c.ms());
            o.put("fromMs", c.fromMs());
            o.put("matchMs", found.moment(c.ms()).ms());
            o.put("who", CORNERS[c.athlete()]);
            o.put("what", word(found.score().kind(c)));
            o.put("column", c.column());
            o.put("before", c.before());
            o.put("after", c.after());
            for (ScoreKind k : ScoreKind.values()) {
                if (found.score().kinds().contains(k)) {
                    o.put(word(k), found.score().at(k, c.athlete(), c.ms()));
                }
            }
            o.put("confidence", c.confidence());
        }
        return score;
    }

    /**
     * What {@link #write} wrote.
     *
     * @throws FilmException when it is no such document
     */
    public static MapProposal read(String text) throws FilmException {
        try {
            JsonNode doc = JSON.readTree(text);
            if (!doc.path("segments").isArray()) {
                throw new IllegalArgumentException("no segments");
            }
            List<MapProposal.Part> parts = new ArrayList<>();
            for (JsonNode s : doc.path("segments")) {
                Segment.Kind kind = Segment.Kind.valueOf(s.path("kind").asText().toUpperCase(Locale.ROOT));
                Segment segment = new Segment(
                        FilmTime.ofMs(s.path("fromMs").asLong()),
                        FilmTime.ofMs(s.path("toMs").asLong()),
                        kind,
                        MatchTime.ofMs(s.path("matchMs").asLong()),
                        s.path("speed").asDouble(1));
                parts.add(new MapProposal.Part(segment, s.path("confidence").asDouble()));
            }
            List<FilmTime> shots = new ArrayList<>();
            doc.path("shots").forEach(s -> shots.add(FilmTime.ofMs(s.asLong())));
            List<ClockReading> readings = new ArrayList<>();
            for (JsonNode r : doc.path("readings")) {
                JsonNode clock = r.path("clock");
                Integer seconds = clock.isTextual()
                        ? Integer.valueOf((int) (Clock.parse(clock.asText()).orElseThrow() / 1000))
                        : null;
                readings.add(new ClockReading(
                        r.path("ms").asLong(), seconds, r.path("confidence").asDouble()));
            }
            boolean down = !doc.path("direction").asText().equals("up");
            return new MapProposal(parts, shots, readings, down, clock(doc, CLOCK), clock(doc, RIVAL), track(doc));
        } catch (JsonProcessingException | RuntimeException e) {
            throw new FilmException(FilmWords.of("map.damaged"));
        }
    }

    private static @Nullable Box clock(JsonNode doc, String which) {
        for (JsonNode r : doc.path("regions")) {
            if (r.path("what").asText().equals(which)) {
                return box(r);
            }
        }
        return null;
    }

    private static Box box(JsonNode region) {
        JsonNode b = region.path("box");
        return new Box(
                b.get(0).asInt(), b.get(1).asInt(), b.get(2).asInt(), b.get(3).asInt());
    }

    private static ScoreTrack track(JsonNode doc) {
        List<ScoreGraphic.Name> names = new ArrayList<>();
        List<ScoreGraphic.Column> columns = new ArrayList<>();
        List<@Nullable ScoreKind> kinds = new ArrayList<>();
        Box first = null;
        for (JsonNode r : doc.path("regions")) {
            String what = r.path("what").asText();
            if (what.equals(CLOCK) || what.equals(RIVAL)) {
                continue;
            }
            if (what.equals("name")) {
                names.add(new ScoreGraphic.Name(
                        r.path("text").asText(), box(r), r.path("confidence").asDouble()));
            } else if (first == null) {
                first = box(r);
            } else {
                columns.add(new ScoreGraphic.Column(first, box(r), null));
                kinds.add(what.equals("number") ? null : kind(what));
                first = null;
            }
        }
        List<ScoreChange> changes = new ArrayList<>();
        List<JsonNode> all = new ArrayList<>();
        doc.path("score").forEach(all::add);
        doc.path("otherNumbers").forEach(all::add);
        for (JsonNode s : all) {
            changes.add(new ScoreChange(
                    s.path("fromMs").asLong(),
                    s.path("ms").asLong(),
                    s.path("who").asText().equals(CORNERS[0]) ? 0 : 1,
                    s.path("column").asInt(),
                    s.path("before").asInt(),
                    s.path("after").asInt(),
                    s.path("confidence").asDouble()));
        }
        changes.sort(ScoreChange.IN_FILM_ORDER);
        return new ScoreTrack(new ScoreGraphic(names, columns), kinds, changes);
    }

    private static ScoreKind kind(String word) {
        return ScoreKind.valueOf(word.toUpperCase(Locale.ROOT));
    }
}
