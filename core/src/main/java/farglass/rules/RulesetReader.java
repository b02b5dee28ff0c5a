package farglass.rules;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Rulesets as {@code farglass.ruleset/1}. */
public final class RulesetReader {
    public static final String FORMAT = "farglass.ruleset/1";
    private static final Set<String> AWARDS = Set.of("takedown", "sweep", "pass", "knee-on-belly", "mount", "back");
    private static final Set<String> TIES = Set.of("points", "advantages", "penalties", "decision", "draw");
    private static final int MOST_POINTS = 20;
    private static final long MOST_MS = 3_600_000;
    private static final ObjectMapper JSON = new ObjectMapper();

    private RulesetReader() {}

    /** @throws RulesetException with the path of what is wrong */
    public static Ruleset read(String text) throws RulesetException {
        JsonNode root;
        try {
            root = JSON.readTree(text);
        } catch (JsonProcessingException e) {
            throw new RulesetException("/", "is not JSON: " + e.getOriginalMessage());
        }
        if (root == null || !root.isObject()) {
            throw new RulesetException("/", "an object is expected");
        }
        if (!FORMAT.equals(root.path("format").asText())) {
            throw new RulesetException("/format", "is not " + FORMAT);
        }
        try {
            return new Ruleset(
                    text(root, "code"),
                    text(root, "name"),
                    attire(root),
                    day(root, "from"),
                    day(root, "to"),
                    numbers(root, "points", AWARDS, MOST_POINTS),
                    number(root, "holdMs", MOST_MS, 3000),
                    number(root, "recoverMs", MOST_MS, 3000),
                    numbers(root, "advantages", null, 4),
                    root.path("nearAdvantage").asBoolean(false),
                    root.path("dgpTop").asText("none"),
                    penalties(root),
                    root.path("pointsFrom").asDouble(0),
                    root.path("guardPull").asInt(0),
                    new LinkedHashSet<>(list(root, "backPlaces", "[A-Z0-9]+")),
                    number(root, "overtimeMs", MOST_MS, 0),
                    list(root, "tieBreaks", String.join("|", TIES)),
                    new LinkedHashSet<>(list(root, "restricted", "[a-z0-9-]+")));
        } catch (IllegalArgumentException e) {
            throw new RulesetException("/", e.getMessage());
        }
    }

    private static String text(JsonNode root, String field) throws RulesetException {
        String value = root.path(field).asText("");
        if (value.isBlank()) {
            throw new RulesetException("/" + field, "missing");
        }
        return value;
    }

    private static @Nullable String attire(JsonNode root) throws RulesetException {
        String attire = root.path("attire").asText("");
        if (!attire.isEmpty() && !attire.equals("gi") && !attire.equals("no-gi")) {
            throw new RulesetException("/attire", "\"" + attire + "\" is neither gi nor no-gi");
        }
        return attire.isEmpty() ? null : attire;
    }

    private static @Nullable LocalDate day(JsonNode root, String field) throws RulesetException {
        if (!root.hasNonNull(field)) {
            return null;
        }
        try {
            return LocalDate.parse(root.get(field).asText());
        } catch (DateTimeParseException e) {
            throw new RulesetException("/" + field, "\"" + root.get(field).asText() + "\" is not a day as 2031-04-12");
        }
    }

    private static long number(JsonNode root, String field, long most, long missing) throws RulesetException {
        JsonNode n = root.get(field);
        if (n == null || n.isNull()) {
            return missing;
        }
        if (!n.isIntegralNumber() || n.asLong() < 0 || n.asLong() > most) {
            throw new RulesetException("/" + field, n + " must be a whole number from 0 to " + most);
        }
        return n.asLong();
    }

    private static Map<String, Integer> numbers(JsonNode root, String field, @Nullable Set<String> allowed, int most)
            throws RulesetException {
        Map<String, Integer> read = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> e : root.path(field).properties()) {
            if (allowed != null && !allowed.contains(e.getKey())) {
                throw new RulesetException("/" + field + "/" + e.getKey(), "is none of " + allowed);
            }
            if (!e.getValue().isInt()
                    || e.getValue().asInt() < 1
                    || e.getValue().asInt() > most) {
                throw new RulesetException(
                        "/" + field + "/" + e.getKey(), e.getValue() + " must be a whole number from 1 to " + most);
            }
            read.put(e.getKey(), e.getValue().asInt());
        }
        return read;
    }

    private static List<String> list(JsonNode root, String field, String pattern) throws RulesetException {
        List<String> read = new ArrayList<>();
        JsonNode list = root.path(field);
        for (int i = 0; i < list.size(); i++) {
            String value = list.get(i).asText();
            if (!value.matches(pattern)) {
                throw new RulesetException("/" + field + "/" + i, "\"" + value + "\" is not known here");
            }
            read.add(value);
        }
        return read;
    }

    private static List<PenaltyEffect> penalties(JsonNode root) throws RulesetException {
        List<PenaltyEffect> read = new ArrayList<>();
        JsonNode list = root.path("penalties");
        for (int i = 0; i < list.size(); i++) {
            String value = list.get(i).asText();
            String path = "/penalties/" + i;
            read.add(PenaltyEffect.parse(value)
                    .orElseThrow(() -> new RulesetException(path, "\"" + value + "\" is not known here")));
        }
        return read;
    }

    /** The ruleset as a file. */
    public static String write(Ruleset r) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("format", FORMAT);
        m.put("code", r.code());
        m.put("name", r.name());
        if (r.attire() != null) {
            m.put("attire", r.attire());
        }
        m.put("from", r.from() == null ? null : r.from().toString());
        m.put("to", r.to() == null ? null : r.to().toString());
        m.put("points", r.points());
        m.put("holdMs", r.holdMs());
        m.put("recoverMs", r.recoverMs());
        m.put("advantages", r.advantages());
        m.put("nearAdvantage", r.nearAdvantage());
        m.put("dgpTop", r.dgpTop());
        m.put("penalties", r.penalties().stream().map(PenaltyEffect::code).toList());
        m.put("pointsFrom", r.pointsFrom());
        m.put("guardPull", r.guardPull());
        m.put("backPlaces", r.backPlaces().stream().sorted().toList());
        m.put("overtimeMs", r.overtimeMs());
        m.put("tieBreaks", r.tieBreaks());
        m.put("restricted", r.restricted().stream().sorted().toList());
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(m);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("ruleset cannot be written", e);
        }
    }
}
