package farglass.store.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import farglass.match.Coded;
import farglass.match.Corner;
import farglass.time.MatchTime;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;

/** A JSON object being read: typed access with the path in every error, and a note of which fields were asked for. */
final class Fields {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final double MAX_MS = 1e12;

    private final JsonNode node;
    private final String path;
    private final Set<String> asked = new LinkedHashSet<>();

    private Fields(JsonNode node, String path) {
        this.node = node;
        this.path = path;
    }

    static Fields of(JsonNode node, String path) throws FormatException {
        if (!node.isObject()) {
            throw new FormatException(path, "an object is expected, found " + describe(node));
        }
        return new Fields(node, path);
    }

    private static String describe(JsonNode node) {
        String text = node.toString();
        return text.length() > 40 ? text.substring(0, 40) + "..." : text;
    }

    FormatException error(String field, String message) {
        return new FormatException(path + "/" + field, message);
    }

    String path(String field) {
        return path + "/" + field;
    }

    /** The field's value, or null when absent or JSON null. */
    JsonNode get(String field) {
        asked.add(field);
        JsonNode value = node.get(field);
        return value == null || value.isNull() ? null : value;
    }

    JsonNode need(String field) throws FormatException {
        JsonNode value = get(field);
        if (value == null) {
            throw error(field, "missing");
        }
        return value;
    }

    String text(String field) throws FormatException {
        JsonNode value = get(field);
        if (value != null && !value.isTextual()) {
            throw error(field, "a text is expected, found " + describe(value));
        }
        return value == null ? null : value.textValue();
    }

    String needText(String field) throws FormatException {
        need(field);
        return text(field);
    }

    /** A whole number of milliseconds, not negative. */
    Long ms(String field) throws FormatException {
        JsonNode value = get(field);
        if (value == null) {
            return null;
        }
        if (!value.isNumber() || value.doubleValue() != Math.rint(value.doubleValue())) {
            throw error(field, "whole milliseconds are expected, found " + describe(value));
        }
        if (value.doubleValue() < 0 || value.doubleValue() > MAX_MS) {
            throw error(field, "milliseconds must not be negative or absurdly large, found " + describe(value));
        }
        return value.longValue();
    }

    long needMs(String field) throws FormatException {
        need(field);
        return ms(field);
    }

    MatchTime time(String field) throws FormatException {
        Long value = ms(field);
        return value == null ? null : MatchTime.ofMs(value);
    }

    Integer integer(String field, int min, int max) throws FormatException {
        JsonNode value = get(field);
        if (value == null) {
            return null;
        }
        if (!value.isInt() || value.intValue() < min || value.intValue() > max) {
            throw error(field, "a whole number from " + min + " to " + max + " is expected, found " + describe(value));
        }
        return value.intValue();
    }

    Double number(String field, double min, double max) throws FormatException {
        JsonNode value = get(field);
        if (value == null) {
            return null;
        }
        if (!value.isNumber() || !(value.doubleValue() >= min && value.doubleValue() <= max)) {
            throw error(field, "a number from " + min + " to " + max + " is expected, found " + describe(value));
        }
        return value.doubleValue();
    }

    Boolean flag(String field) throws FormatException {
        JsonNode value = get(field);
        if (value != null && !value.isBoolean()) {
            throw error(field, "true or false is expected, found " + describe(value));
        }
        return value == null ? null : value.booleanValue();
    }

    <E extends Enum<E> & Coded> E coded(String field, Class<E> type) throws FormatException {
        String code = text(field);
        return code == null ? null : parse(field, code, type);
    }

    <E extends Enum<E> & Coded> E parse(String field, String code, Class<E> type) throws FormatException {
        return Coded.parse(type, code).orElseThrow(() -> {
            StringBuilder known = new StringBuilder();
            for (E e : type.getEnumConstants()) {
                known.append(known.isEmpty() ? "" : ", ").append(e.code());
            }
            return error(field, "\"" + code + "\" is not one of " + known);
        });
    }

    Corner corner(String field) throws FormatException {
        String code = text(field);
        if (code == null) {
            return null;
        }
        if (!code.equals("a") && !code.equals("b")) {
            throw error(field, "\"" + code + "\" is not one of a, b");
        }
        return code.equals("a") ? Corner.A : Corner.B;
    }

    Corner needCorner(String field) throws FormatException {
        need(field);
        return corner(field);
    }

    Fields object(String field) throws FormatException {
        return of(need(field), path(field));
    }

    /** Fields nobody asked for, as plain JSON values. */
    Map<String, Object> rest() {
        Map<String, Object> rest = new LinkedHashMap<>();
        node.fields().forEachRemaining(e -> {
            if (!asked.contains(e.getKey())) {
                rest.put(e.getKey(), plain(e.getValue()));
            }
        });
        return rest;
    }

    static Object plain(JsonNode value) {
        return JSON.convertValue(value, Object.class);
    }
}
